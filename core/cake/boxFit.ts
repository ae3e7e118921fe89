import { z } from 'zod'
import { derive, type Working } from '../quantity'

/** The transport box, inside. */
export const boxSchema = z.strictObject({
  widthMm: z.number().min(100).max(1500).meta({ label: 'Box inside, wide', kind: 'length' }),
  depthMm: z.number().min(100).max(1500).meta({ label: 'Box inside, deep', kind: 'length' }),
  heightMm: z.number().min(50).max(2000).meta({ label: 'Box inside, high', kind: 'length' }),
})

export type Box = z.infer<typeof boxSchema>

/**
 * What stands in the box, mm: how wide and deep board, tiers and decorations are together, how far the middle of that
 * lies from the board's (to the right, to the back), and how high it is above the box's floor.
 */
export type Reach = {
  readonly wide: Working
  readonly deep: Working
  readonly offRightMm: number
  readonly offBackMm: number
  readonly height: Working
}

type Clearance = Readonly<Record<'wide' | 'deep' | 'high', Working>>

export type BoxFit = {
  /** Free space left at the sides, front and back, and above; negative when it does not fit. */
  readonly clearance: Clearance
  readonly fits: boolean
  /** How far the board must be set from the box's middle so that it fits, mm; nothing where it may stand there. */
  readonly shift: { readonly rightMm: number; readonly backMm: number } | null
  /** The smallest box that would hold it, mm. */
  readonly neededMm: Readonly<Record<'wide' | 'deep' | 'high', number>>
}

/** How far something must be moved so that it stands within a size, to the nearest millimetre; 0 where it does so anyway. */
const moved = (sizeMm: number, longMm: number, offMm: number): number => {
  const free = Math.max(0, (sizeMm - longMm) / 2)
  const over = Math.abs(offMm) - free
  return over > 0.5 ? -Math.sign(offMm) * Math.ceil(over) : 0
}

/**
 * Whether a cake fits its box standing: its board may be set off the middle where decorations reach further to one side.
 * Box sizes and reach come with their working.
 */
export function fitInBox(box: Readonly<Record<'wide' | 'deep' | 'high', Working>>, reach: Reach): BoxFit {
  const beside = (label: string, size: Working, long: Working): Working =>
    derive(label, 'length', 'clearance', '( {size} − {long} ) ÷ 2', { size, long }, (v) => (v.size - v.long) / 2)
  const clearance = {
    wide: beside('free at each side', box.wide, reach.wide),
    deep: beside('free at front and back', box.deep, reach.deep),
    high: derive(
      'free above',
      'length',
      'clearance',
      '{size} − {height}',
      { size: box.high, height: reach.height },
      (v) => v.size - v.height,
    ),
  }
  const fits = Object.values(clearance).every(({ value }) => value >= 0)
  const rightMm = moved(box.wide.value, reach.wide.value, reach.offRightMm)
  const backMm = moved(box.deep.value, reach.deep.value, reach.offBackMm)
  return {
    clearance,
    fits,
    shift: fits && (rightMm !== 0 || backMm !== 0) ? { rightMm, backMm } : null,
    neededMm: { wide: reach.wide.value, deep: reach.deep.value, high: reach.height.value },
  }
}
