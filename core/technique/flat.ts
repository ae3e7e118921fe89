/** Sizes of flat paper pieces, from what is seen back to what is cut. */
import { plannedShrink, type ShrinkBelief } from '../learn'
import { derive, found, starting, type Working } from '../quantity'
import { chosen } from './chosen'

/** Paper that is damped and dried draws in a little; nothing is lost where it is cut and used dry. */
const DAMP_SHRINK = 0.02

/** @param learned what trials say, when there are enough of them */
export const dampShrink = (learned?: ShrinkBelief): Working =>
  learned ? plannedShrink('damp', learned) : starting('shrink of damped wafer', DAMP_SHRINK, 'share', 'guess')

/** A cut size from a seen one: plus what is tucked away, divided by what shrinks. */
export const cutSize = (label: string, seen: Working, tucked: Working | null, shrink: Working | null): Working =>
  derive(
    label,
    'length',
    'from seen to cut',
    `${tucked ? '( {seen} + {tucked} )' : '{seen}'}${shrink ? ' ÷ ( 1 − {shrink} )' : ''}`,
    { seen, ...(tucked && { tucked }), ...(shrink && { shrink }) },
    () => (seen.value + (tucked?.value ?? 0)) / (1 - (shrink?.value ?? 0)),
  )

/** A cut width from a seen one: so much paper for each width, divided by what shrinks. */
export const cutWidth = (label: string, rule: string, seen: Working, fullness: number, shrink: Working): Working =>
  derive(
    label,
    'length',
    rule,
    '{seen} × {fullness} ÷ ( 1 − {shrink} )',
    { seen, fullness: starting('paper for each width', fullness, 'ratio', 'guess'), shrink },
    (v) => (v.seen * v.fullness) / (1 - v.shrink),
  )

/**
 * How wide an element is where it stands: as typed for the biggest, less by its place.
 * @param began what its technique begins with
 */
export const acrossHere = (acrossMm: number, size: number, began: number): Working =>
  size === 1
    ? chosen('across', acrossMm, began, 'length')
    : found('across here', acrossMm * size, 'length', 'from its place')

export const STANDARD_SPARES: Readonly<Record<'dry' | 'damp' | 'soaked', Working>> = {
  dry: starting('spares of dry flat cuts', 0.1, 'share', 'usual'),
  damp: starting('spares of damp-formed paper', 0.15, 'share', 'usual'),
  soaked: starting('spares of soaked film', 0.2, 'share', 'usual'),
}
