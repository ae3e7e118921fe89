/** Records that do not hold together are set aside: shown, never dropped, and never in the way of the others. */
import type { SetAside, StudioDatabase } from './database'

type Loose = Readonly<Record<string, unknown>> | null | undefined

const isText = (value: unknown): value is string => typeof value === 'string'
const inside = (value: unknown, field: string): unknown => (value as Loose)?.[field]

/** What a commission must have to be shown in a list at all. Whether it holds together is asked once it is opened. */
export function faultOfRecord(record: unknown): string | null {
  const commission = inside(record, 'commission')
  const brief = inside(commission, 'brief')
  const options = inside(commission, 'options')
  if (!isText(inside(brief, 'name')) || !isText(inside(brief, 'eventAt'))) return 'brief: it is missing or damaged'
  if (!Array.isArray(options) || options.length === 0) return 'options: there are none'
  if (!options.some((option) => inside(option, 'id') === inside(commission, 'chosen')))
    return 'options: the one that is chosen is missing'
  if (inside(commission, 'id') !== inside(record, 'id')) return 'id: it is another than the one it is kept under'
  return null
}

/** Where in a record there is a number that is none; null where there is no such. */
export function oddNumberIn(value: unknown, path: readonly string[] = []): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : path.join(' → ')
  if (typeof value !== 'object' || value === null) return null
  for (const [name, inner] of Object.entries(value)) {
    const odd = oddNumberIn(inner, [...path, name])
    if (odd !== null) return odd
  }
  return null
}

const nameOf = (record: unknown): string => {
  const name = inside(inside(inside(record, 'commission'), 'brief'), 'name')
  return isText(name) && name.trim() !== '' ? name : 'A commission without a name'
}

/** Sets a commission aside; its history stays where it is. @returns its name, empty where it was gone already */
export async function setCommissionAside(
  database: StudioDatabase,
  id: string,
  why: readonly string[],
  now: number,
): Promise<string> {
  return database.transaction('rw', database.commissions, database.setAside, async () => {
    const record: unknown = await database.commissions.get(id)
    if (record === undefined) return ''
    // What was set aside under the same name before stays.
    const name = nameOf(record)
    await database.setAside.put({ id: `${id} ${now}`, name, at: now, why, record })
    await database.commissions.delete(id)
    return name
  })
}

/** Sets the workshop aside; the studio goes on with what a workshop begins with. */
export async function setWorkshopAside(database: StudioDatabase, why: readonly string[], now: number): Promise<void> {
  await database.transaction('rw', database.workshop, database.setAside, async () => {
    const record: unknown = await database.workshop.get('workshop')
    await database.setAside.put({ id: `workshop ${now}`, name: 'The workshop', at: now, why, record })
    await database.workshop.delete('workshop')
  })
}

/** What was set aside, the latest first. */
export const listSetAside = (database: StudioDatabase): Promise<readonly SetAside[]> =>
  database.setAside.orderBy('at').reverse().toArray()

/** Lets go what was set aside, for good. */
export const letSetAsideGo = (database: StudioDatabase, id: string): Promise<void> => database.setAside.delete(id)
