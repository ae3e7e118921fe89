/** What lies on the shelves besides dyes, in which packs it is bought, and what a pack costs. */
import { z } from 'zod'
import { DISCS_IN_A_PACK, SHEETS_IN_A_PACK } from './usualPacks'
import { paperOf, shapeKey, shapeName, type PaperId, type StockShape } from '../material'

/** Shelves as one walks along them when shopping. */
export const SHELVES = ['paper', 'colour', 'liquid', 'wire', 'covering', 'accent', 'equipment'] as const
export type ShelfId = (typeof SHELVES)[number]
export const SHELF_WORDS: Readonly<Record<ShelfId, string>> = {
  paper: 'Paper and film',
  colour: 'Colour and dust',
  liquid: 'Liquids and glue',
  wire: 'Wire, tape, holders',
  covering: 'Coverings',
  accent: 'Pearls and the like',
  equipment: 'Boxes and other things',
}

/** How an item is measured; lengths in mm, volumes in ml, masses in g. */
const STOCK_KINDS = ['count', 'volume', 'mass', 'length'] as const

export const stockSchema = z.strictObject({
  item: z.string().min(1).max(80),
  name: z.string().min(1).max(80).meta({ label: 'What it is' }),
  shelf: z.enum(SHELVES),
  kind: z.enum(STOCK_KINDS),
  onHand: z.number().min(0).max(1e7),
  pack: z.number().gt(0).max(1e7),
  packPrice: z.number().min(0).max(10_000_000).nullable(),
})

export type Stock = z.infer<typeof stockSchema>

/** By what sheets of a paper and size are found in stock. */
export const paperItem = (paper: PaperId, shape: StockShape): string => `sheet ${paper} ${shapeKey(shape)}`

/** What sheets of a paper and size are called in lists. */
export const paperName = (paper: PaperId, shape: StockShape): string => `${paperOf(paper).name}, ${shapeName(shape)}`

/** Sheets of a paper and size as they lie on their shelf. */
export const paperStock = (
  paper: PaperId,
  shape: StockShape,
  onHand = 0,
  pack = shape.kind === 'disc' ? DISCS_IN_A_PACK : SHEETS_IN_A_PACK,
): Stock => ({
  item: paperItem(paper, shape),
  name: paperName(paper, shape),
  shelf: 'paper',
  kind: 'count',
  onHand,
  pack,
  packPrice: null,
})

/** Sheets of a paper and size that lie in the studio. */
export const sheetsAtHomeSchema = z.number().int().min(0).max(5000).meta({ label: 'Sheets at home', kind: 'count' })

export const MOST_STOCK = 300

/** What is put on the bare costs to come to a price. */
export const pricingSchema = z.strictObject({
  overhead: z
    .number()
    .min(0)
    .max(3)
    .meta({ label: 'Overhead', kind: 'share', help: 'Rent, power, car: a share of the bare costs' }),
  margin: z
    .number()
    .min(0)
    .max(0.9)
    .meta({ label: 'Margin', kind: 'share', help: 'Share of the price that is earned' }),
})

export type Pricing = z.infer<typeof pricingSchema>

/** Guesses to replace. */
export const STARTING_PRICING: Pricing = { overhead: 0.15, margin: 0.3 }

/** A box that pieces travel in, inside. */
export const pieceBoxSchema = z.strictObject({
  name: z.string().min(1).max(40),
  count: z.number().int().min(0).max(40).meta({ label: 'How many', kind: 'count' }),
  lengthMm: z.number().min(80).max(1200).meta({ label: 'Long', kind: 'length' }),
  widthMm: z.number().min(80).max(1200).meta({ label: 'Wide', kind: 'length' }),
  heightMm: z.number().min(30).max(800).meta({ label: 'High', kind: 'length' }),
})

export type PieceBox = z.infer<typeof pieceBoxSchema>
export const MOST_PIECE_BOXES = 12

export const STARTING_PIECE_BOXES: readonly PieceBox[] = [
  { name: 'flat box', count: 4, lengthMm: 400, widthMm: 300, heightMm: 100 },
  { name: 'tall box', count: 2, lengthMm: 350, widthMm: 250, heightMm: 220 },
]
