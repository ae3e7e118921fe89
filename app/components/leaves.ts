import type { Leaf } from '#core/care'

/** The leaves as the tabs show them, in the order of the work; `key` is the key that turns to it. */
export const LEAF_TABS: readonly { readonly leaf: Leaf; readonly name: string; readonly key: string }[] = [
  { leaf: 'brief', name: 'Brief', key: '1' },
  { leaf: 'tiers', name: 'Tiers', key: '2' },
  { leaf: 'arrange', name: 'Arrange', key: '3' },
  { leaf: 'cut', name: 'Cut', key: '4' },
  { leaf: 'tint', name: 'Tint', key: '5' },
  { leaf: 'dry', name: 'Dry', key: '6' },
  { leaf: 'timetable', name: 'Timetable', key: '7' },
  { leaf: 'supply', name: 'Supply', key: 's' },
  { leaf: 'make', name: 'Make', key: '8' },
  { leaf: 'deliver', name: 'Deliver', key: '9' },
  { leaf: 'learn', name: 'Learn', key: '0' },
]
