/** What the plan knows of the work that went wrong, for the trouble guide. */
import type { TroubleFacts } from '../care'
import { recordOf, type Bench } from '../ledger'
import { coveringOf, paperOf } from '../material'
import { chosenOption, techniqueOf, type Commission, type Plan, type Workshop } from '../plan'
import { soakedSail, type FinishId } from '../technique'
import { partsOf } from './parts'

const SHIMMERS: readonly FinishId[] = ['edgeGilding', 'stencilShine', 'dusting']

/** Facts about a decoration, or about the sails. @param of the decoration's id, or `sails` */
export function troubleFacts(
  of: string,
  plan: Plan,
  commission: Commission,
  workshop: Workshop,
  bench: Bench,
): TroubleFacts {
  const { brief } = commission
  const { cake } = chosenOption(commission)
  const paper = plan.paperwork.find(({ id }) => id === of)
  const decoration = chosenOption(commission).paperwork.find(({ id }) => id === of)
  const isSails = paper === undefined
  const technique = paper && techniqueOf(paper.technique)
  const tiers = paper ? paper.elements.map(({ tier }) => tier) : plan.arrangement.sails.map(({ place }) => place.tier)
  const coverings = [...new Set(tiers.map((tier) => cake.tiers[tier]!.covering))].map(coveringOf)
  const parts = partsOf(plan, bench)
    .filter((part) => part.of === of)
    .map(({ id }) => id)
  const [good, broken] = (['good', 'broken'] as const).map((what) =>
    parts.reduce((sum, id) => sum + (bench.counts[id]?.[what] ?? 0), 0),
  ) as [number, number]
  const dishes = plan.dishes.dishes.filter(({ uses }) => uses.some((use) => use.decoration === of))
  const dyes = new Set(
    isSails
      ? (plan.bath?.steps.flatMap(({ wholeDrops }) =>
          Object.entries(wholeDrops).flatMap(([dye, drops]) => (drops > 0 ? [dye] : [])),
        ) ?? [])
      : dishes.flatMap(({ doses }) => doses.map(({ dye }) => dye)),
  )
  const firm = plan.drying.ready.firm.planned?.value ?? 0
  return {
    isFilm: isSails || paperOf(paper.paper).kind === 'film',
    isThin: paper?.paper === 'thinWafer',
    heat: technique?.heat ?? null,
    isWetted: decoration
      ? (decoration.colouring.way === 'brush' || decoration.colouring.way === 'mist') &&
        decoration.colouring.carrier === 'water'
      : false,
    sugarDyes: workshop.dyes.filter(({ id, base }) => base === 'sugarGel' && dyes.has(id)).map(({ name }) => name),
    roomHumidity: brief.workroom.humidity,
    venueHumidity: brief.venue.humidity,
    chanceOfSetting: plan.drying.chanceOfSetting.value,
    soakWaterC: chosenOption(commission).decorations[0]?.drying.soakWaterC ?? 38,
    liftedEarlyMin: isSails
      ? Math.max(
          0,
          ...plan.loads.map(({ number }) => {
            const [draped, lifted] = [
              recordOf(bench, `drape-${number}`)?.doneAt ?? null,
              recordOf(bench, `lift-${number}`)?.begunAt ?? null,
            ]
            return draped === null || lifted === null ? 0 : draped + firm - lifted
          }),
        )
      : 0,
    shrinkTrials: workshop.shrinkTrials.length,
    moistCoverings: coverings.filter(({ wetness }) => wetness !== 'dry').map(({ name }) => name.toLowerCase()),
    isChilled: cake.tiers.some(({ chilled }) => chilled),
    isSkewered: isSails ? (chosenOption(commission).decorations[0]?.sail.skewered ?? false) : false,
    isWired: (paper?.wiring.length ?? 0) > 0,
    doses: isSails ? (plan.bath?.steps.length ?? 1) : Math.max(1, dishes.length),
    shimmers: decoration?.finishes.some(({ finish }) => SHIMMERS.includes(finish)) ?? false,
    breakageShare: good + broken > 0 ? broken / (good + broken) : null,
    spareShare: isSails ? soakedSail.spareShare.value : technique!.spareShare.value,
  }
}
