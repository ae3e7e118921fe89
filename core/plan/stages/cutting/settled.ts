/** Work whose way of cutting is settled: the one that was chosen, or the one that is advised. */
import type { CuttingTools, CuttingWay, SettledCutting } from '../../../cut'
import { advisedOf, wayChoices } from '../ways'
import type { CutWork } from './work'

export type SettledWork = Omit<CutWork, 'cutting'> & { readonly cutting: SettledCutting }

/** What paper and hands cost, by which ways are compared. */
export type CuttingPrices = { readonly sheetEach: number; readonly hour: number }

type Settling = { readonly work: CutWork; readonly tools: CuttingTools; readonly prices: CuttingPrices }

/** The way that is advised for some work. */
export const advisedWay = ({ work, tools, prices }: Settling): CuttingWay =>
  advisedOf(wayChoices(work, tools, prices.sheetEach, prices.hour))

/** @param advised which way is advised, remembered or worked out */
export function settledWork(settling: Settling, advised: typeof advisedWay): SettledWork {
  const { work } = settling
  const { way } = work.cutting
  return { ...work, cutting: { ...work.cutting, way: way === 'advised' ? advised(settling) : way } }
}
