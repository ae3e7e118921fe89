/** How long paper takes to dry here, and at which humidity it stops setting, from what was seen on the formers. */
import { z } from 'zod'
import { paperIds, paperOf, type PaperId } from '../material'
import {
  DRYING_CASES,
  dryingCaseMin,
  HYGROMETER_DEVIATION,
  SETTING_LIMIT,
  SETTING_LIMIT_DEVIATION,
  type DryingCaseId,
} from '../dry'
import { cutNormal, factorOf, type Factor, type Sighting } from './factor'
import { foretold, type Foretold } from './progress'
import { trialFields } from './trial'

/** Paper that is only to be handled dries otherwise than paper that has to stand: each has a factor of its own. */
export const DRY_STATES = ['handle', 'firm'] as const
export type DryState = (typeof DRY_STATES)[number]

/** A paper dried so far, as what is learned of it is kept. */
export type DriedPaper = `${PaperId} ${DryState}`
export const driedPaper = (paper: PaperId, state: DryState): DriedPaper => `${paper} ${state}`

const stateOf = (what: DryingCaseId): DryState => (DRYING_CASES[what].until === 'handle' ? 'handle' : 'firm')

const caseIds = Object.keys(DRYING_CASES) as [DryingCaseId, ...DryingCaseId[]]

/**
 * Something that dried: when it was still soft, when it was found ready; either may be missing. Minutes from when it
 * was laid down.
 */
export const dryingTrialSchema = z
  .strictObject({
    ...trialFields,
    paper: z.enum(paperIds).meta({ label: 'Paper' }),
    thicknessMm: z.number().min(0.1).max(1).meta({ label: 'Thick', kind: 'length' }),
    what: z.enum(caseIds).meta({ label: 'What dried' }),
    airC: z.number().min(5).max(45).meta({ label: 'Warmth', kind: 'temperature' }),
    humidity: z.number().min(0.05).max(0.98).meta({ label: 'Humidity', kind: 'share' }),
    softAtMin: z.number().min(0).max(20_000).meta({ label: 'Still soft after', kind: 'duration' }).nullable(),
    readyAtMin: z.number().min(1).max(20_000).meta({ label: 'Ready after', kind: 'duration' }).nullable(),
  })
  .refine(({ softAtMin, readyAtMin }) => softAtMin !== null || readyAtMin !== null, {
    path: ['readyAtMin'],
    message: 'Say when it was still soft, or when it was ready.',
  })
  .refine(({ softAtMin, readyAtMin }) => softAtMin === null || readyAtMin === null || softAtMin <= readyAtMin, {
    path: ['softAtMin'],
    message: 'It cannot be soft after it was ready.',
  })
  .refine(({ paper, what }) => paperOf(paper).kind === DRYING_CASES[what].kind, {
    path: ['paper'],
    message: 'Film is soaked, wafer is damped: choose the paper that dried so.',
  })

export type DryingTrial = z.infer<typeof dryingTrialSchema>

/**
 * Papers stray by 0.30 from the drying curve, rooms by 0.38, one piece from the next by 0.25 (deviations of
 * logarithms).
 */
const DRYING = { thing: 0.3, place: 0.38, noise: 0.25 } as const

/**
 * A trial as a sighting: exact when it was soft just before it was ready; where the curve says never, it tells of the
 * limit only.
 */
function sightingOf(
  { what, paper, thicknessMm, room, airC, humidity, softAtMin, readyAtMin }: DryingTrial,
  shift: number,
): readonly Sighting[] {
  const model = dryingCaseMin(what, thicknessMm, {
    airC,
    humidity: Math.min(0.98, Math.max(0.05, humidity + shift)),
  })
  if (model === null) return []
  const against = (minutes: number): number => Math.log(minutes / model)
  return [
    {
      thing: driedPaper(paper, stateOf(what)),
      place: room,
      from: softAtMin === null || softAtMin === 0 ? -Infinity : against(softAtMin),
      to: readyAtMin === null ? Infinity : against(readyAtMin),
    },
  ]
}

/**
 * How long a paper takes in a room to dry so far, against the drying curve. @param shift how far the room's own limit lies
 * from the usual one
 */
export function dryingFactor(
  paper: PaperId,
  state: DryState,
  room: string,
  trials: readonly DryingTrial[],
  shift = 0,
): Factor {
  return factorOf(
    trials.filter(({ odd }) => !odd).flatMap((trial) => sightingOf(trial, shift)),
    driedPaper(paper, state),
    room,
    DRYING,
  )
}

/** How each drying of a paper was foretold. */
export const dryingForetold = (
  paper: PaperId,
  state: DryState,
  trials: readonly DryingTrial[],
  shift = 0,
): readonly Foretold[] =>
  foretold(
    trials.filter(({ odd }) => !odd).flatMap((trial) => sightingOf(trial, shift)),
    driedPaper(paper, state),
    DRYING,
  )

/** The humidity up to which a room sets film hard, as its hygrometer shows it. */
export type Limit = { readonly mean: number; readonly deviation: number; readonly trials: number }

/** How much drier than read the air of a room counts, whose limit is known. */
export const limitShift = (limit: Pick<Limit, 'mean'> | null): number => (limit ? SETTING_LIMIT - limit.mean : 0)

/** After two days what is still soft will not set. */
const NEVER_AFTER_MIN = 2 * 1440

/**
 * The limit of a room: set hard at a humidity moves it up to there, still soft after two days moves it down.
 *
 * By hand, the usual limit of 62.5 ± 4 points, read to 2: set hard at 64 %: cut at ( 64 − 62.5 ) ÷ √( 16 + 4 ) =
 * 0.335, mean of what lies above 1.024,
 * so the limit moves by 16 ÷ 4.47 × 1.024 = 3.7 points to 66.2 %.
 */
export function limitOf(room: string, trials: readonly DryingTrial[]): Limit {
  const told = trials.filter(
    (trial) =>
      trial.room === room &&
      !trial.odd &&
      trial.what === 'filmMat' &&
      (trial.readyAtMin !== null || (trial.softAtMin ?? 0) >= NEVER_AFTER_MIN),
  )
  const { mean, variance } = told.reduce(
    (belief, { humidity, readyAtMin }) => {
      const deviation = Math.hypot(Math.sqrt(belief.variance), HYGROMETER_DEVIATION)
      const at = (humidity - belief.mean) / deviation
      const cut = readyAtMin !== null ? cutNormal(at, Infinity) : cutNormal(-Infinity, at)
      return {
        mean: belief.mean + (belief.variance / deviation) * cut.mean,
        variance: belief.variance - (belief.variance ** 2 / deviation ** 2) * (1 - cut.variance),
      }
    },
    { mean: SETTING_LIMIT, variance: SETTING_LIMIT_DEVIATION ** 2 },
  )
  return { mean, deviation: Math.sqrt(variance), trials: told.length }
}
