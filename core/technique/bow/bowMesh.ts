import type { Point3 } from '../../geometry'
import { between, seededStream } from '../../quantity'
import type { PlacedElement, Wall } from '../define'
import { frameOf } from '../frame'
import type { Mesh, MeshFace, MeshLine } from '../mesh'

/** A bow as it hangs: two loops, two tails, a knot. */
export function bowMesh(
  { seenMm, ribbonMm, tailMm }: Readonly<Record<'seenMm' | 'ribbonMm' | 'tailMm', number>>,
  element: PlacedElement,
  wall: Wall,
): Mesh {
  const stream = seededStream(element.seed)
  const [across, ribbon, tail] = [(seenMm * element.size) / 2, ribbonMm * element.size, tailMm * element.size]
  const knotUp = tail + ribbon * 0.45
  const at = frameOf(element, wall, knotUp)
  const LOOP_STEPS = 14
  const faces: MeshFace[] = []
  const lines: MeshLine[] = []
  for (const side of [-1, 1] as const) {
    const [droop, open] = [between(stream, -0.18, 0.12), between(stream, 0.34, 0.46)]
    // A loop runs out along the front and back along the cake, narrow at the knot and wide at its belly.
    const edge = (step: number, half: -1 | 1): Point3 => {
      const share = step / LOOP_STEPS
      const out = Math.sin(Math.PI * share)
      const reach = across * out ** 0.8
      const lift = (share < 0.5 ? 1 : -1) * open * ribbon * out * 0.55
      const wide = (ribbon / 2) * (0.3 + 0.75 * out)
      return at(side * reach, knotUp + droop * reach + half * wide + lift * 0.25, 5 + ribbon * 0.32 + lift)
    }
    for (let step = 0; step < LOOP_STEPS; step += 1) {
      faces.push({
        points: [edge(step, -1), edge(step + 1, -1), edge(step + 1, 1), edge(step, 1)],
        opacity: 0.97,
        light: step < LOOP_STEPS / 2 ? 0.08 : -0.26,
      })
    }
    for (const half of [-1, 1] as const)
      lines.push({
        points: Array.from({ length: LOOP_STEPS + 1 }, (_, step) => edge(step, half)),
        widthMm: 0.7,
        light: 0.4,
        opacity: 0.8,
        edge: true,
      })
    lines.push({
      points: Array.from({ length: 5 }, (_, step) => {
        const [low, high] = [edge(step, -1), edge(step, 1)]
        return [0, 1, 2].map((axis) => (low[axis]! + high[axis]!) / 2) as unknown as Point3
      }),
      widthMm: 0.8,
      light: -0.35,
      opacity: 0.5,
    })
    const [lean, wave] = [between(stream, 0.28, 0.5), between(stream, 0, 6.28)]
    const tailAt = (down: number, half: -1 | 0 | 1): Point3 => {
      const along = down * tail
      const notch = half === 0 && down === 1 ? ribbon * 0.35 : 0
      return at(
        side * (along * lean + ribbon * 0.1) + ((half * ribbon) / 2) * (0.3 + 0.7 * Math.min(1, down * 2)),
        knotUp - along + notch - ribbon * 0.1,
        3 + 2.4 * Math.sin(wave + 5 * down) + 2,
      )
    }
    const downs = Array.from({ length: 9 }, (_, step) => step / 8)
    downs.slice(1).forEach((down, step) =>
      faces.push({
        points: [tailAt(downs[step]!, -1), tailAt(down, -1), tailAt(down, 0), tailAt(down, 1), tailAt(downs[step]!, 1)],
        opacity: 0.97,
        light: -0.06 + 0.1 * Math.sin(wave + 5 * down),
      }),
    )
    for (const half of [-1, 1] as const)
      lines.push({
        points: downs.map((down) => tailAt(down, half)),
        widthMm: 0.6,
        light: 0.35,
        opacity: 0.8,
        edge: true,
      })
  }
  const knot = (across2: number, up: number, out: number): Point3 =>
    at(across2 * ribbon * 0.24, knotUp + up * ribbon * 0.36, 6 + ribbon * 0.34 + out)
  for (let strip = 0; strip < 4; strip += 1) {
    const [low, high] = [-1 + strip / 2, -0.5 + strip / 2]
    faces.push({
      points: [
        knot(-1, low, ribbon * 0.2 * (1 - low * low)),
        knot(1, low, ribbon * 0.2 * (1 - low * low)),
        knot(1, high, ribbon * 0.2 * (1 - high * high)),
        knot(-1, high, ribbon * 0.2 * (1 - high * high)),
      ],
      opacity: 1,
      light: 0.06,
    })
  }
  for (const side of [-1, 1])
    lines.push({
      points: [-1, -0.5, 0, 0.5, 1].map((up) => knot(side, up, ribbon * 0.2 * (1 - up * up))),
      widthMm: 0.9,
      light: -0.35,
      opacity: 0.7,
    })
  return { faces, lines }
}
