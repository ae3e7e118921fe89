/** What keeps the studio from opening, or its figures from following the last edit. */
import { WrittenByNewer } from '~/database/database'
import { WorkerGone } from '~/workers/hired'

export type Trouble =
  /** This browser keeps nothing for this address. */
  | { readonly code: 'refused'; readonly reason: string }
  | { readonly code: 'full' }
  | { readonly code: 'notOpened'; readonly reason: string }
  /** What lies here was written by a later Lamellon. */
  | { readonly code: 'newer' }
  /** Another window holds what is to be brought up. */
  | { readonly code: 'blocked' }
  /** Nobody answers: what works the plan out could not be loaded, or ended. */
  | { readonly code: 'nobody' }
  /** The person who waited has stopped it. */
  | { readonly code: 'stopped' }
  | { readonly code: 'unworkable'; readonly reason: string }

/** What is said of it, and what to do. */
export function troubleSentence(trouble: Trouble, hasFigures: boolean): string {
  const before = hasFigures ? ' The figures are those of before.' : ''
  switch (trouble.code) {
    case 'refused':
      return (
        'This browser lets Lamellon keep nothing here. It may be a private window, or keeping data may be switched ' +
        `off for this address. Allow it, then try again. (${trouble.reason})`
      )
    case 'notOpened':
      return `The studio could not be opened: ${trouble.reason}. Nothing was changed. Try again, or reload.`
    case 'full':
      return 'The room this browser gives is full. Make room on this device, then try again.'
    case 'newer':
      return 'What is kept here was written by a newer Lamellon. Reload to get that one. Nothing was changed.'
    case 'blocked':
      return 'Another window still has an older Lamellon open. Close it; this one goes on by itself then.'
    case 'nobody':
      return `What works the plan out could not be loaded, or has ended.${before} Try again, or reload.`
    case 'stopped':
      return `Working the plan out was stopped.${before} Take back the last edit, or try again.`
    case 'unworkable':
      return (
        `The plan could not be worked out: ${trouble.reason}.${before} ` +
        'Take back the last edit, or save the commission to a file.'
      )
  }
}

/** Errors of a browser that gives a page no database. */
const REFUSALS = ['SecurityError', 'InvalidStateError', 'UnknownError', 'MissingAPIError', 'NotAllowedError']

const namesOf = (reason: unknown): readonly string[] => {
  if (!(reason instanceof Error)) return []
  const inner = (reason as { readonly inner?: unknown }).inner
  return [reason.name, ...(inner === reason ? [] : namesOf(inner))]
}

/** Whether the browser had no room for what was to be kept. */
export const isFull = (reason: unknown): boolean => namesOf(reason).includes('QuotaExceededError')

/** Why the studio could not be opened. */
export function openingTrouble(reason: unknown): Trouble {
  if (isFull(reason)) return { code: 'full' }
  if (reason instanceof WrittenByNewer) return { code: 'newer' }
  const says = reason instanceof Error ? reason.message : String(reason)
  const isRefused = namesOf(reason).some((name) => REFUSALS.includes(name))
  return { code: isRefused ? 'refused' : 'notOpened', reason: says }
}

/** Why there are no figures of what was asked last. */
export function planTrouble(reason: unknown): Trouble {
  if (reason instanceof WorkerGone) return { code: reason.why === 'stopped' ? 'stopped' : 'nobody' }
  return { code: 'unworkable', reason: reason instanceof Error ? reason.message : String(reason) }
}
