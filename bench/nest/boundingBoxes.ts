/** What others would do: boxes round the outlines, packed by a common library, or laid by hand in strips. */
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs'
import type { NestJob, NestPart, NestSheet } from '../../core/cut'

/** Sheets, and paper: whole ones, and the used part of the emptiest, mm². */
export type PaperTaken = { readonly sheets: number; readonly paperMm2: number }

type Box = { readonly widthMm: number; readonly heightMm: number }

/** The smallest box round an outline, turned as it may be. */
function boxOf({ outline, rotations }: NestPart): Box {
  const degrees = rotations === 'free' ? Array.from({ length: 180 }, (_, at) => at) : rotations
  return degrees
    .map((turn): Box => {
      const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)]
      const [xs, ys] = [outline.map(([x, y]) => x * cos - y * sin), outline.map(([x, y]) => x * sin + y * cos)]
      return { widthMm: Math.max(...xs) - Math.min(...xs), heightMm: Math.max(...ys) - Math.min(...ys) }
    })
    .reduce((best, box) => (box.widthMm * box.heightMm < best.widthMm * best.heightMm - 1e-6 ? box : best))
}

/** A rectangle in which boxes can be laid on a sheet: a disc's inscribed square. */
function roomOf(sheet: NestSheet, margin: number): Box & { readonly paperMm2: number } {
  if (sheet.shape === 'disc') {
    const side = (sheet.diameter - 2 * margin) / Math.SQRT2
    return { widthMm: side, heightMm: side, paperMm2: (Math.PI * sheet.diameter ** 2) / 4 }
  }
  if (sheet.shape !== 'rect') throw new Error('Expected rectangles and discs, got a remnant.')
  return {
    widthMm: sheet.width - 2 * margin,
    heightMm: sheet.height - 2 * margin,
    paperMm2: sheet.width * sheet.height,
  }
}

/** Boxes by the library, on the first kind of sheet; quarter turns where turning is free. */
export function packBoxes(job: NestJob): PaperTaken | null {
  const room = roomOf(job.sheets[0]!, job.margin)
  const mayTurn = job.parts.every(({ rotations }) => rotations === 'free' || rotations.includes(90))
  const scale = 1000
  const packer = new MaxRectsPacker(
    Math.floor((room.widthMm + job.gap) * scale),
    Math.floor((room.heightMm + job.gap) * scale),
    0,
    { smart: false, pot: false, square: false, allowRotation: mayTurn },
  )
  for (const part of job.parts) {
    const { widthMm, heightMm } = boxOf(part)
    for (let each = 0; each < part.quantity; each += 1)
      packer.add(Math.ceil((widthMm + job.gap) * scale - 1e-6), Math.ceil((heightMm + job.gap) * scale - 1e-6), {})
  }
  if (packer.bins.some(({ rects }) => rects.some(({ oversized }) => oversized))) return null
  const used = packer.bins.map(({ rects }) =>
    Math.min(
      Math.max(...rects.map(({ x, width }) => x + width)) / scale / (room.widthMm + job.gap),
      Math.max(...rects.map(({ y, height }) => y + height)) / scale / (room.heightMm + job.gap),
    ),
  )
  return { sheets: used.length, paperMm2: (used.length - 1 + Math.min(1, ...used)) * room.paperMm2 }
}

/**
 * By hand: each part in strips across the sheet, as many boxes in a strip as fit, the strips of all parts one above
 * the other.
 */
export function stripsByHand(job: NestJob): PaperTaken | null {
  const room = roomOf(job.sheets[0]!, job.margin)
  const strips = job.parts
    .flatMap((part): readonly number[] => {
      const box = boxOf(part)
      const [heightMm, widthMm] = [box.widthMm, box.heightMm].sort((one, other) => one - other) as [number, number]
      const lie = widthMm <= room.widthMm ? { widthMm, heightMm } : { widthMm: heightMm, heightMm: widthMm }
      const inStrip = Math.floor((room.widthMm + job.gap) / (lie.widthMm + job.gap))
      return Array.from({ length: Math.ceil(part.quantity / inStrip) }, () => lie.heightMm)
    })
    .sort((one, other) => other - one)
  const sheets: number[] = []
  for (const strip of strips) {
    if (strip > room.heightMm) return null
    const at = sheets.findIndex((used) => used + job.gap + strip <= room.heightMm)
    if (at < 0) sheets.push(strip)
    else sheets[at]! += job.gap + strip
  }
  return { sheets: sheets.length, paperMm2: (sheets.length - 1 + Math.min(...sheets) / room.heightMm) * room.paperMm2 }
}
