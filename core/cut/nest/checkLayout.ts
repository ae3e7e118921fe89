/**
 * Whether a layout can be cut, judged from the outlines as they were given, edge by edge. Shares nothing with the
 * search.
 */
import type { NestJob, NestLayout, NestPart, NestPlacement, NestSheet } from './job'
import {
  TOLERANCE_MM,
  closeFaults,
  edgesOf,
  isWithin,
  distanceTo,
  edgesApartMm,
  type Corner,
  type LayoutFault,
  type Laid,
} from './closeness'
/** Over the longest sheet that is less than a thousandth of a millimetre. */
const TOLERANCE_DEG = 1e-6

/** @returns everything that is wrong with a layout; empty when it is complete and can be cut */
export function faultsOf(job: NestJob, { placements }: NestLayout): readonly LayoutFault[] {
  const faults: LayoutFault[] = []
  const parts = new Map(job.parts.map((part) => [part.id, part]))
  const sheets = new Map(job.sheets.map((sheet) => [sheet.id, sheet]))
  const laid = placements.map(
    (placement, at): { readonly sheetIndex: number; readonly at: number; readonly laid: Laid } | null => {
      const [part, sheet] = [parts.get(placement.part), sheets.get(placement.sheetId)]
      if (!part) {
        faults.push({ code: 'unknown-part', placement: at })
        return null
      }
      if (!sheet) {
        faults.push({ code: 'unknown-sheet', placement: at })
        return null
      }
      if (part.rotations !== 'free' && !part.rotations.some((degrees) => isSameTurn(degrees, placement.rotationDeg)))
        faults.push({ code: 'turn', placement: at, rotationDeg: placement.rotationDeg })
      if (placement.mirrored && !part.mirror) faults.push({ code: 'mirror', placement: at })
      const lies = layDown(part, placement)
      const byMm = outsideMm(lies, sheet, job.margin)
      if (!(byMm <= TOLERANCE_MM)) faults.push({ code: 'outside', placement: at, byMm })
      return { sheetIndex: placement.sheetIndex, at, laid: lies }
    },
  )
  for (const part of job.parts) {
    const placed = placements.filter((placement) => placement.part === part.id).length
    if (placed !== part.quantity) faults.push({ code: 'quantity', part: part.id, wanted: part.quantity, placed })
  }
  return [
    ...faults,
    ...stockFaults(job, placements),
    ...closeFaults(
      laid.filter((each) => each !== null),
      job.gap,
    ),
  ]
}

const isSameTurn = (one: number, other: number): boolean => {
  const apart = Math.abs(one - other) % 360
  return apart <= TOLERANCE_DEG || 360 - apart <= TOLERANCE_DEG
}

/** In the stated order: mirrored, turned about its origin, moved. */
function layDown(part: NestPart, { mirrored, rotationDeg, x, y }: NestPlacement): Laid {
  const angle = (rotationDeg * Math.PI) / 180
  const quarter = rotationDeg % 90 === 0
  const [cos, sin] = quarter
    ? [Math.round(Math.cos(angle)), Math.round(Math.sin(angle))]
    : [Math.cos(angle), Math.sin(angle)]
  const rings = [part.outline, ...(part.holes ?? [])].map((ring) =>
    ring.map(([ownX, ownY]): Corner => {
      const overX = mirrored ? -ownX : ownX
      return [x + overX * cos - ownY * sin, y + overX * sin + ownY * cos]
    }),
  )
  const rim = rings[0]!
  return {
    rings,
    left: Math.min(...rim.map(([cornerX]) => cornerX)),
    right: Math.max(...rim.map(([cornerX]) => cornerX)),
    low: Math.min(...rim.map(([, cornerY]) => cornerY)),
    high: Math.max(...rim.map(([, cornerY]) => cornerY)),
  }
}

/** How far a piece comes over the margin of its sheet, mm; not a number when its place is not. */
function outsideMm({ rings, left, right, low, high }: Laid, sheet: NestSheet, marginMm: number): number {
  if (!Number.isFinite(left + right + low + high)) return NaN
  if (sheet.shape === 'rect')
    return Math.max(marginMm - left, right + marginMm - sheet.width, marginMm - low, high + marginMm - sheet.height)
  if (sheet.shape === 'disc') {
    const radius = sheet.diameter / 2
    return Math.max(...rings[0]!.map(([x, y]) => Math.hypot(x - radius, y - radius))) - (radius - marginMm)
  }
  const edges = [sheet.outline, ...(sheet.holes ?? [])]
  const apart = edgesApartMm(edgesOf(rings), edgesOf(edges))
  const sticksOut = rings[0]!.some((corner) => !isWithin(corner, edges) && distanceTo(corner, edges) > TOLERANCE_MM)
  const coversHole = (sheet.holes ?? []).some(
    (hole) => isWithin(hole[0]!, rings) && distanceTo(hole[0]!, rings) > TOLERANCE_MM,
  )
  return sticksOut || coversHole ? Infinity : marginMm - apart
}

function stockFaults(job: NestJob, placements: readonly NestPlacement[]): readonly LayoutFault[] {
  const byIndex = new Map<number, string>()
  const faults: LayoutFault[] = []
  placements.forEach(({ sheetIndex, sheetId }, placement) => {
    if ((byIndex.get(sheetIndex) ?? sheetId) !== sheetId) faults.push({ code: 'unknown-sheet', placement })
    byIndex.set(sheetIndex, sheetId)
  })
  for (const { id, count } of job.sheets) {
    const used = [...byIndex.values()].filter((each) => each === id).length
    if (count !== null && used > count) faults.push({ code: 'stock', sheet: id, used, have: count })
  }
  return faults
}

/** A fault as a sentence for whoever reads the log. */
export function faultSentence(fault: LayoutFault): string {
  switch (fault.code) {
    case 'unknown-part':
      return `Placement ${fault.placement} is of no part of the job.`
    case 'unknown-sheet':
      return `Placement ${fault.placement} lies on no sheet of the job, or on two.`
    case 'quantity':
      return `“${fault.part}”: ${fault.placed} are placed, ${fault.wanted} are wanted.`
    case 'turn':
      return `Placement ${fault.placement} is turned by ${fault.rotationDeg}°, which is not allowed.`
    case 'mirror':
      return `Placement ${fault.placement} is turned over, which is not allowed.`
    case 'outside':
      return `Placement ${fault.placement} is ${fault.byMm.toFixed(3)} mm over its sheet’s margin.`
    case 'too-close':
      return `Placements ${fault.placement} and ${fault.other} are only ${fault.apartMm.toFixed(3)} mm apart.`
    case 'overlap':
      return `Placements ${fault.placement} and ${fault.other} overlap.`
    case 'stock':
      return `${fault.used} sheets “${fault.sheet}” are used, ${fault.have} are in stock.`
  }
}
