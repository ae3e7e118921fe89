import { lightFormat } from 'date-fns'

/** The name of a commission's snapshot of a day. @param now ms by the world's clock */
export const dayOf = (id: string, now: number): string => `${id} ${lightFormat(now, 'yyyy-MM-dd')}`

/** The name of a commission's snapshot of when it was removed. */
export const lastOf = (id: string): string => `${id} last`
