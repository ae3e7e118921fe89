/** Files made worse by chance: always the same for the same stream. */
import { between } from '../core/quantity'

/** Numbers from 0 up to 1, one after another. */
export type Stream = () => number

const whole = (stream: Stream, low: number, high: number): number => Math.floor(between(stream, low, high + 1))
const oneOf = <Value>(stream: Stream, values: readonly Value[]): Value => values[whole(stream, 0, values.length - 1)]!

const ODD_NUMBERS = ['1e303', '-1e303', '1e-303', 'NaN', 'Infinity', '-1', '0', '0.0000001', '99999999999', '1e6', '٣']
const ODD_TEXTS = [
  '',
  '"',
  '<',
  '&#0;',
  '\u0000',
  '\u202e',
  '{}',
  '[]',
  'null',
  '__proto__',
  '=1+1',
  '\r\n',
  'é'.repeat(300),
]

/** One thing that goes wrong with a text: cut off, doubled, swapped, a character or number changed, something put in. */
function worseText(text: string, stream: Stream): string {
  const at = whole(stream, 0, text.length)
  const to = Math.min(text.length, at + whole(stream, 1, 80))
  switch (whole(stream, 0, 6)) {
    case 0:
      return text.slice(0, at)
    case 1:
      return text.slice(0, at) + text.slice(to)
    case 2:
      return text.slice(0, to) + text.slice(at)
    case 3:
      return text.slice(0, at) + oneOf(stream, ODD_TEXTS) + text.slice(at)
    case 4:
      return text.slice(0, at) + String.fromCharCode(whole(stream, 0, 255)) + text.slice(at + 1)
    default: {
      const numbers = [...text.matchAll(/-?\d+(\.\d+)?/g)]
      if (numbers.length === 0) return text.slice(0, at)
      const { 0: old, index } = oneOf(stream, numbers)
      const other = stream() < 0.5 ? oneOf(stream, ODD_NUMBERS) : String(Number(old) * between(stream, -0.5, 4))
      return text.slice(0, index) + other + text.slice(index + old.length)
    }
  }
}

type Loose = Record<string, unknown> | unknown[]

/** Every place in a value: what holds it, and its name there. */
function places(value: unknown, found: { readonly holder: Loose; readonly name: string }[] = []) {
  if (typeof value !== 'object' || value === null) return found
  for (const name of Object.keys(value)) {
    found.push({ holder: value as Loose, name })
    places((value as Record<string, unknown>)[name], found)
  }
  return found
}

/** Another value of the same kind: near it, at a limit, or beyond all measure. */
function other(value: unknown, stream: Stream, texts: readonly string[]): unknown {
  switch (typeof value) {
    case 'number':
      return oneOf(stream, [
        () => Math.round(value * between(stream, 0, 3)),
        () => value * between(stream, 0, 3),
        () => -value,
        () => Number(oneOf(stream, ODD_NUMBERS)),
      ])()
    case 'boolean':
      return !value
    case 'string':
      return stream() < 0.7 ? oneOf(stream, texts) : oneOf(stream, ODD_TEXTS)
    default:
      return oneOf(stream, [null, 0, '', [], {}, value])
  }
}

/** One thing that goes wrong with what a text in JSON holds. */
function worseValue(value: unknown, stream: Stream): unknown {
  const all = places(value)
  if (all.length === 0) return null
  const { holder, name } = oneOf(stream, all)
  const held = holder as Record<string, unknown>
  const texts = all.flatMap(({ holder: of, name: called }) => {
    const each = (of as Record<string, unknown>)[called]
    return typeof each === 'string' && each.length < 60 ? [each] : []
  })
  const chance = stream()
  if (chance < 0.7) held[name] = other(held[name], stream, texts.length > 0 ? texts : [''])
  else if (chance < 0.78) delete held[name]
  else if (chance < 0.9 && Array.isArray(held[name])) {
    const list = held[name] as unknown[]
    list.push(...structuredClone(list))
  } else if (chance < 0.95)
    Object.defineProperty(held, oneOf(stream, ['__proto__', 'constructor', 'extra']), own({ a: 1 }))
  else held[name] = structuredClone(held)
  return value
}
const own = (value: unknown): PropertyDescriptor => ({ value, enumerable: true, configurable: true, writable: true })

/** How many things go wrong with one input, at most. */
const MOST_DAMAGES = 3

/** A text with one to three things gone wrong with it, in what it holds where it is JSON, or letter by letter. */
export function damaged(text: string, isJson: boolean, stream: Stream): string {
  const times = whole(stream, 1, MOST_DAMAGES)
  let worse = text
  for (let each = 0; each < times; each += 1) {
    if (isJson && stream() < 0.85) {
      try {
        worse = JSON.stringify(worseValue(JSON.parse(worse), stream)) ?? 'null'
        continue
      } catch {
        // Broken letter by letter before: it goes on so.
      }
    }
    worse = worseText(worse, stream)
  }
  return worse
}
