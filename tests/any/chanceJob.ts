import { between, seededStream } from '../../core/quantity'
import type { NestJob, NestPart, NestSheet } from '../../core/cut'

type Corner = [number, number]

/**
 * A job made by chance: small sheets and discs and remnants, outlines round, pointed, dented, with holes, turned
 * freely or not. The same for the same seed.
 */
export function chanceJob(seed: number): NestJob {
  const stream = seededStream(seed)
  const whole = (low: number, high: number): number => Math.floor(between(stream, low, high + 1))
  const parts = Array.from({ length: whole(1, 4) }, (_, at): NestPart => ({
    id: `part-${at}`,
    ...chanceOutline(stream),
    quantity: whole(1, 6),
    rotations: stream() < 0.6 ? 'free' : stream() < 0.5 ? [0, 90, 180, 270] : [whole(0, 359), 0, 180],
    mirror: stream() < 0.3,
  }))
  return {
    name: `chance ${seed}`,
    unit: 'mm',
    gap: stream() < 0.3 ? 0 : Math.round(between(stream, 0, 3) * 10) / 10,
    margin: stream() < 0.3 ? 0 : whole(0, 6),
    sheets: chanceSheets(stream),
    parts,
  }
}

function chanceSheets(stream: () => number): NestSheet[] {
  const rect: NestSheet = {
    id: 'rect',
    shape: 'rect',
    width: Math.round(between(stream, 90, 160)),
    height: Math.round(between(stream, 90, 200)),
    count: null,
  }
  const disc: NestSheet = { id: 'disc', shape: 'disc', diameter: Math.round(between(stream, 110, 180)), count: 2 }
  const remnant: NestSheet = {
    id: 'remnant',
    shape: 'remnant',
    outline: [
      [10, 10],
      [150, 20],
      [140, 90],
      [80, 80],
      [70, 150],
      [5, 140],
    ],
    ...(stream() < 0.5
      ? {
          holes: [
            [
              [40, 40],
              [60, 42],
              [50, 60],
            ],
          ],
        }
      : {}),
    count: 1,
  }
  return [rect, ...(stream() < 0.4 ? [disc] : []), ...(stream() < 0.4 ? [remnant] : [])]
}

function chanceOutline(stream: () => number): Pick<NestPart, 'outline' | 'holes'> {
  const size = between(stream, 8, 36)
  const [moveX, moveY] = [between(stream, -20, 20), between(stream, -20, 20)]
  const round = (count: number, radius: (at: number) => number): Corner[] =>
    Array.from({ length: count }, (_, at): Corner => {
      const angle = (at * 2 * Math.PI) / count
      return [moveX + radius(at) * Math.cos(angle), moveY + radius(at) * Math.sin(angle)]
    })
  const kind = Math.floor(stream() * 6)
  if (kind === 0)
    return {
      outline: [
        [moveX, moveY],
        [moveX + size, moveY],
        [moveX + size, moveY + size * 0.7],
        [moveX, moveY + size * 0.7],
      ],
    }
  if (kind === 1) return { outline: round(40, () => size / 2) }
  if (kind === 2) return { outline: round(10, (at) => (at % 2 === 0 ? size / 2 : size / 5)) }
  if (kind === 3) return { outline: round(24, () => size / 2), holes: [round(8, () => size / 5)] }
  if (kind === 4) return { outline: round(7, () => between(stream, 0.2, 0.5) * size) }
  return { outline: round(30, (at) => size * (0.3 + 0.2 * Math.cos((at * 2 * Math.PI) / 30))).reverse() }
}
