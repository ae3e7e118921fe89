import { ok, refuse, type Result } from './result'

/** A unit a user may type or read: how much of the base unit one of it is (base = typed × scale + shift). */
export type Unit = {
  readonly symbol: string
  readonly names: readonly string[]
  readonly scale: number
  readonly shift?: number
}

export type MeasureProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'not-a-number'; readonly text: string }
  | { readonly code: 'unknown-unit'; readonly unit: string; readonly known: readonly string[] }

const PLAIN = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`
const FRACTION = String.raw`(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)`
const VULGAR: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
}

/** Writes "8½" as "8 1/2", so that one rule reads both. */
const spellFractions = (text: string): string => text.replace(/[¼½¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${VULGAR[sign]}`).trim()

/**
 * Reads a number with an optional unit: "8 in", "1/4\"", "8 1/4 in", "20,5 cm", "-3 °C", "205".
 *
 * @param text what was typed
 * @param units the units that make sense here
 * @param assumed the unit meant when none is typed
 * @returns the quantity in the base unit, or why it cannot be read
 */
export function parseMeasure(text: string, units: readonly Unit[], assumed: Unit): Result<number, MeasureProblem> {
  const typed = spellFractions(text.trim())
  if (typed === '') return refuse({ code: 'empty' })
  const match = new RegExp(`^([-−+]?)\\s*(?:${FRACTION}|(${PLAIN}))\\s*(.*)$`).exec(typed)
  if (!match) return refuse({ code: 'not-a-number', text })
  const [, sign, whole, above, below, plain, unitText = ''] = match
  const amount =
    plain === undefined ? Number(whole ?? 0) + Number(above) / Number(below) : Number(plain.replace(',', '.'))
  if (!Number.isFinite(amount)) return refuse({ code: 'not-a-number', text })
  const unit = findUnit(unitText, units, assumed)
  if (!unit) {
    const startsLikeNumber = /^[\d.,/]/.test(unitText)
    return startsLikeNumber
      ? refuse({ code: 'not-a-number', text })
      : refuse({ code: 'unknown-unit', unit: unitText, known: units.map(({ symbol }) => symbol) })
  }
  const signed = sign === '-' || sign === '−' ? -amount : amount
  return ok(signed * unit.scale + (unit.shift ?? 0))
}

function findUnit(text: string, units: readonly Unit[], assumed: Unit): Unit | undefined {
  const name = text.trim().toLowerCase().replace(/\.$/, '')
  return name === '' ? assumed : units.find((unit) => unit.symbol.toLowerCase() === name || unit.names.includes(name))
}

/** Rounds for reading and leaves out zeros that say nothing: 20.50 becomes "20.5". A true minus sign, no "-0". */
export function printNumber(value: number, decimals: number): string {
  const text = value.toFixed(decimals)
  const trimmed = text.includes('.') ? text.replace(/0+$/, '').replace(/\.$/, '') : text
  return (trimmed === '-0' ? '0' : trimmed).replace('-', '−')
}

/** What went wrong with a typed quantity, as a sentence for the person who typed it. */
export function measureSentence(problem: MeasureProblem, example: string): string {
  switch (problem.code) {
    case 'empty':
      return `Type a value, such as ${example}.`
    case 'not-a-number':
      return `“${problem.text}” is not a number. Try ${example}.`
    case 'unknown-unit':
      return `“${problem.unit}” is not a unit used here. Use ${problem.known.join(', ')}, such as ${example}.`
  }
}
