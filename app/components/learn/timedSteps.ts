/** Work that is timed in a trial. What is cut takes as long as its way of cutting: that is told at the bench. */
import { stepKey } from '#core/decoration'
import { paceSchema, STARTING_PACE, type Pace } from '#core/schedule'
import { TECHNIQUES, type Step } from '#core/technique'
import { stepName } from './knowledge'

const paces = (Object.keys(paceSchema.shape) as (keyof Pace)[]).filter((key) => key !== 'aheadMin')
const steps: readonly { readonly key: string; readonly step: Step }[] = TECHNIQUES.flatMap(({ id, steps: own }) =>
  own.filter((each) => !('cuts' in each)).map((each) => ({ key: stepKey(id, each.id), step: each as Step })),
)

/** The first in the list. */
export const FIRST_STEP = steps[0]!.key

/** All work that can be timed, to choose from. */
export const STEP_CHOICES = [
  ...paces.map((pace) => ({ value: pace as string, says: stepName(pace), group: 'At the cake' })),
  ...steps.map(({ key }) => ({ value: key, says: stepName(key), group: 'Paper' })),
]

/** Minutes that so many take by starting values. */
export function standardMin(step: string, pieces: number): number {
  if (step in STARTING_PACE) return pieces * STARTING_PACE[step as keyof Pace]
  const { perPiece = 0, perElement = 0, fixed = 0 } = steps.find(({ key }) => key === step)!.step.minutes
  return pieces * (perPiece > 0 ? perPiece : perElement) + fixed
}
