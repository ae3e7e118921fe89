import { parseMoment, sumOf, typed, valueOf, type Moment, type Working } from '../../quantity'
import type { Commission } from '../../commission'

/** On the road with every stop. */
export function roadWorking({ driveMin, stops }: Pick<Commission['brief'], 'driveMin' | 'stops'>): Working {
  const drive = typed('drive', driveMin, 'duration', 'Brief')
  if (stops.length === 0) return drive
  return sumOf('road', 'duration', 'drive and stops', [
    drive,
    ...stops.map(({ name, minutes }) => typed(name, minutes, 'duration', 'Brief')),
  ])
}

/** The air in which a chilled cake warms through before paper goes on: the venue's, when it comes there cold. */
export const warmingAir = ({ completion, keeping, workroom, venue }: Commission['brief']) =>
  completion === 'atVenue' && keeping === 'chilledSealed' ? venue : workroom

/** The hour of the event. */
export const eventAtOf = ({ eventAt }: Pick<Commission['brief'], 'eventAt'>): Moment => valueOf(parseMoment(eventAt))
