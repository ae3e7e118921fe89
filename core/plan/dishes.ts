/** From decorations to dishes: every colour that paper wants, and whether it suits. */
import { colourFaults, type ColourFacts, type ColourFault } from '../care'
import { learnedDye, type DyeTrial, type LearnedDye } from '../learn'
import { formatOf, paperOf } from '../material'
import { derive, found, sumOf, type Working } from '../quantity'
import type { DyeStock } from '../supply'
import { dishesFor, STRIPS, type BathTray, type ColourWish, type Dishes, type SheetState } from '../tint'
import type { CutGroup } from './cutting'
import type { Commission, PaperDecoration } from './commission'
import { faceDm2, techniqueOf, type Paperwork, type PieceClass } from './paperwork'

const MM2_PER_DM2 = 10_000
/** Paper thinner than this goes to holes where it is wet, mm. */
const THIN_MM = 0.35
const SHINES: readonly string[] = ['stencilShine', 'edgeGilding']

/** Dishes for paper, the dyes of each kind of paper as strips have them, and colours that do not suit. */
export type DishWork = Dishes & { readonly faults: readonly ColourFault[]; readonly waferDyes: readonly LearnedDye[] }

type Coloured = {
  readonly decoration: Pick<PaperDecoration, 'id' | 'technique' | 'colouring' | 'finishes'>
  readonly made: Pick<Paperwork, 'name' | 'paper' | 'classes' | 'liquids' | 'cutting'>
}
type DishInputs = {
  readonly coloured: readonly Coloured[]
  readonly groups: readonly Pick<CutGroup, 'parts' | 'colour' | 'sheets' | 'format' | 'paper'>[]
  readonly shelf: readonly DyeStock[]
  readonly trials: readonly DyeTrial[]
  readonly tray: BathTray
  readonly limits: Commission['brief']['limits']
}

const stateOf = (technique: PaperDecoration['technique']): SheetState => {
  const { heat } = techniqueOf(technique)
  return heat === 'pan' ? 'pan' : heat === 'oil' ? 'fried' : 'dry'
}

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

/** What a decoration wants of each colour. */
function wishesOf({
  decoration: { id, technique, colouring },
  made: { name, paper, classes, liquids },
}: Coloured): readonly ColourWish[] {
  const { kind, thicknessMm } = paperOf(paper)
  const slurry = liquids.find(({ mixture }) => mixture === 'slurry')?.ml ?? null
  return [...new Set(classes.map(({ colour }) => colour.toLowerCase()))].map((target): ColourWish => {
    const own = classes.filter(({ colour }) => colour.toLowerCase() === target)
    return {
      decoration: id,
      name,
      target,
      kind,
      thicknessMm,
      state: stateOf(technique),
      colouring,
      slurry,
      pieces: sumOf(
        'pieces to colour',
        'count',
        'pieces and spares',
        own.flatMap(({ needed, spares }) => [needed, spares]),
      ),
      area: sumOf('faces', 'area', 'pieces added up', own.map(areaOf)),
    }
  })
}

/** Sheets that are coloured all over before they are cut. */
function wholeWishes(
  { parts, colour, sheets, format, paper }: DishInputs['groups'][number],
  coloured: readonly Coloured[],
): readonly ColourWish[] {
  const first = coloured.find(({ decoration }) => decoration.id === parts[0]?.decoration)
  if (!colour || !first) return []
  const { kind, thicknessMm } = paperOf(paper)
  const { widthMm, heightMm } = formatOf(format)
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
      state: stateOf(first.decoration.technique),
      colouring: first.decoration.colouring,
      slurry: null,
      pieces: sheets,
      area: derive(
        'whole sheets',
        'area',
        'sheets coloured before they are cut',
        '{sheets} × {each}',
        { sheets, each: found('a sheet', (widthMm * heightMm) / MM2_PER_DM2, 'area', 'its size') },
        (v) => v.sheets * v.each,
      ),
    },
  ]
}

/** A dye that suits what is done with the paper afterwards. */
const suits = ({ base }: DyeStock, state: SheetState): boolean =>
  state === 'pan' ? base !== 'sugarGel' : state === 'fried' ? base === 'oil' || base === 'powder' : base !== 'oil'

/** Dishes for all paper of an option, with what does not suit. */
export function dishStage({ coloured, groups, shelf, trials, tray, limits }: DishInputs): DishWork {
  const learned = (kind: ColourWish['kind']): readonly LearnedDye[] =>
    shelf.map((dye) => learnedDye(dye, trials, STRIPS[kind]))
  const dyes = { film: learned('film'), wafer: learned('wafer') }
  const wanted = [
    ...coloured.filter(({ made }) => !made.cutting.colouredWhole).flatMap(wishesOf),
    ...groups.flatMap((group) => wholeWishes(group, coloured)),
  ]
  const laid = dishesFor(
    wanted,
    ({ kind, state }) => {
      const inUse = shelf.filter(({ inUse: isOn }) => isOn)
      // Dyes that suit are preferred; where none does, the rest shows what would come, and the fault says so.
      const some = inUse.filter((dye) => suits(dye, state))
      return (some.length > 0 ? some : inUse).map(({ id }) => dyes[kind].find(({ dye }) => dye.id === id)!.dye)
    },
    tray,
  )
  const facts = coloured.map(
    ({ decoration: { id, technique, colouring, finishes }, made: { name, paper } }): ColourFacts => {
      const { heat = null, stands = false } = techniqueOf(technique)
      const used = new Set(
        laid.dishes
          .filter(({ uses }) => uses.some(({ decoration }) => decoration === id))
          .flatMap(({ doses }) => doses.map(({ dye }) => dye)),
      )
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
  return { ...laid, faults: colourFaults(facts), waferDyes: dyes.wafer }
}
