/** From decorations to sheets: parts of one paper, size and way of cutting share sheets. */
import { sheetsIn, type CutAgain, type CuttingTools, type KeptSheet, type Remnant } from '../../cut'
import { isSameShape } from '../../material'
import { derive, found, sumOf, type Working } from '../../quantity'
import { type CutWork } from './cutting/work'
import type { Nested, CutGroup } from './cutting/group'
import { settledWork, type advisedWay, type CuttingPrices } from './cutting/settled'
import { sharing } from './cutting/sharing'
import { cutTogether, type Together } from './cutting/together'
import { isLaidByHand, pliesOf, type layByRule, cutAgain, layClosely, numberedOn, withRemedy } from './cutting/laying'
import { figuresOf } from './cutting/figures'

type CuttingInputs = {
  readonly work: readonly CutWork[]
  readonly tools: CuttingTools
  readonly prices: CuttingPrices
  readonly kept: readonly KeptSheet[]
  readonly remnants: readonly Remnant[]
  readonly nested: Nested
  /** Pieces asked for again at the bench. */
  readonly again: readonly CutAgain[]
}

/**
 * Groups of decorations that share sheets, each laid out.
 * @param advised which way is advised for some work
 * @param lay lays a group by its rule; what both worked out they may remember
 */
export const cutStage =
  (advised: typeof advisedWay, lay: typeof layByRule) =>
  ({ work, tools, prices, kept, remnants, nested, again }: CuttingInputs): readonly CutGroup[] => {
    const settled = work.map((each) => settledWork({ work: each, tools, prices }, advised))
    // A remnant can be used once: the first group of its paper and colour that is laid closely, a sheet at a time, may
    // have it.
    const offered = new Set<string>()
    return cutTogether(sharing(settled), tools, prices, lay).map((together) => {
      const { paper, colour, cutting } = together.group
      const { way, plies } = cutting
      const stock = `${paper} ${colour ?? ''}`
      const own =
        isLaidByHand(way) || (way === 'template' && plies > 1) || offered.has(stock)
          ? []
          : remnants.filter((remnant) => remnant.paper === paper && (remnant.colour?.toLowerCase() ?? null) === colour)
      if (own.length > 0) offered.add(stock)
      return groupOf(together, tools, kept, own, nested, again, lay)
    })
  }

function groupOf(
  { group: { id, paper, shapes, colour, cutting, parts, counts }, sheetsApart }: Together,
  tools: CuttingTools,
  kept: readonly KeptSheet[],
  remnants: readonly Remnant[],
  nested: Nested,
  again: readonly CutAgain[],
  lay: typeof layByRule,
): CutGroup {
  const { way } = cutting
  const plies = pliesOf(cutting)
  const own = kept.filter(
    (sheet) =>
      sheet.paper === paper &&
      shapes.some((shape) => isSameShape(shape, sheet.shape)) &&
      sheet.way === way &&
      sheet.plies === plies &&
      (sheet.colour?.toLowerCase() ?? null) === colour,
  )
  const laid = isLaidByHand(way)
    ? { ...lay({ parts, shapes, cutting, tools, again }), kept: [], released: 0, search: null, isNested: false }
    : layClosely(parts, shapes, way, plies, tools, own, remnants, nested, lay)
  const { leftOut, ...state } = laid
  const sheets = numberedOn([...laid.sheets, ...cutAgain(parts, shapes, way, tools, again)])
  const pieces = sumOf('pieces', 'count', 'pieces and spares', counts)
  return {
    id,
    paper,
    shapes,
    colour,
    way,
    plies,
    layers: way === 'boxes' ? cutting.layers : 1,
    parts,
    savedSheets: sheetsApart === null ? null : savedBy(sheetsApart, sheetsIn(laid.sheets)),
    layout: { sheets, leftOut: leftOut.map((each) => withRemedy(each, paper, shapes, tools)) },
    ...state,
    ...figuresOf(sheets, shapes, paper, way, plies, pieces, tools, state.isNested),
  }
}

/** What cutting together saves. */
const savedBy = (apart: number, together: number): Working =>
  derive(
    'sheets saved',
    'count',
    'sheets each would take for itself, less those they take together',
    '{apart} − {together}',
    {
      apart: found('each for itself', apart, 'count', 'laid so many at once as was chosen'),
      together: found('together', together, 'count', 'laid so many at once as the one that takes fewer'),
    },
    (v) => v.apart - v.together,
  )
