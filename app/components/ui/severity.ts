/** How a caution is marked, on the list of what needs a look and on the tab of its leaf. */
import { CircleAlert, Eye, ShieldAlert } from '@lucide/vue'
import type { Component } from 'vue'
import type { Caution } from '#core/care'

export const MARKS: Readonly<Record<Caution['severity'], { readonly icon: Component; readonly ink: string }>> = {
  stop: { icon: ShieldAlert, ink: 'text-stop' },
  look: { icon: Eye, ink: 'text-look-ink' },
  note: { icon: CircleAlert, ink: 'text-ink-soft' },
}
