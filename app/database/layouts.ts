import Dexie, { type EntityTable } from 'dexie'
import type { NestLayout, NestMeasure } from '#core/cut'

/** How far the search for a closer layout of a job came, and what it has found. `key` is the name of the job's content. */
export type KeptLayout = {
  key: string
  at: number
  layout: NestLayout
  spentMs: number
  untilMs: number
  first: NestMeasure
  now: NestMeasure
}

const MOST_KEPT = 300

/**
 * Layouts that were found, so that a page opened anew need not search again. They belong to what they are layouts of,
 * whichever commission that is in; apart from the studio, because nothing is lost with them.
 */
export class LayoutDatabase extends Dexie {
  layouts!: EntityTable<KeptLayout, 'key'>

  constructor(name = 'lamellon-layouts') {
    super(name)
    this.version(1).stores({ layouts: 'key, at' })
  }

  /** Keeps a layout, and lets the oldest go. */
  async keep(layout: KeptLayout): Promise<void> {
    await this.layouts.put(layout)
    const over = (await this.layouts.count()) - MOST_KEPT
    if (over > 0) await this.layouts.bulkDelete(await this.layouts.orderBy('at').limit(over).primaryKeys())
  }
}
