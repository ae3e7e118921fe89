/** What can be done at once about what needs a look: each way out in words, and the change that it makes. */
import { boardReachMm, boardSchema } from '../cake'
import type { Caution } from '../care'
import { chosenOption, wayToFitWords, type Commission, type Decoration } from '../commission'
import { DRYING_WORDS, type DryingWay } from '../dry'
import { paperOf, shapeKey, shapeName } from '../material'
import { printQuantity, type UnitSystem } from '../quantity'
import { techniqueOf, waysToDry } from '../technique'
import type { Workshop } from '../workshop'
import type { Plan } from './plan'
import type { BoxRemedy } from './stages/boxFit'

/** What a way out may change. */
type Studio = { readonly commission: Commission; readonly workshop: Workshop }
/** The same, open to change. */
type OpenStudio = { commission: Commission; workshop: Workshop }

/** A way out of what needs a look; `words` stand on its button, `change` is made to a draft of the studio. */
export type WayOut = {
  readonly id: string
  readonly words: string
  readonly change: (draft: OpenStudio) => void
}

type Wanted = { readonly caution: Caution; readonly plan: Plan; readonly studio: Studio; readonly units: UnitSystem }

const inDecoration =
  (id: string, change: (decoration: Decoration) => void): WayOut['change'] =>
  ({ commission }) => {
    const found = chosenOption(commission).decorations.find((each) => each.id === id)
    if (found) change(found)
  }

const atVenue: WayOut = {
  id: 'at-venue',
  words: 'Place it at the venue',
  change: ({ commission }) => {
    commission.brief.completion = 'atVenue'
  },
}

const coolCar: WayOut = {
  id: 'cool-car',
  words: 'The car is cooled',
  change: ({ commission }) => {
    commission.brief.transport.coolCar = true
  },
}

const completeBefore: WayOut = {
  id: 'before-driving',
  words: 'Complete it before driving',
  change: ({ commission }) => {
    commission.brief.completion = 'beforeDriving'
  },
}

/** A way to make the cake fit its box, the smallest change first among those that a plan names. */
function boxWay(remedy: BoxRemedy, units: UnitSystem): WayOut {
  const length = (mm: number): string => printQuantity(mm, 'length', units)
  switch (remedy.kind) {
    case 'placeAtVenue':
      return { ...atVenue, id: remedy.kind, words: 'Place what stands out at the venue' }
    case 'tiersApart':
      return {
        id: remedy.kind,
        words:
          remedy.tiersApart === 1
            ? 'Let the top tier travel apart'
            : `Let the top ${remedy.tiersApart} tiers travel apart`,
        change: ({ commission }) => {
          chosenOption(commission).tiersApart = remedy.tiersApart
        },
      }
    case 'box': {
      const { widthMm, depthMm, heightMm } = remedy.box
      return {
        id: remedy.kind,
        words: `Take a box of ${length(widthMm)} × ${length(depthMm)} × ${length(heightMm)}`,
        change: ({ commission }) => {
          commission.brief.box = { ...remedy.box }
        },
      }
    }
  }
}

/** Another way of drying for decorations that may dry so; none where no decoration may. */
function dryIn(way: DryingWay, ids: readonly string[], { commission }: Studio): readonly WayOut[] {
  const mayDrySo = chosenOption(commission).decorations.filter(
    ({ id, technique, drying }) =>
      ids.includes(id) && drying.way !== way && waysToDry(techniqueOf(technique)).includes(way),
  )
  if (mayDrySo.length === 0) return []
  const change: WayOut['change'] = (draft) => {
    for (const { id } of mayDrySo)
      inDecoration(id, (each) => {
        each.drying = { ...each.drying, way }
      })(draft)
  }
  return [{ id: `dry-in-${way}`, words: `Dry it: ${DRYING_WORDS[way].name.toLowerCase()}`, change }]
}

/** Drier ways for all soaked film, or for damped paper that never gets dry enough. */
function drierWays({ caution, plan, studio }: Wanted): readonly WayOut[] {
  const soaked = plan.dryings.flatMap(({ decorations }) => decorations)
  const ids =
    caution.code === 'paper-never-dry'
      ? plan.decorations.map(({ id }) => id).filter((id) => !soaked.includes(id))
      : soaked
  return [...dryIn('dryRoom', ids, studio), ...dryIn('oven', ids, studio)]
}

/** The oven, for what would still lie on mats. */
const quickerWay = ({ plan, studio }: Wanted): readonly WayOut[] =>
  dryIn(
    'oven',
    plan.dryings.flatMap(({ decorations }) => decorations),
    studio,
  )

/** Papers that the technique of a decoration takes. */
function otherPapers({ caution, studio }: Wanted): readonly WayOut[] {
  const decoration = chosenOption(studio.commission).decorations.find(({ id }) => id === caution.decoration)
  if (!decoration) return []
  const { papers } = techniqueOf(decoration.technique)
  if (papers.includes(decoration.paper)) return []
  return papers.map((paper) => ({
    id: `paper-${paper}`,
    words: `Make it of ${paperOf(paper).name.toLowerCase()}`,
    change: inDecoration(decoration.id, (each) => {
      each.paper = paper
    }),
  }))
}

function waysToPlace({ caution, plan, units }: Wanted): readonly WayOut[] {
  const ways = plan.decorations.find(({ id }) => id === caution.decoration)?.fewer?.ways ?? []
  return ways.map((way) => {
    const words = wayToFitWords(way, units)
    return {
      id: `fit-${way.id}-${way.to}`,
      words: words.charAt(0).toUpperCase() + words.slice(1),
      change: inDecoration(caution.decoration!, (each) => {
        Object.assign(each, structuredClone(way.change))
      }),
    }
  })
}

/** The usual size of each paper that is used and of which none is in use. */
function usualSheets({ plan, studio }: Wanted): readonly WayOut[] {
  const missing = [...new Set(plan.decorations.map(({ paper }) => paper))].filter(
    (id) => !studio.workshop.papers.some(({ paper, inUse }) => paper === id && inUse),
  )
  return missing.flatMap((id) => {
    const usual = paperOf(id).shapes[0]!
    const isUsual = ({ paper, shape }: Workshop['papers'][number]): boolean =>
      paper === id && shapeKey(shape) === shapeKey(usual)
    return studio.workshop.papers.some(isUsual)
      ? [
          {
            id: `in-use-${id}`,
            words: `Use ${paperOf(id).name.toLowerCase()}, ${shapeName(usual)}`,
            change: ({ workshop }: OpenStudio) => {
              const size = workshop.papers.find(isUsual)
              if (size) size.inUse = true
            },
          },
        ]
      : []
  })
}

/** Accents that lie near nothing any more. */
function withoutStray({ plan }: Wanted): readonly WayOut[] {
  return plan.accents
    .filter(({ elements }) => elements.length === 0)
    .map(({ id, many }) => ({
      id: `without-${id}`,
      words: `Remove the ${many}`,
      change: ({ commission }: OpenStudio) => {
        const option = chosenOption(commission)
        option.accents = option.accents.filter((each) => each.id !== id)
      },
    }))
}

const lowerSweep = ({ caution, plan }: Wanted): readonly WayOut[] => {
  const topMm = Math.floor(Math.max(...plan.stack.filter(({ pile }) => pile === 0).map((tier) => tier.topMm)))
  return [
    {
      id: 'lower-sweep',
      words: 'End it at the top of the cake',
      change: inDecoration(caution.decoration!, ({ composition }) => {
        if (composition.kind !== 'sweep') return
        composition.fromHeightMm = Math.min(composition.fromHeightMm, topMm)
        composition.toHeightMm = Math.min(composition.toHeightMm, topMm)
      }),
    },
  ]
}

const BOARD_ROUND_MM = 30
const BOARD_STEP_MM = 10

function largerBoard({ plan, studio, units }: Wanted): readonly WayOut[] {
  const { outline } = chosenOption(studio.commission).cake.board
  const reach = Math.max(...plan.stack.filter(({ footMm }) => footMm === 0).map((tier) => boardReachMm(outline, tier)))
  const acrossMm = Math.ceil((2 * (reach + BOARD_ROUND_MM)) / BOARD_STEP_MM) * BOARD_STEP_MM
  if (!boardSchema.shape.acrossMm.safeParse(acrossMm).success) return []
  return [
    {
      id: 'larger-board',
      words: `Take a board of ${printQuantity(acrossMm, 'length', units)}`,
      change: ({ commission }) => {
        chosenOption(commission).cake.board.acrossMm = acrossMm
      },
    },
  ]
}

const WAYS: Readonly<Record<string, (wanted: Wanted) => readonly WayOut[]>> = {
  'box-too-small': ({ plan, units }) => plan.remedies.map((remedy) => boxWay(remedy, units)),
  'board': largerBoard,
  'fewer-fit': waysToPlace,
  'laid-too-early': () => [atVenue],
  'never-sets': drierWays,
  'no-sheets': usualSheets,
  'paper-never-dry': drierWays,
  'road-softens': () => [atVenue],
  'slow-set': drierWays,
  'start-passed': quickerWay,
  'stray-accents': withoutStray,
  'sweep-above': lowerSweep,
  'unfit-paper': otherPapers,
  'venue-closed': () => [completeBefore],
  'warm-car': () => [coolCar],
}

/** Ways out of a caution that are one change, the gentlest first; none where only its leaf helps. */
export const waysOut = (wanted: Wanted): readonly WayOut[] => WAYS[wanted.caution.code]?.(wanted) ?? []
