import { setting, type Working, type WorkingKind } from '../quantity'

/** A figure of a technique that is chosen in Arrange: a starting value as long as it is as the technique begins. */
export const chosen = (label: string, value: number, began: number, kind: WorkingKind): Working =>
  setting(label, value, began, kind, 'usual', 'Arrange')
