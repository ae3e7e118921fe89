/** From decorations to dishes: every colour that paper wants, and whether it suits. */
import { colourFaults, type ColourFacts, type ColourFault } from '../../care'
import { startingColouring, type Commission, type Decoration } from '../../commission'
import { faceDm2, shadeColour, type PieceClass, type PlannedDecoration } from '../../decoration'
import { learnedDye, type DyeTrial, type LearnedDye } from '../../learn'
import { paperOf, shapeDm2 } from '../../material'
import { derive, found, sumOf, type Working } from '../../quantity'
import type { DyeStock } from '../../supply'
import { techniqueOf } from '../../technique'
import {
  bathsFor,
  bathStep,
  dishesFor,
  STRIPS,
  type Bath,
  type Colouring,
  type BathTray,
  type BathWish,
  type ColouredSheet,
  type ColourWish,
  type Dishes,
  type SheetState,
} from '../../tint'
import type { CutGroup } from './cutting/group'
import type { Liquids } from './liquids'

/** Paper thinner than this goes to holes where it is wet, mm. */
const THIN_MM = 0.35
const SHINES: readonly string[] = ['stencilShine', 'edgeGilding']

/** Dishes for paper, the dyes of each kind of paper as strips have them, and colours that do not suit. */
export type DishWork = Dishes & {
  readonly baths: readonly Bath[]
  readonly faults: readonly ColourFault[]
  /** Dyes in use that are not mixed from, for what is done with the paper afterwards. */
  readonly leftOut: readonly LeftOut[]
  readonly dyes: Readonly<Record<ColouredSheet['kind'], readonly LearnedDye[]>>
  /** Colours of the shades of each decoration as they will come out, 0 at the heart, where that is foretold. */
  readonly foretold: Readonly<Record<string, readonly string[]>>
}

/** Dyes that recipes for a decoration go without, by their names, and why. */
type LeftOut = {
  readonly decoration: string
  readonly name: string
  readonly dyes: readonly string[]
  readonly because: string
}

type Coloured = {
  readonly decoration: Pick<Decoration, 'id' | 'technique' | 'colouring' | 'finishes' | 'colour'>
  readonly made: Pick<
    PlannedDecoration,
    'name' | 'paper' | 'thicknessMm' | 'classes' | 'cutting' | 'pieces' | 'grows' | 'second' | 'cast' | 'count'
  >
  /** Conditioner that it is brushed with anyway; none where it is not. */
  readonly conditioner: Working | null
}
type DishInputs = {
  readonly coloured: readonly Coloured[]
  readonly groups: readonly Pick<CutGroup, 'parts' | 'colour' | 'needs' | 'sheets' | 'paper'>[]
  readonly shelf: readonly DyeStock[]
  readonly trials: readonly DyeTrial[]
  readonly tray: BathTray
  readonly limits: Commission['brief']['limits']
}

const stateOf = (technique: Decoration['technique']): SheetState => {
  const { heat } = techniqueOf(technique)
  return heat === 'pan' ? 'pan' : heat === 'oil' ? 'fried' : 'dry'
}

/** Alcohol must not come near a pan. */
const MISTED_IN_PAN: Colouring = { way: 'mist', carrier: 'water', faces: 1, coats: 1 }

/** One face of pieces and spares. */
const areaOf = (piece: PieceClass): Working =>
  derive(
    piece.name,
    'area',
    'pieces and spares',
    '( {needed} + {spares} ) × {each}',
    {
      needed: piece.needed,
      spares: piece.spares,
      each: found('face of one', faceDm2(piece), 'area', 'of its outline'),
    },
    (v) => (v.needed + v.spares) * v.each,
  )

/** What a decoration wants of each colour, and of a second one that is misted over it. */
function wishesOf({
  decoration: { id, technique, colouring, colour },
  made: { name, paper, thicknessMm, classes, grows, second, cast, count },
  conditioner,
}: Coloured): readonly ColourWish[] {
  const { kind } = paperOf(paper)
  const wish = (target: string, own: readonly PieceClass[], change: Partial<ColourWish> = {}): ColourWish => ({
    decoration: id,
    name,
    target,
    kind,
    thicknessMm,
    grows,
    state: stateOf(technique),
    colouring,
    base: null,
    pieces: sumOf(
      'pieces to colour',
      'count',
      'pieces and spares',
      own.flatMap(({ needed, spares }) => [needed, spares]),
    ),
    area: sumOf('faces', 'area', 'pieces added up', own.map(areaOf)),
    ...change,
  })
  if (cast)
    return cast.colours.map(({ colour, count: many }) => {
      const own = { colour: found('of this colour', many, 'count', 'counted'), all: { ...count, label: 'in all' } }
      const share = (whole: Working): Working =>
        derive(
          whole.label,
          whole.kind,
          'those of this colour',
          '{whole} × {colour} ÷ {all}',
          { whole, ...own },
          (v) => (v.whole * v.colour) / v.all,
        )
      return wish(colour.toLowerCase(), [], { pieces: own.colour, area: share(cast.area), base: share(cast.slurry) })
    })
  const all = sumOf('faces', 'area', 'pieces added up', classes.map(areaOf))
  const { fadesUp } = techniqueOf(technique)
  const inConditioner = colouring.carrier === 'conditioner' && colouring.way === 'brush' ? conditioner : null
  if (fadesUp && colour.steps > 1)
    return Array.from({ length: colour.steps }, (_, shade) => {
      const part = found('shades', colour.steps, 'count', 'chosen in Arrange')
      const share = (whole: Working): Working =>
        derive(
          whole.label,
          whole.kind,
          'a strip of each piece',
          '{whole} ÷ {part}',
          { whole, part },
          (v) => v.whole / v.part,
        )
      return wish(shadeColour(colour, shade).toLowerCase(), classes, {
        area: share(all),
        base: inConditioner && share(inConditioner),
      })
    })
  const first = [...new Set(classes.map(({ colour }) => colour.toLowerCase()))].map((target) => {
    const own = classes.filter(({ colour }) => colour.toLowerCase() === target)
    if (!inConditioner) return wish(target, own)
    const area = sumOf('faces of this colour', 'area', 'pieces added up', own.map(areaOf))
    const base = derive(
      'conditioner',
      'volume',
      'for faces of this colour',
      '{whole} × {area} ÷ {all}',
      { whole: inConditioner, area, all },
      (v) => (v.all === 0 ? 0 : (v.whole * v.area) / v.all),
    )
    return wish(target, own, { base })
  })
  if (!second) return first
  const area = derive(
    'faces misted',
    'area',
    'part of each face',
    '{whole} × {share}',
    { whole: all, share: found('misted over', second.share, 'share', 'as Arrange has it') },
    (v) => v.whole * v.share,
  )
  return [...first, wish(second.colour, classes, { name: `${name}, second colour`, colouring: MISTED_IN_PAN, area })]
}

/** Sheets that are coloured all over before they are cut. */
function wholeWishes(
  { parts, colour, needs, sheets, paper }: DishInputs['groups'][number],
  coloured: readonly Coloured[],
): readonly ColourWish[] {
  const first = coloured.find(({ decoration }) => decoration.id === parts[0]?.decoration)
  if (!colour || !first) return []
  const { kind } = paperOf(paper)
  const { thicknessMm, grows } = first.made
  return [
    {
      decoration: first.decoration.id,
      name: [
        ...new Set(
          parts.map(
            ({ decoration }) => coloured.find((each) => each.decoration.id === decoration)?.made.name ?? 'own pieces',
          ),
        ),
      ].join(', '),
      target: colour,
      kind,
      thicknessMm,
      grows,
      state: stateOf(first.decoration.technique),
      colouring: first.decoration.colouring,
      base: null,
      pieces: sheets,
      area: sumOf(
        'whole sheets',
        'area',
        'sheets coloured before they are cut',
        needs.map(({ shape, needed }) =>
          derive(
            needed.label,
            'area',
            'whole sheets',
            '{sheets} × {each}',
            { sheets: needed, each: found('a sheet', shapeDm2(shape), 'area', 'its size') },
            (v) => v.sheets * v.each,
          ),
        ),
      ),
    },
  ]
}

/** Decorations that stand on the cake, as they are coloured. */
export const toColour = (
  wanted: readonly Decoration[],
  decorations: readonly PlannedDecoration[],
  liquids: Liquids,
): readonly Coloured[] =>
  wanted.flatMap((decoration) => {
    const made = decorations.find(({ id }) => id === decoration.id)
    const conditioner = liquids[decoration.id]?.find(({ mixture }) => mixture === 'conditioner')?.ml ?? null
    if (!made) return []
    // Colour is stirred only into slurry that is made; what is cast of it is never coloured as whole sheets.
    const isLost = decoration.colouring.way === 'slurry' && made.cast === null
    const { technique, colouring: chosen } = decoration
    const colouring = isLost ? startingColouring(techniqueOf(technique), made.paper) : chosen
    return [{ decoration: { ...decoration, colouring }, made, conditioner }]
  })

/** What a decoration dips into a stepped bath. */
function bathWish({ decoration, made }: Coloured): BathWish {
  const { id, technique, colouring, colour } = decoration
  const { kind } = paperOf(made.paper)
  const dipped = Array.from({ length: colour.steps }, (_, shade) => {
    const own = made.classes.filter((piece) => piece.shade === shade)
    return {
      pieceCount: own.reduce((sum, { needed, spares }) => sum + needed.value + spares.value, 0),
      areaDm2: own.reduce((sum, piece) => sum + areaOf(piece).value, 0),
    }
  })
  const { name, pieces, thicknessMm, grows } = made
  const state = stateOf(technique)
  return { decoration: id, name, kind, thicknessMm, grows, state, colouring, ...colour, pieces, dipped }
}

/** A dye that suits what is done with the paper afterwards. */
const suits = ({ base }: DyeStock, state: SheetState): boolean =>
  state === 'pan' ? base !== 'sugarGel' : state === 'fried' ? base === 'oil' || base === 'powder' : base !== 'oil'

/** Why a dye does not suit. */
const UNSUITED: Readonly<Record<SheetState, string>> = {
  pan: 'it has sugar in it, which sticks and browns in the pan',
  fried: 'it is not made with oil, and spits in hot oil',
  dry: 'it is made with oil, which never dries',
  wet: 'it is made with oil, which never dries',
}

/** What recipes go without, decoration by decoration. */
function leftOutOf(coloured: readonly Coloured[], shelf: readonly DyeStock[]): readonly LeftOut[] {
  const inUse = shelf.filter(({ inUse: isOn }) => isOn)
  return coloured.flatMap(({ decoration: { id, technique, colouring }, made: { name, count } }) => {
    const state = stateOf(technique)
    const out = inUse.filter((dye) => !suits(dye, state))
    // Where none suits the rest is mixed from, and a fault says so.
    if (colouring.way === 'bare' || count.value === 0 || out.length === 0 || out.length === inUse.length) return []
    return [{ decoration: id, name, dyes: out.map((dye) => dye.name), because: UNSUITED[state] }]
  })
}

/** Dishes for all paper of an option, with what does not suit. */
export function tintStage({ coloured, groups, shelf, trials, tray, limits }: DishInputs): DishWork {
  const learned = (kind: ColourWish['kind']): readonly LearnedDye[] =>
    shelf.map((dye) => learnedDye(dye, trials, STRIPS[kind]))
  const dyes = { film: learned('film'), wafer: learned('wafer') }
  const isStepped = ({ decoration: { colouring } }: Coloured): boolean => colouring.way === 'stepped'
  const wanted = [
    ...coloured
      .filter(({ made }) => made.cast !== null || !made.cutting.colouredWhole)
      .flatMap(wishesOf)
      .filter(({ colouring }) => colouring.way !== 'stepped'),
    ...groups.flatMap((group) => wholeWishes(group, coloured)),
  ]
  const dyesFor = ({ kind, state }: Pick<ColourWish, 'kind' | 'state'>) => {
    const inUse = shelf.filter(({ inUse: isOn }) => isOn)
    // Dyes that suit are preferred; where none does, the rest shows what would come, and the fault says so.
    const some = inUse.filter((dye) => suits(dye, state))
    return (some.length > 0 ? some : inUse).map(({ id }) => dyes[kind].find(({ dye }) => dye.id === id)!.dye)
  }
  const laid = dishesFor(wanted, dyesFor, tray)
  const baths = bathsFor(coloured.filter(isStepped).map(bathWish), dyesFor, tray)
  const facts = coloured.map(
    ({ decoration: { id, technique, colouring, finishes }, made: { name, paper } }): ColourFacts => {
      const { heat = null, stands = false } = techniqueOf(technique)
      const isFor = ({ uses }: { readonly uses: readonly { readonly decoration: string }[] }): boolean =>
        uses.some(({ decoration }) => decoration === id)
      const used = new Set([
        ...laid.dishes.filter(isFor).flatMap(({ doses }) => doses.map(({ dye }) => dye)),
        ...baths.filter(isFor).flatMap(({ steps }) => steps.flatMap(({ wholeDrops }) => drippedOf(wholeDrops))),
      ])
      return {
        decoration: id,
        name,
        colouring,
        heat,
        stands,
        isThin: paperOf(paper).thicknessMm < THIN_MM,
        isFilm: paperOf(paper).kind === 'film',
        dyes: shelf
          .filter((dye) => used.has(dye.id))
          .map(({ id: dye, name: called, base }) => ({ id: dye, name: called, base })),
        shimmer: finishes
          .filter(({ finish }) => SHINES.includes(finish))
          .map(({ finish }) => (finish === 'stencilShine' ? 'the shimmer' : 'the gilding')),
        noAlcohol: limits.noAlcohol,
        noColours: limits.noColours,
      }
    },
  )
  const leftOut = leftOutOf(coloured, shelf)
  return { ...laid, baths, leftOut, faults: colourFaults(facts), dyes, foretold: foretoldOf(baths) }
}

/** Dyes of which there are drops. */
const drippedOf = (drops: Readonly<Record<string, number>>): readonly string[] =>
  Object.entries(drops).flatMap(([dye, many]) => (many > 0 ? [dye] : []))

/** The shades of what is dipped in each bath, as they will come out. */
const foretoldOf = (baths: readonly Bath[]): DishWork['foretold'] =>
  Object.fromEntries(
    baths.flatMap(({ uses, steps }) => {
      const shades = steps.map((_, shade) => steps[bathStep(shade, steps.length)]!.predictedHex)
      return uses.map(({ decoration }) => [decoration, shades] as const)
    }),
  )
