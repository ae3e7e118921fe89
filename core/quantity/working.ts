import { printMoney, type Currency } from './currency'
import { dateClockText } from './moment'
import { printNumber } from './measure'
import { printQuantity, type QuantityKind, type UnitSystem } from './units'

/**
 * How sure a starting value is: from textbooks, from usual practice that varies by paper and room, or a guess to
 * calibrate first.
 */
export type Certainty = 'established' | 'usual' | 'guess'

export type WorkingKind = QuantityKind | 'moment' | 'area' | 'drops'

/** Where a figure comes from. */
type Source =
  | { readonly from: 'typed'; readonly leaf: string }
  | { readonly from: 'starting'; readonly certainty: Certainty }
  | { readonly from: 'found'; readonly how: string }
  | {
      readonly from: 'derived'
      readonly rule: string
      readonly formula: string
      readonly inputs: Readonly<Record<string, Working>>
    }

/** A figure that can answer for itself: its value in base units, and how it came about, down to what was typed. */
export type Working = {
  readonly label: string
  readonly value: number
  readonly kind: WorkingKind
  readonly source: Source
  /** What an amount of money is in; what is derived from one is in the same. */
  readonly currency?: Currency
}

/** A figure the user typed on a leaf. */
export const typed = (label: string, value: number, kind: WorkingKind, leaf: string): Working => ({
  label,
  value,
  kind,
  source: { from: 'typed', leaf },
})

/** A figure that Lamellon begins with until a trial replaces it. */
export const starting = (label: string, value: number, kind: WorkingKind, certainty: Certainty): Working => ({
  label,
  value,
  kind,
  source: { from: 'starting', certainty },
})

/** A figure that a count, a search or a drawing gave, and which one. */
export const found = (label: string, value: number, kind: WorkingKind, how: string): Working => ({
  label,
  value,
  kind,
  source: { from: 'found', how },
})

/** A figure the user may change: a starting value while it is as it began, a typed one after. */
export const setting = (
  label: string,
  value: number,
  began: number,
  kind: WorkingKind,
  certainty: Certainty,
  leaf: string,
): Working => (value === began ? starting(label, value, kind, certainty) : typed(label, value, kind, leaf))

type Values<Inputs extends Readonly<Record<string, Working>>> = { readonly [Name in keyof Inputs]: number }

/**
 * A figure computed from others. The formula in words names every input in braces and stands beside the arithmetic,
 * so that the two are read together.
 *
 * @example derive('strips in a row', 'count', 'ruffle rows', 'round up( {perimeter} × {fullness} ÷ {strip} )', {
 * perimeter, fullness, strip }, (v) => Math.ceil(v.perimeter * v.fullness / v.strip))
 */
export function derive<Inputs extends Readonly<Record<string, Working>>>(
  label: string,
  kind: WorkingKind,
  rule: string,
  formula: string,
  inputs: Inputs,
  compute: (values: Values<Inputs>) => number,
): Working {
  const values = Object.fromEntries(
    Object.entries(inputs).map(([name, working]) => [name, working.value]),
  ) as Values<Inputs>
  const currency = kind === 'money' ? Object.values(inputs).find((input) => input.currency)?.currency : undefined
  return {
    label,
    value: compute(values),
    kind,
    source: { from: 'derived', rule, formula, inputs },
    ...(currency && { currency }),
  }
}

/** Workings of one kind added up. */
export function sumOf(label: string, kind: WorkingKind, rule: string, parts: readonly Working[]): Working {
  const inputs = Object.fromEntries(parts.map((part, at) => [`part${at}`, part]))
  return derive(
    label,
    kind,
    rule,
    Object.keys(inputs)
      .map((name) => `{${name}}`)
      .join(' + ') || '0',
    inputs,
    (values) => Object.values(values).reduce((sum, value) => sum + value, 0),
  )
}

const SECONDS_BELOW_MIN = 2

/** The value of a working for reading, with its unit. */
export function printWorkingValue(
  { value, kind, currency }: Pick<Working, 'value' | 'kind' | 'currency'>,
  system: UnitSystem,
): string {
  switch (kind) {
    case 'moment':
      return dateClockText(value)
    case 'area':
      return system === 'metric'
        ? `${printNumber(value, value < 1 ? 2 : 1)} dm²`
        : `${printNumber(value * 15.5, 0)} sq in`
    // What a hand does in less than two minutes is told in seconds: none of it would be left of a minute.
    case 'duration':
      return value > 0 && value < SECONDS_BELOW_MIN && value % 1 !== 0
        ? `${printNumber(value * 60, value < 0.2 ? 1 : 0)} s`
        : printQuantity(value, kind, system)
    case 'money':
      return currency ? printMoney(value, currency) : printQuantity(value, kind, system)
    case 'drops':
      return `${printNumber(value, 1)} drops`
    default:
      return printQuantity(value, kind, system)
  }
}

const CERTAINTY_WORDS: Readonly<Record<Certainty, string>> = {
  established: 'starting value, well established',
  usual: 'starting value, usual practice',
  guess: 'starting value, a guess until you log a trial',
}

/**
 * One line of arithmetic: "strips in a row 5 = round up( perimeter 817 mm × fullness 1.8 ÷ strip 293 mm )", or where a
 * plain value comes from.
 */
export function workingSentence(working: Working, system: UnitSystem): string {
  const head = `${working.label} ${printWorkingValue(working, system)}`
  switch (working.source.from) {
    case 'typed':
      return `${head}, typed in ${working.source.leaf}`
    case 'starting':
      return `${head}, ${CERTAINTY_WORDS[working.source.certainty]}`
    case 'found':
      return `${head}, ${working.source.how}`
    case 'derived':
      return `${head} = ${fillFormula(working.source.formula, working.source.inputs, system)}`
  }
}

/** The formula with each input's name and value in place of its braces. */
const fillFormula = (formula: string, inputs: Readonly<Record<string, Working>>, system: UnitSystem): string =>
  formula.replace(/\{(\w+)\}/g, (_, name: string) => {
    const input = inputs[name]
    if (!input)
      throw new Error(
        `Formula "${formula}" names {${name}}, which is not among its inputs ${Object.keys(inputs).join(', ')}.`,
      )
    return `${input.label} ${printWorkingValue(input, system)}`
  })

/** Every working below this one and itself, each once, from the figure down to what was typed. */
export function workingsBelow(working: Working): readonly Working[] {
  const seen = new Set<Working>()
  const visit = (each: Working): void => {
    if (seen.has(each)) return
    seen.add(each)
    if (each.source.from === 'derived') Object.values(each.source.inputs).forEach(visit)
  }
  visit(working)
  return [...seen]
}
