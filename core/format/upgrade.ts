/** Commissions and workshops as earlier versions of the file wrote them, brought up to this one. */
import { untouched, type Quiet } from '../compose'
import { STARTING_CUTTING } from '../cut'
import { STARTING_BRIEF, STARTING_WORKSHOP } from '../plan'
import { roundTier } from '../cake'

type Loose = Readonly<Record<string, unknown>>

const isRecord = (value: unknown): value is Loose => typeof value === 'object' && value !== null && !Array.isArray(value)
const recordsOf = (value: unknown): readonly Loose[] => Array.isArray(value) ? value.filter(isRecord) : []

const STARTING_QUIET: Quiet = { others: false, seams: false, back: false, places: [] }

/** What a tier did not have in version 1 and is now asked. */
const { id, shape, heightMm, covering, colour, ...plainTier } = roundTier('', 200, 100)

/** Version 1 had one cake of round tiers, and palettes without roles. What it holds is moved, nothing is checked: the schema of this version does that. */
export function commissionFrom1(commission: unknown): unknown {
  if (!isRecord(commission)) return commission
  const { cake, decorations, brief, palette, ...kept } = commission
  const old = isRecord(cake) ? cake : {}
  const { boardDiameterMm, boardThicknessMm, tiers, ...foreign } = old
  return {
    ...kept,
    brief: isRecord(brief) ? { ...STARTING_BRIEF, ...brief } : brief,
    palette: Array.isArray(palette) ? palette.map((each: unknown) => isRecord(each) ? { role: 'accent', ...each } : each) : palette,
    options: [{
      id: 'a', name: 'Option A', paperwork: [], bouquets: [], accents: [], tiersApart: 0,
      decorations: Array.isArray(decorations) ? decorations.map((each: unknown) => isRecord(each) ? { quiet: STARTING_QUIET, byHand: untouched(), ...each } : each) : decorations,
      cake: { ...foreign, board: { outline: 'round', acrossMm: boardDiameterMm, thicknessMm: boardThicknessMm }, tiers: recordsOf(tiers).map(({ diameterMm, ...tier }) => ({ ...plainTier, ...tier, shape: { kind: 'round', acrossMm: diameterMm } })) },
    }],
    chosen: 'a',
  }
}

/**
 * Anything of version 2 with what version 3 asks besides: how a decoration is cut, sheets that were locked, the workshop's tools, remnants and the price of a sheet.
 * Works on commissions, workshops and single edits alike, because it knows what it meets by its fields.
 */
export function from2(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from2)
  if (!isRecord(value)) return value
  const own = Object.fromEntries(Object.entries(value).map(([name, each]) => [name, from2(each)]))
  return {
    ...'parameters' in own && 'format' in own && { cutting: STARTING_CUTTING },
    ...'tiersApart' in own && 'cake' in own && { keptSheets: [] },
    ...'ovenPlaces' in own && 'pace' in own && { tools: STARTING_WORKSHOP.tools, remnants: [] },
    ...'discEach' in own && { sheetEach: STARTING_WORKSHOP.prices.sheetEach },
    ...own,
  }
}

/** Version 1 knew neither the refrigerator nor prices nor petals. */
export const workshopFrom1 = (workshop: unknown): unknown =>
  isRecord(workshop) ? { ...workshop, fridgeC: STARTING_WORKSHOP.fridgeC, prices: STARTING_WORKSHOP.prices, petals: STARTING_WORKSHOP.petals } : workshop
