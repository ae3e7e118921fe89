import { z } from 'zod'
import { derive, type Working } from '../quantity'

/** The transport box, inside. */
export const boxSchema = z.strictObject({
  widthMm: z.number().min(100).max(1500).meta({ label: 'Box inside, wide', kind: 'length' }),
  depthMm: z.number().min(100).max(1500).meta({ label: 'Box inside, deep', kind: 'length' }),
  heightMm: z.number().min(50).max(2000).meta({ label: 'Box inside, high', kind: 'length' }),
})

export type Box = z.infer<typeof boxSchema>

/** What stands in the box: how far it reaches from the middle to each side and above the box's floor, mm. */
export type Reach = { readonly sideways: Working; readonly frontBack: Working; readonly height: Working }

type Clearance = Readonly<Record<'wide' | 'deep' | 'high', Working>>

export type BoxFit = {
  /** Free space left at the sides, front and back, and above; negative when it does not fit. */
  readonly clearance: Clearance
  readonly fits: boolean
  /** The smallest box that would hold it, mm. */
  readonly neededMm: Readonly<Record<'wide' | 'deep' | 'high', number>>
}

/** Whether a cake fits its box standing, with the board in the middle. Box sizes and reach come with their working. */
export function fitInBox(box: Readonly<Record<'wide' | 'deep' | 'high', Working>>, reach: Reach): BoxFit {
  const beside = (label: string, size: Working, half: Working): Working =>
    derive(label, 'length', 'clearance', '{size} ÷ 2 − {half}', { size, half }, (v) => v.size / 2 - v.half)
  const clearance = {
    wide: beside('free at each side', box.wide, reach.sideways),
    deep: beside('free at front and back', box.deep, reach.frontBack),
    high: derive(
      'free above',
      'length',
      'clearance',
      '{size} − {height}',
      { size: box.high, height: reach.height },
      (v) => v.size - v.height,
    ),
  }
  return {
    clearance,
    fits: Object.values(clearance).every(({ value }) => value >= 0),
    neededMm: { wide: 2 * reach.sideways.value, deep: 2 * reach.frontBack.value, high: reach.height.value },
  }
}
