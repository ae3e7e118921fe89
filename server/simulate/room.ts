import type { StandIns } from './standIns'

const MINUTE_MS = 60_000

/** What the room's air would be at a moment: warm by day, damper by night, never still. */
function roomAt(nowMs: number): { readonly airC: number; readonly humidity: number } {
  const dayShare = ((nowMs / MINUTE_MS) % 1440) / 1440
  const swing = Math.sin(2 * Math.PI * (dayShare - 0.375))
  const flicker = Math.sin(nowMs / 7000) * 0.3 + Math.sin(nowMs / 2300) * 0.15
  return {
    airC: Math.round((20.6 + 1.1 * swing + 0.2 * flicker) * 10) / 10,
    humidity: Math.round((0.565 - 0.03 * swing + 0.006 * flicker) * 1000) / 1000,
  }
}

/** What the sensor sends at a moment, with the fault it is switched to; null when it sends nothing. */
export function sensorMessage(nowMs: number, fault: StandIns['sensor']): string | null {
  const room = roomAt(nowMs)
  switch (fault) {
    case 'none':
      return JSON.stringify(room)
    case 'nonsense':
      return JSON.stringify({ airC: -273, humidity: 1.4 })
    case 'unreadable':
      return 'ERR 0x1f'
    case 'jumping':
      return JSON.stringify(Math.floor(nowMs / 2000) % 2 === 0 ? room : { airC: room.airC + 15, humidity: 0.93 })
    case 'off':
    case 'silent':
    case 'dropped':
      return null
  }
}
