/** What the plan knows of the work that went wrong, for the trouble guide. */
import type { Workshop } from '../workshop'
import { chosenOption, type Commission } from '../commission'
import type { TroubleFacts } from '../care'
import { recordOf, type Bench } from '../ledger'
import { coveringOf, paperOf } from '../material'
import { dryingOf, type Plan } from '../plan'
import { techniqueOf, type FinishId } from '../technique'
import { partsOf } from './parts'

const SHIMMERS: readonly FinishId[] = ['edgeGilding', 'stencilShine', 'dusting']

/** Facts about a decoration, or about the job where the step belongs to none. @param of the decoration's id */
export function troubleFacts(
  of: string,
  plan: Plan,
  commission: Commission,
  workshop: Workshop,
  bench: Bench,
): TroubleFacts {
  const { brief } = commission
  const { cake, decorations } = chosenOption(commission)
  const made = plan.decorations.find(({ id }) => id === of) ?? null
  const decoration = decorations.find(({ id }) => id === of) ?? null
  const technique = made && techniqueOf(made.technique)
  const tiers = made ? made.elements.map(({ tier }) => tier) : cake.tiers.map((_, at) => at)
  const coverings = [...new Set(tiers.map((tier) => cake.tiers[tier]!.covering))].map(coveringOf)
  const parts = partsOf(plan, bench).filter((part) => part.of === of)
  const came = (what: 'good' | 'broken'): number =>
    parts.reduce((sum, { id }) => sum + (bench.counts[id]?.[what] ?? 0), 0)
  const [good, broken] = [came('good'), came('broken')]
  const isFor = ({ uses }: { readonly uses: readonly { readonly decoration: string }[] }): boolean =>
    uses.some((use) => use.decoration === of)
  const dishes = plan.dishes.dishes.filter(isFor)
  const baths = plan.dishes.baths.filter(isFor)
  const dyes = new Set([
    ...dishes.flatMap(({ doses }) => doses.map(({ dye }) => dye)),
    ...baths.flatMap(({ steps }) =>
      steps.flatMap(({ wholeDrops }) => Object.entries(wholeDrops).flatMap(([dye, drops]) => (drops > 0 ? [dye] : []))),
    ),
  ])
  const { way, carrier } = decoration?.colouring ?? { way: 'bare', carrier: 'water' }
  const drying = dryingOf(plan.dryings, of)
  return {
    isFilm: made !== null && paperOf(made.paper).kind === 'film',
    isThin: made?.paper === 'thinWafer',
    heat: technique?.heat ?? null,
    isWetted: (way === 'brush' || way === 'mist') && carrier === 'water',
    sugarDyes: workshop.dyes.filter(({ id, base }) => base === 'sugarGel' && dyes.has(id)).map(({ name }) => name),
    roomHumidity: brief.workroom.humidity,
    venueHumidity: brief.venue.humidity,
    chanceOfSetting: drying?.estimate.chanceOfSetting.value ?? 1,
    soakWaterC: drying?.drying.soakWaterC ?? STARTING_SOAK_C,
    liftedEarlyMin: liftedEarlyMin(of, plan, bench),
    shrinkTrials: workshop.shrinkTrials.length,
    moistCoverings: coverings.filter(({ wetness }) => wetness !== 'dry').map(({ name }) => name.toLowerCase()),
    isChilled: cake.tiers.some(({ chilled }) => chilled),
    isSkewered: made?.removals.some(({ stays, count }) => stays && count > 0) ?? false,
    isWired: (made?.wiring.length ?? 0) > 0,
    doses: Math.max(1, dishes.length, ...baths.map(({ steps }) => steps.length)),
    shimmers: decoration?.finishes.some(({ finish }) => SHIMMERS.includes(finish)) ?? false,
    breakageShare: good + broken > 0 ? broken / (good + broken) : null,
    spareShare: technique?.spareShare.value ?? 0,
  }
}

const STARTING_SOAK_C = 38

/** How much too early something was taken up, minutes; the worst of a decoration. */
function liftedEarlyMin(of: string, { work }: Plan, bench: Bench): number {
  const steps = work.making.find(({ decoration }) => decoration === of)?.steps ?? []
  const early = steps.flatMap(({ turns, rest, hold }) =>
    turns.map(({ task }, at) => {
      const lift = steps.find(({ id }) => id === hold?.untilStep)?.turns[at]?.task
      const [laid, lifted] = [
        recordOf(bench, task)?.doneAt ?? null,
        lift ? (recordOf(bench, lift)?.begunAt ?? null) : null,
      ]
      return laid === null || lifted === null ? 0 : laid + rest.value - lifted
    }),
  )
  return Math.max(0, ...early)
}
