/**
 * What went wrong and is seen: causes, the likeliest first by what the plan knows, what to do now, what to change next
 * time.
 */
import { PAPER_TROUBLES } from './troubles/paper'
import { PIECE_TROUBLES } from './troubles/pieces'
import { STANDING_TROUBLES } from './troubles/standing'
import type { TroubleChange, TroubleFacts } from './troubles/trouble'

export const TROUBLES = [...PAPER_TROUBLES, ...STANDING_TROUBLES, ...PIECE_TROUBLES]

export type LikelyCause = {
  readonly id: string
  readonly words: string
  readonly now: string
  readonly next: string
  readonly because: string
  readonly share: number
  readonly change: TroubleChange | null
}

const LEAST_SHARE = 0.03

/**
 * Causes of what is seen, the likeliest first, with how much the plan's facts speak for each; those it rules out are
 * left off.
 */
export function likelyCauses(seen: string, facts: TroubleFacts): readonly LikelyCause[] {
  const causes = TROUBLES.find(({ id }) => id === seen)?.causes ?? []
  const weighed = causes.map((cause) => ({ cause, weight: cause.weight(facts) }))
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0)
  return weighed
    .filter(({ weight }) => weight / total >= LEAST_SHARE)
    .sort((one, other) => other.weight - one.weight)
    .map(({ cause: { id, words, now, next, because, change = null }, weight }) => ({
      id,
      words,
      now,
      next,
      change,
      because: because?.(facts) ?? '',
      share: weight / total,
    }))
}
