/** How strong a dye is on a paper, from strips that were dipped and dried. */
import { z } from 'zod'
import type { Bands, Dye } from '../material'
import { derive, found, starting, type Working } from '../quantity'
import { absorptionFor, hexBands, sentBack, sheetHex, WHITE_BEHIND, type ColouredSheet, type Dose } from '../tint'

const hexColour = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour such as #d9572b is expected.')

/** A strip of one dye that was dipped, dried and looked at beside a bare one, in the same light. */
export const dyeTrialSchema = z.strictObject({
  id: z.string().min(1).max(60),
  dye: z.string().min(1).max(60),
  kind: z.enum(['film', 'wafer']).meta({ label: 'Strip of' }),
  dropsPer100Ml: z.number().min(0.2).max(120).meta({ label: 'Drops in 100 ml', kind: 'count' }),
  bare: hexColour.meta({ label: 'The bare strip' }),
  swatch: hexColour.meta({ label: 'The dyed strip' }),
  /** Left out of what is learned. */
  odd: z.boolean(),
})

export type DyeTrial = z.infer<typeof dyeTrialSchema>

/**
 * A dye as its trials have it: its strength against what it began with, how unsure that is (deviation of its
 * logarithm), and how many trials say so.
 */
export type LearnedDye = {
  readonly dye: Dye
  readonly strength: number
  readonly spread: number
  readonly trials: number
}

/** Strengths before any trial may be out by a factor of two; a strip tells one within 15 %. */
const PRIOR_VARIANCE = 0.8 ** 2
const TRIAL_VARIANCE = 0.15 ** 2
/** How far the hue may be from what it began with, each band for itself, and how exactly light is read. */
const HUE_VARIANCE = 0.35 ** 2
const READING = 0.01
const FAINTEST = 1e-4
const NUDGE = 1e-4

type Reading = {
  readonly strength: number
  readonly hue: readonly { readonly shift: number; readonly variance: number }[]
}

/**
 * What one strip says: its light against the bare strip's, turned into what it absorbs, band by band; bands count by
 * how clearly they show.
 * @see Kubelka & Munk 1931
 */
function readingOf({ dropsPer100Ml, bare, swatch }: DyeTrial, dye: Dye, sheet: ColouredSheet): Reading {
  const [bareLight, light] = [hexBands(bare), hexBands(swatch)]
  const bands = [0, 1, 2].map((band) => {
    const sent = (light[band]! / Math.max(bareLight[band]!, FAINTEST)) * sentBack(sheet, band, 0, WHITE_BEHIND[band]!)
    const absorbed = Math.max(FAINTEST, absorptionFor(sheet, band, Math.max(sent, FAINTEST)))
    const slope =
      (sentBack(sheet, band, absorbed, WHITE_BEHIND[band]!) -
        sentBack(sheet, band, absorbed + NUDGE, WHITE_BEHIND[band]!)) /
      NUDGE
    return { absorbed, slope, expected: dye.absorptionPerDrop[band]! * dropsPer100Ml }
  })
  const sum = (of: (band: (typeof bands)[number]) => number): number =>
    bands.reduce((all, band) => all + band.slope ** 2 * of(band), 0)
  const strength = sum(({ absorbed, expected }) => absorbed * expected) / sum(({ expected }) => expected ** 2)
  return {
    strength,
    hue: bands.map(({ absorbed, slope, expected }) => ({
      shift: Math.log(absorbed / (strength * expected)),
      variance: TRIAL_VARIANCE + (READING / (absorbed * slope)) ** 2,
    })),
  }
}

/** Further off than so many deviations of a strip, it counts less. @see Huber 1964 */
const ODD_FROM = 1.5
const TURNS = 12

/** The mean of what strips say with what was believed before, and how much each counts. */
function weighed(logs: readonly number[]): {
  readonly weights: readonly number[]
  readonly mean: number
  readonly precision: number
} {
  let weights = logs.map(() => 1)
  for (let turn = 0; ; turn += 1) {
    const precision = 1 / PRIOR_VARIANCE + weights.reduce((sum, weight) => sum + weight, 0) / TRIAL_VARIANCE
    const mean = logs.reduce((sum, log, at) => sum + weights[at]! * log, 0) / TRIAL_VARIANCE / precision
    if (turn === TURNS) return { weights, mean, precision }
    weights = logs.map((log) =>
      Math.min(1, (ODD_FROM * Math.sqrt(TRIAL_VARIANCE)) / Math.max(Math.abs(log - mean), 1e-9)),
    )
  }
}

/**
 * The dye as its trials on such a sheet have it; trials of other papers and odd ones do not count.
 * A normal belief about the logarithm of its strength, and one about each band of its hue; a strip that lies far from
 * the others counts less the further off it is.
 *
 * @see Gelman et al. 2013, Bayesian Data Analysis, 2.5
 */
export function learnedDye(dye: Dye, trials: readonly DyeTrial[], sheet: ColouredSheet): LearnedDye {
  const readings = trials
    .filter((trial) => trial.dye === dye.id && trial.kind === sheet.kind && !trial.odd)
    .map((trial) => readingOf(trial, dye, sheet))
  const logs = readings.map(({ strength: seen }) => Math.log(seen))
  const { weights, mean, precision } = weighed(logs)
  const strength = Math.exp(mean)
  const bandOf = (band: number): number => {
    const shifts = readings.map(({ hue }, at) => ({
      shift: hue[band]!.shift,
      variance: hue[band]!.variance / weights[at]!,
    }))
    return (
      dye.absorptionPerDrop[band]! *
      strength *
      Math.exp(
        shifts.reduce((sum, { shift, variance }) => sum + shift / variance, 0) /
          (1 / HUE_VARIANCE + shifts.reduce((sum, { variance }) => sum + 1 / variance, 0)),
      )
    )
  }
  const absorptionPerDrop: Bands = [bandOf(0), bandOf(1), bandOf(2)]
  return { dye: { ...dye, absorptionPerDrop }, strength, spread: Math.sqrt(1 / precision), trials: readings.length }
}

/** How strong a dye counts, against what it began with, with how sure that is. */
export function strengthWorking({ dye: { name }, strength, spread, trials }: LearnedDye): Working {
  const began = starting(`${name} as it began`, 1, 'ratio', 'guess')
  if (trials === 0) return { ...began, label: `strength of ${name}` }
  return derive(
    `strength of ${name}`,
    'ratio',
    'strips weighed against the beginning',
    '{began}, moved by {strips} as far as they are surer; {spread} either way in two of three',
    {
      began,
      strips: found(trials === 1 ? 'strip' : 'strips', trials, 'count', 'dipped, dried and not marked odd'),
      spread: found('out by', spread, 'share', 'what is left of not knowing'),
    },
    () => strength,
  )
}

/** A normal belief lies beyond so many deviations once in ten. */
const ONE_IN_TEN = 1.2816

/** The palest and the deepest that a dose may come out, each exceeded once in ten, as hex. */
export function shadeRange(dose: Dose, dyes: readonly LearnedDye[], sheet: ColouredSheet): readonly [string, string] {
  const at = (deviations: number): string =>
    sheetHex(
      dose,
      dyes.map(({ dye, spread }) => ({
        ...dye,
        absorptionPerDrop: dye.absorptionPerDrop.map(
          (each) => each * Math.exp(deviations * spread),
        ) as unknown as Bands,
      })),
      sheet,
    )
  return [at(-ONE_IN_TEN), at(ONE_IN_TEN)]
}
