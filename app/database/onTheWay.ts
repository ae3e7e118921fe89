/**
 * What was done in the moment in which a page was closed. The database answers later than that; what still was on its
 * way is laid aside at once, and saved when Lamellon is opened again. Saving it twice changes nothing.
 */
import { z } from 'zod'
import { browserStorage } from './browserStorage'
import type { Save } from './keeping'

const PREFIX = 'lamellon.onTheWay.'
const OWN = `${PREFIX}${crypto.randomUUID()}`

/** A save that did not reach the database yet, and the studio it belongs to. */
export type OnTheWay = Omit<Save, 'beginning' | 'now'> & { readonly studio: 'own' | 'demo' }

const step = z.union([z.string(), z.strictObject({ member: z.string() })])
const change = z.looseObject({ kind: z.enum(['field', 'member', 'order']), path: z.array(step).min(1) })
const onTheWaySchema = z.array(
  z.strictObject({
    commissionId: z.string(),
    studio: z.enum(['own', 'demo']),
    forgotten: z.array(z.string()),
    changes: z.array(change),
    edit: z.strictObject({
      id: z.string(),
      of: z.string(),
      at: z.number(),
      label: z.string(),
      undone: z.boolean(),
      changes: z.array(change),
    }),
  }),
)

/** Lays aside what is on its way; nothing, once all has arrived. */
export function layAside(waiting: readonly OnTheWay[]): void {
  if (waiting.length === 0) browserStorage.removeItem(OWN)
  else browserStorage.setItem(OWN, JSON.stringify(waiting))
}

/** What pages that were closed had laid aside, each with the name it is let go by. What cannot be read is let go. */
export function laidAside(): readonly { readonly name: string; readonly waiting: readonly OnTheWay[] }[] {
  const names = browserStorage.names().filter((name) => name.startsWith(PREFIX) && name !== OWN)
  return names.map((name) => {
    try {
      const read = onTheWaySchema.safeParse(JSON.parse(browserStorage.getItem(name) ?? '[]'))
      return { name, waiting: read.success ? (read.data as unknown as readonly OnTheWay[]) : [] }
    } catch {
      return { name, waiting: [] }
    }
  })
}

export const letGo = (name: string): void => browserStorage.removeItem(name)
