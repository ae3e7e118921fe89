/** The card for whoever keeps, cuts and eats the cake, from what is on it. */
import type { Cake, StandingTier } from '../../cake'
import { careCard, type CareCard } from '../../care'
import type { PlannedDecoration } from '../../decoration'
import type { Climate } from '../../dry'
import { glueOf, paperOf } from '../../material'
import type { PlannedAccent } from './accents'
import type { SoakedDrying } from './dry'
import type { Inedible } from './inedible'
import { tiersTouched } from './standing'
import type { OnTier } from './onTheCake'

type CareInputs = {
  readonly cake: Cake
  readonly stack: readonly StandingTier[]
  readonly decorations: readonly PlannedDecoration[]
  readonly accents: readonly PlannedAccent[]
  readonly inedible: readonly Inedible[]
  readonly dryings: readonly SoakedDrying[]
  readonly onTheCake: readonly OnTier[]
  readonly venue: Climate
}

/** The soonest of some minutes, none counting as never. */
const soonest = (minutes: readonly (number | null)[]): number | null =>
  minutes.reduce<number | null>((least, each) => (each === null ? least : Math.min(each, least ?? Infinity)), null)

/** Finishes of decorations, each once, with what it is on. */
function finishesOn(decorations: readonly PlannedDecoration[]) {
  const names = [...new Set(decorations.flatMap(({ finishes }) => finishes.map(({ name }) => name)))]
  return names.map((name) => ({
    name,
    on: decorations.filter(({ finishes }) => finishes.some((each) => each.name === name)).map((each) => each.called),
  }))
}

export function careCardOf(inputs: CareInputs): CareCard {
  const { cake, stack, decorations, accents, inedible, dryings, onTheCake, venue } = inputs
  const isFilm = ({ paper }: PlannedDecoration): boolean => paperOf(paper).kind === 'film'
  const film = decorations.filter(isFilm)
  const paper = decorations.filter((each) => !isFilm(each))
  const onTiers = tiersTouched(paper, stack).map(({ index }) => onTheCake[index]?.standingMin ?? null)
  return careCard({
    decorations: decorations.map((each) => ({
      name: each.name.toLowerCase(),
      called: each.called,
      count: each.count.value,
      isFilm: isFilm(each),
      isWired: each.removals.some(({ stays }) => stays),
    })),
    glues: [...new Set(film.flatMap(({ gluings }) => gluings.map(({ glue }) => glueOf(glue).name)))],
    venueHumidity: venue.humidity,
    venueSoftMin: soonest([...dryings.map(({ estimate }) => estimate.venueSoftMin), ...onTiers]),
    inedible: inedible.map(({ id, name, count: { value }, where, stays }) => ({
      id,
      name,
      count: value,
      where,
      stays,
    })),
    accents: accents.map(({ many, count, edible }) => ({ many, count: count.value, edible })),
    finishes: finishesOn(decorations),
    dummyTiers: cake.tiers.flatMap(({ covering, inside }, at) =>
      covering === 'dummy' || inside === 'dummy' ? [`Tier ${at + 1} from the bottom`] : [],
    ),
  })
}
