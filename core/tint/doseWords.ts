/** How much of a dye is measured out, in words: drops, or grams and level spoons of a powder. */
import { DROP_ML, POWDER_G_PER_DROP, POWDER_G_PER_ML, type Dye } from '../material'
import { printNumber, printQuantity, type UnitSystem } from '../quantity'

/** More drops than that nobody counts: they are measured. */
const COUNTED_DROPS = 30
/** An eighth of a teaspoon, ml: the least a level spoon holds. */
const EIGHTH_ML = 0.625
const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'] as const

/** The nearest level teaspoons to a volume, in eighths. */
export function levelSpoons(ml: number): string {
  const eighths = Math.round(ml / EIGHTH_ML)
  if (eighths === 0) return 'a pinch, less than a level ⅛ teaspoon'
  const [whole, part] = [Math.floor(eighths / 8), EIGHTHS[eighths % 8]!]
  const many = [whole > 0 ? String(whole) : '', part].filter(Boolean).join(' ')
  return `level ${many} teaspoon${eighths > 8 ? 's' : ''}`
}

/** Grams of a powder that colours like so many drops. */
export const powderG = (drops: number): number => drops * POWDER_G_PER_DROP

/**
 * What is measured of a dye for so many whole drops, and how else to measure it.
 *
 * By hand: 124 drops’ worth of powder: 124 × 0.01 = 1.24 g; ÷ 0.6 g a ml is 2.1 ml, 3.3 eighths of a teaspoon: ⅜.
 */
export function doseWords(
  { base }: Pick<Dye, 'base'>,
  drops: number,
  units: UnitSystem,
): { readonly amount: string; readonly beside: string } {
  if (base === 'powder') {
    const grams = powderG(drops)
    return { amount: `${printNumber(grams, 2)} g`, beside: levelSpoons(grams / POWDER_G_PER_ML) }
  }
  return {
    amount: `${drops} ${drops === 1 ? 'drop' : 'drops'}`,
    beside: drops > COUNTED_DROPS ? printQuantity(drops * DROP_ML, 'volume', units) : '',
  }
}
