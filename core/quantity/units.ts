import { ok, type Result } from './result'
import { parseMeasure, printNumber, type MeasureProblem, type Unit } from './measure'

/** Which units a person reads and, when they type none, means. Everything is kept in the base unit of its kind. */
export const UNIT_SYSTEMS = ['metric', 'imperial'] as const
export type UnitSystem = (typeof UNIT_SYSTEMS)[number]

const MM_PER_INCH = 25.4
/** From here on lengths are told in metres, or feet. */
const LONG_MM = 10_000
const ML_PER_FLUID_OUNCE = 29.5735295625
const G_PER_OUNCE = 28.349523125

const millimetre: Unit = { symbol: 'mm', names: ['millimetre', 'millimetres', 'millimeter', 'millimeters'], scale: 1 }
const inch: Unit = { symbol: 'in', names: ['"', '”', '″', 'inch', 'inches'], scale: MM_PER_INCH }
const lengths: readonly Unit[] = [
  millimetre,
  { symbol: 'cm', names: ['centimetre', 'centimetres', 'centimeter', 'centimeters'], scale: 10 },
  { symbol: 'm', names: ['metre', 'metres', 'meter', 'meters'], scale: 1000 },
  inch,
  { symbol: 'ft', names: ["'", '’', '′', 'foot', 'feet'], scale: 12 * MM_PER_INCH },
]

const celsius: Unit = { symbol: '°C', names: ['c', 'celsius', 'degrees c'], scale: 1 }
const fahrenheit: Unit = { symbol: '°F', names: ['f', 'fahrenheit', 'degrees f'], scale: 5 / 9, shift: -160 / 9 }
const temperatures: readonly Unit[] = [celsius, { ...celsius, symbol: '°', names: [] }, fahrenheit]

const millilitre: Unit = { symbol: 'ml', names: ['millilitre', 'millilitres', 'milliliter', 'milliliters'], scale: 1 }
const ML_PER_TEASPOON = 5
const fluidOunce: Unit = {
  symbol: 'fl oz',
  names: ['floz', 'oz', 'fluid ounce', 'fluid ounces'],
  scale: ML_PER_FLUID_OUNCE,
}
const volumes: readonly Unit[] = [
  millilitre,
  { symbol: 'l', names: ['litre', 'litres', 'liter', 'liters'], scale: 1000 },
  { symbol: 'tsp', names: ['teaspoon', 'teaspoons'], scale: ML_PER_TEASPOON },
  { symbol: 'tbsp', names: ['tablespoon', 'tablespoons'], scale: 15 },
  { symbol: 'cup', names: ['cups'], scale: 240 },
  fluidOunce,
]

const gram: Unit = { symbol: 'g', names: ['gram', 'grams'], scale: 1 }
const ounce: Unit = { symbol: 'oz', names: ['ounce', 'ounces'], scale: G_PER_OUNCE }
const masses: readonly Unit[] = [
  gram,
  { symbol: 'kg', names: ['kilo', 'kilos', 'kilogram', 'kilograms'], scale: 1000 },
  ounce,
  { symbol: 'lb', names: ['pound', 'pounds'], scale: 16 * G_PER_OUNCE },
]

const minute: Unit = { symbol: 'min', names: ['minute', 'minutes', 'm'], scale: 1 }
const durations: readonly Unit[] = [
  minute,
  { symbol: 'h', names: ['hour', 'hours', 'hr', 'hrs'], scale: 60 },
  { symbol: 'd', names: ['day', 'days'], scale: 1440 },
]

const percentUnit: Unit = { symbol: '%', names: ['percent', 'per cent'], scale: 0.01 }
const degree: Unit = { symbol: '°', names: ['deg', 'degrees'], scale: 1 }
const countUnit: Unit = { symbol: '', names: [], scale: 1 }

/** The kinds of quantity that are typed and shown. */
export type QuantityKind =
  'length' | 'temperature' | 'volume' | 'mass' | 'duration' | 'share' | 'count' | 'ratio' | 'angle' | 'money'

type KindRules = {
  readonly units: readonly Unit[]
  readonly assumed: Readonly<Record<UnitSystem, Unit>>
  readonly print: (base: number, system: UnitSystem) => string
  readonly example: Readonly<Record<UnitSystem, string>>
}

const one = <T>(both: T): Readonly<Record<UnitSystem, T>> => ({ metric: both, imperial: both })

const kinds: Readonly<Record<QuantityKind, KindRules>> = {
  length: {
    units: lengths,
    assumed: { metric: millimetre, imperial: inch },
    print: (mm, system) =>
      Math.abs(mm) >= LONG_MM
        ? system === 'metric'
          ? `${printNumber(mm / 1000, 1)} m`
          : `${printNumber(mm / MM_PER_INCH / 12, 0)} ft`
        : system === 'metric' || isThin(mm)
          ? `${printNumber(mm, isThin(mm) ? 2 : Math.abs(mm) < 10 ? 1 : 0)} mm`
          : `${printInches(mm / MM_PER_INCH)} in`,
    example: { metric: '205 mm or 8 in', imperial: '8 in or 20.5 cm' },
  },
  temperature: {
    units: temperatures,
    assumed: { metric: celsius, imperial: fahrenheit },
    print: (celsiusDegrees, system) =>
      system === 'metric' ? `${printNumber(celsiusDegrees, 1)} °C` : `${printNumber(celsiusDegrees * 1.8 + 32, 0)} °F`,
    example: { metric: '21 °C', imperial: '70 °F' },
  },
  volume: {
    units: volumes,
    assumed: { metric: millilitre, imperial: fluidOunce },
    print: (ml, system) =>
      system === 'metric'
        ? `${printNumber(ml, smallDigits(ml, 10))} ml`
        : Math.abs(ml) < ML_PER_FLUID_OUNCE / 2
          ? `${printNumber(ml / ML_PER_TEASPOON, smallDigits(ml / ML_PER_TEASPOON, 10))} tsp`
          : `${printNumber(ml / ML_PER_FLUID_OUNCE, 1)} fl oz`,
    example: { metric: '400 ml or 2 tbsp', imperial: '14 fl oz or 2 cups' },
  },
  mass: {
    units: masses,
    assumed: { metric: gram, imperial: ounce },
    print: (grams, system) =>
      // Scales that weigh so little weigh in grams everywhere.
      system === 'metric' || Math.abs(grams) < G_PER_OUNCE / 2
        ? `${printNumber(grams, smallDigits(grams, 20))} g`
        : `${printNumber(grams / G_PER_OUNCE, Math.abs(grams) < 280 ? 1 : 0)} oz`,
    example: { metric: '250 g or 1.5 kg', imperial: '9 oz or 2 lb' },
  },
  duration: {
    units: durations,
    assumed: one(minute),
    print: (minutes) => printDuration(minutes),
    example: one('40 min or 1 h 30'),
  },
  share: {
    units: [percentUnit],
    assumed: one(percentUnit),
    print: (share) => `${printNumber(share * 100, 0)} %`,
    example: one('58 %'),
  },
  angle: {
    units: [degree],
    assumed: one(degree),
    print: (degrees) => `${printNumber(degrees, 0)}°`,
    example: one('45°'),
  },
  count: { units: [countUnit], assumed: one(countUnit), print: (count) => printNumber(count, 0), example: one('3') },
  money: { units: [countUnit], assumed: one(countUnit), print: (amount) => amount.toFixed(2), example: one('12.50') },
  ratio: { units: [countUnit], assumed: one(countUnit), print: (ratio) => printNumber(ratio, 2), example: one('1.6') },
}

/** Decimals that leave something of a small amount: two below 1, one below what is large. */
const smallDigits = (amount: number, large: number): number =>
  Math.abs(amount) < 1 ? 2 : Math.abs(amount) < large ? 1 : 0

/** Less than a millimetre is how thick something is, which is told in millimetres everywhere. */
const isThin = (mm: number): boolean => mm !== 0 && Math.abs(mm) < 1

/** Inches to the nearest eighth as a baker reads a ruler: 8, 8 1/4, 3/8. */
function printInches(inches: number): string {
  const eighths = Math.round(Math.abs(inches) * 8)
  const whole = Math.floor(eighths / 8)
  const rest = eighths % 8
  const sign = inches < 0 && eighths > 0 ? '−' : ''
  if (rest === 0) return `${sign}${whole}`
  const divisor = rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1
  return `${sign}${whole > 0 ? `${whole} ` : ''}${rest / divisor}/${8 / divisor}`
}

/** A duration in minutes as people say it: "40 min", "6 h 10", "3 days 4 h". */
export function printDuration(minutes: number): string {
  const rounded = Math.round(Math.abs(minutes))
  const sign = minutes < 0 && rounded > 0 ? '−' : ''
  if (rounded < 60) return `${sign}${rounded} min`
  const hours = Math.floor(rounded / 60)
  const rest = rounded % 60
  if (hours < 48) return `${sign}${hours} h${rest === 0 ? '' : ` ${String(rest).padStart(2, '0')}`}`
  const days = Math.floor(hours / 24)
  return `${sign}${days} days${hours % 24 === 0 ? '' : ` ${hours % 24} h`}`
}

/**
 * Reads what a person typed for a quantity of a kind.
 * @returns mm, °C, ml, minutes, a share (0.58 for "58 %") or a plain number
 */
export function parseQuantity(text: string, kind: QuantityKind, system: UnitSystem): Result<number, MeasureProblem> {
  if (kind === 'duration') {
    const clock = /^\s*(\d+)\s*(?:h|:)\s*(\d{1,2})\s*(?:m|min)?\s*$/i.exec(text)
    if (clock) return ok(Number(clock[1]) * 60 + Number(clock[2]))
  }
  const { units, assumed } = kinds[kind]
  return parseMeasure(text, units, assumed[system])
}

/** A quantity for reading, in the units of the system. */
export const printQuantity = (base: number, kind: QuantityKind, system: UnitSystem): string =>
  kinds[kind].print(base, system)

/** Something a person could type here, for hints and refusals. */
export const exampleOf = (kind: QuantityKind, system: UnitSystem): string => kinds[kind].example[system]
