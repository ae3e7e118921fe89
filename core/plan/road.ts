import { sumOf, typed, type Working } from '../quantity'
import type { Commission } from './commission'

/** On the road with every stop. */
export function roadWorking({ driveMin, stops }: Pick<Commission['brief'], 'driveMin' | 'stops'>): Working {
  const drive = typed('drive', driveMin, 'duration', 'Brief')
  if (stops.length === 0) return drive
  return sumOf('road', 'duration', 'drive and stops', [
    drive,
    ...stops.map(({ name, minutes }) => typed(name, minutes, 'duration', 'Brief')),
  ])
}
