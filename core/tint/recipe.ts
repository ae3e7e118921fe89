/** From a colour to what mixes it: the fewest dyes of the shelf that come as near as any. */
import type { Dye } from '../material'
import {
  absorptionFor,
  bandsOklab,
  difference,
  dyeAbsorption,
  hexBands,
  hexOklab,
  sentBack,
  SOAKED_FILM,
  WHITE_BEHIND,
  type ColouredSheet,
  type Dose,
  type Oklab,
} from './paperOptics'

/**
 * Why a colour cannot be reached: paler than the bare sheet, deeper than the strongest mix, purer than these dyes mix.
 */
export type OutOfReach = 'paler' | 'deeper' | 'purer'

export type Recipe = {
  /** Drops in 100 ml, of the dyes that are in it. */
  readonly dose: Dose
  /** What is left between the colour asked for and the one that comes (0.02 is about just visible). */
  readonly difference: number
  readonly outOfReach: OutOfReach | null
}

const MOST_DYES = 3
/**
 * The strongest bath, drops in 100 ml; what is brushed on thinly may be stronger, up to as much dye on the sheet, and
 * no more than a brush still spreads.
 */
const STRONGEST_BATH_DROPS = 120
const BATH_G_PER_DM2 = 3
const STRONGEST_PAINT_DROPS = 800

/** The most drops of one dye in 100 ml of what colours a sheet. */
const mostDropsFor = ({ colouring }: ColouredSheet): number =>
  Math.min(STRONGEST_PAINT_DROPS, (STRONGEST_BATH_DROPS * BATH_G_PER_DM2) / colouring.gPerDm2)
/** One more dye must bring the colour nearer by this. */
const WORTH_A_DYE = 0.008
/** Differences above this are seen at once. */
const REACHED_WITHIN = 0.02
/** Dyes of a mixture below this are left out, drops in 100 ml. */
const LEAST_DROPS = 0.01

/**
 * The mix of the fewest dyes that brings a sheet over white nearest to a colour.
 * Absorptions add up, so that every one, two or three dyes are first met as lengths that make up what the colour
 * absorbs (three bands are never better met by four dyes);
 * the likeliest of each number are then walked to where the eye sees least difference.
 *
 * @param sheet what is coloured, and how
 * @see Levenberg 1944, Marquardt 1963
 */
export function recipeFor(targetHex: string, dyes: readonly Dye[], sheet: ColouredSheet = SOAKED_FILM): Recipe {
  const key = JSON.stringify([targetHex.toLowerCase(), dyes, sheet])
  const kept = known.get(key)
  if (kept) return kept
  const recipe = searchRecipe(targetHex, dyes, sheet)
  if (known.size >= MOST_KNOWN) known.clear()
  known.set(key, recipe)
  return recipe
}

/** Recipes that were found, since most edits leave colours alone. */
const known = new Map<string, Recipe>()
const MOST_KNOWN = 400

function searchRecipe(targetHex: string, dyes: readonly Dye[], sheet: ColouredSheet): Recipe {
  const target = hexOklab(targetHex)
  const most = mostDropsFor(sheet)
  const wanted = hexBands(targetHex).map((light, band) => absorptionFor(sheet, band, Math.max(light, DARKEST)))
  const weights = [slopesAt(wanted, sheet), IDENTITY]
  const bare: Mix = { dose: {}, difference: difference(colourAt([0, 0, 0], sheet), target) }
  const nearest = Array.from({ length: MOST_DYES }, (_, at) => at + 1).flatMap((count) => {
    const likely = choices(dyes, count)
      .flatMap((some) =>
        [...weights.map((weight) => lengthsFor(some, wanted, weight, most)), some.map(() => most)].map(
          (drops): Start => ({ dyes: some, drops, away: difference(colourAt(absorbed(some, drops), sheet), target) }),
        ),
      )
      .sort((one, other) => one.away - other.away)
      .slice(0, MOST_WALKS)
    return likely
      .map((start) => nearestMix(start, target, sheet, most))
      .sort((one, other) => one.difference - other.difference)
      .slice(0, 1)
  })
  const least = Math.min(...[bare, ...nearest].map((mix) => mix.difference))
  const best = [bare, ...nearest].find((mix) => mix.difference <= least + WORTH_A_DYE)!
  return {
    ...best,
    outOfReach:
      best.difference <= REACHED_WITHIN
        ? null
        : whyOutOfReach(wanted, target, colourAt(dyeAbsorption(best.dose, dyes), sheet), best.dose, most),
  }
}

type Start = { readonly dyes: readonly Dye[]; readonly drops: readonly number[]; readonly away: number }

/** No paper sends back less light than this. */
const DARKEST = 1e-3
/** Of each number of dyes, so many beginnings are walked on from. */
const MOST_WALKS = 12
const IDENTITY = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
] as const

type Columns = readonly (readonly number[])[]

/** How the colour seen changes with each band's absorption: a column for each band. */
function slopesAt(absorption: readonly number[], sheet: ColouredSheet): Columns {
  const seen = (at: readonly number[]): readonly number[] => {
    const { l, a, b } = colourAt(at, sheet)
    return [l, a, b]
  }
  const here = seen(absorption)
  return absorption.map((each, band) => {
    const nudge = Math.max(NUDGE, each * NUDGE)
    return seen(absorption.map((other, index) => (index === band ? other + nudge : other))).map(
      (moved, part) => (moved - here[part]!) / nudge,
    )
  })
}

const absorbed = (dyes: readonly Dye[], drops: readonly number[]): readonly number[] =>
  [0, 1, 2].map((band) =>
    dyes.reduce((sum, { absorptionPerDrop }, at) => sum + drops[at]! * absorptionPerDrop[band]!, 0),
  )
const within = (drops: number, most: number): number => Math.min(most, Math.max(0, drops))

/** Drops whose absorptions add up to what is wanted, as near as they can by a weight for each band. */
function lengthsFor(dyes: readonly Dye[], wanted: readonly number[], weight: Columns, most: number): readonly number[] {
  const weighed = (bands: readonly number[]): readonly number[] =>
    [0, 1, 2].map((part) => bands.reduce((sum, each, band) => sum + each * weight[band]![part]!, 0))
  const columns = dyes.map(({ absorptionPerDrop }) => weighed(absorptionPerDrop))
  const right = weighed(wanted)
  return solved(
    columns.map((one, row) => columns.map((other, column) => dot(one, other) * (row === column ? 1 + 1e-9 : 1))),
    columns.map((column) => dot(column, right)),
  ).map((drops) => within(drops, most))
}

type Mix = Pick<Recipe, 'dose' | 'difference'>

function whyOutOfReach(wanted: readonly number[], target: Oklab, came: Oklab, dose: Dose, most: number): OutOfReach {
  if (wanted.every((absorption) => absorption === 0)) return 'paler'
  return target.l < came.l && Object.values(dose).some((drops) => drops > most * 0.99) ? 'deeper' : 'purer'
}

/** Every choice of so many dyes. */
function choices(dyes: readonly Dye[], count: number): readonly (readonly Dye[])[] {
  if (count === 0) return [[]]
  return dyes.flatMap((dye, at) => choices(dyes.slice(at + 1), count - 1).map((rest) => [dye, ...rest]))
}

const colourAt = (absorption: readonly number[], sheet: ColouredSheet): Oklab =>
  bandsOklab(
    [0, 1, 2].map((band) => sentBack(sheet, band, absorption[band]!, WHITE_BEHIND[band]!)) as unknown as readonly [
      number,
      number,
      number,
    ],
  )

const STEPS = 40
const NUDGE = 1e-4
/** Squared difference below which a walk is there, and damping above which it is stuck. */
const NEAR = 1e-7
const STUCK = 1e7

/** Walks from a beginning to the dose that is seen nearest to the target. */
function nearestMix({ dyes, drops: start }: Start, target: Oklab, sheet: ColouredSheet, most: number): Mix {
  const missBy = (drops: readonly number[]): readonly number[] => {
    const { l, a, b } = colourAt(absorbed(dyes, drops), sheet)
    return [l - target.l, a - target.a, b - target.b]
  }
  let drops = start
  let miss = missBy(drops)
  let damping = 1e-3
  for (let step = 0; step < STEPS && dot(miss, miss) > NEAR && damping < STUCK; step += 1) {
    const slopes = drops.map((each, at) => {
      const nudge = Math.max(NUDGE, each * NUDGE)
      return missBy(drops.map((other, index) => (index === at ? other + nudge : other))).map(
        (moved, part) => (moved - miss[part]!) / nudge,
      )
    })
    // Only dyes that may still go the way they should.
    const free = drops.map((each, at) => {
      const downhill = -dot(slopes[at]!, miss)
      return !(each <= 0 && downhill < 0) && !(each >= most && downhill > 0)
    })
    const normal = slopes.map((one, row) =>
      slopes.map((other, column) =>
        free[row]! && free[column]! ? dot(one, other) * (row === column ? 1 + damping : 1) : row === column ? 1 : 0,
      ),
    )
    const change = solved(
      normal,
      slopes.map((slope, at) => (free[at]! ? -dot(slope, miss) : 0)),
    )
    const next = drops.map((each, at) => within(each + change[at]!, most))
    const missNext = missBy(next)
    if (dot(missNext, missNext) < dot(miss, miss)) {
      drops = next
      miss = missNext
      damping /= 5
    } else damping *= 8
  }
  return {
    dose: Object.fromEntries(dyes.flatMap(({ id }, at) => (drops[at]! >= LEAST_DROPS ? [[id, drops[at]!]] : []))),
    difference: Math.sqrt(dot(miss, miss)),
  }
}

const dot = (one: readonly number[], other: readonly number[]): number =>
  one.reduce((sum, each, at) => sum + each * other[at]!, 0)

/** Solves a few linear equations by elimination; an unknown that nothing decides is 0. */
function solved(rows: readonly (readonly number[])[], right: readonly number[]): readonly number[] {
  const table = rows.map((row, at) => [...row, right[at]!])
  const size = table.length
  for (let pivot = 0; pivot < size; pivot += 1) {
    const largest = table
      .slice(pivot)
      .reduce((best, row, at) => (Math.abs(row[pivot]!) > Math.abs(table[best]![pivot]!) ? pivot + at : best), pivot)
    ;[table[pivot], table[largest]] = [table[largest]!, table[pivot]!]
    const head = table[pivot]!
    if (Math.abs(head[pivot]!) < 1e-15) continue
    for (let row = 0; row < size; row += 1) {
      if (row === pivot) continue
      const share = table[row]![pivot]! / head[pivot]!
      for (let column = pivot; column <= size; column += 1) table[row]![column]! -= share * head[column]!
    }
  }
  return table.map((row, at) => (Math.abs(row[at]!) < 1e-15 ? 0 : row[size]! / row[at]!))
}
