/** What lets as many elements find a place as were asked for, where too few do: each way is tried before it is told. */
import { compositionOf, turned, type Composition } from '../compose'
import type { z } from 'zod'
import { printQuantity, type UnitSystem } from '../quantity'
import { techniqueOf, type Means } from '../technique'
import type { Decoration } from './commission'
import { laidOut, type Arranged, type LyingOn } from './laidOut'

/** What is changed of a decoration. */
type Change = Partial<Pick<Decoration, 'composition' | 'sizes'>> & { readonly parameters?: Decoration['parameters'] }

/** A way to let more elements find a place: what it changes, to which value, and the change itself. */
export type WayToFit = {
  readonly id: 'round' | 'rim' | 'wider' | 'overlap' | 'gap' | 'tier' | 'smaller' | 'fewer' | 'one'
  readonly to: number
  /** How many find a place so, where it is not all that were asked for. */
  readonly many?: number
  readonly change: Change
}

/** Turned so far round the cake, the nearest first. */
const TURNS_DEG = [45, -45, 90, -90, 135, -135, 180] as const
const REACHES = [0.75, 1] as const
const SPANS_DEG = [180, 240, 300, 360] as const
const OVERLAPS = [0.3, 0.4, 0.5, 0.6, 0.75] as const
const GAPS_MM = [4, 0] as const
const SMALLER = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3] as const
/** Ends of what is put right are told to a millimetre. */
const inMm = (value: number): number => Math.max(1, Math.round(value))

/** Changes of one field of a composition that it has, beyond where it stands. */
function fieldWays(
  { composition }: Arranged,
  id: WayToFit['id'],
  key: 'reach' | 'spanDeg' | 'overlap' | 'gapMm' | 'tier',
  values: readonly number[],
): readonly WayToFit[] {
  if (!(key in composition)) return []
  return values.map((to) => ({ id, to, change: { composition: { ...composition, [key]: to } as Composition } }))
}

/** Moved round the cake: its heart, or both ends of a sweep. */
function roundWays({ composition }: Arranged): readonly WayToFit[] {
  return TURNS_DEG.flatMap((by): readonly WayToFit[] => {
    if (composition.kind === 'sweep') {
      const { fromAngleDeg, toAngleDeg } = composition
      const moved = { ...composition, fromAngleDeg: fromAngleDeg + by, toAngleDeg: toAngleDeg + by }
      return [{ id: 'round', to: turned((fromAngleDeg + toAngleDeg) / 2 + by), change: { composition: moved } }]
    }
    if (!('middleDeg' in composition)) return []
    const to = turned(composition.middleDeg + by)
    return [{ id: 'round', to, change: { composition: { ...composition, middleDeg: to } as Composition } }]
  })
}

/** The same technique made smaller; where its size is told by several parameters, all of them. */
function smallerWays({ technique, parameters }: Arranged): readonly WayToFit[] {
  const { sizedBy, parameters: schema } = techniqueOf(technique)
  if (!sizedBy) return []
  const own = parameters as unknown as Readonly<Record<string, number>>
  const least = (key: string): number => (schema.shape[key] as z.ZodNumber).minValue ?? 1
  return [...SMALLER, 0].map((share) => {
    const shrunk = Object.fromEntries(sizedBy.map((key) => [key, Math.max(least(key), inMm(own[key]! * share))]))
    const changed = { ...own, ...shrunk } as unknown as Decoration['parameters']
    return { id: 'smaller', to: shrunk[sizedBy[0]!]!, change: { parameters: changed } }
  })
}

/** As many as find a place, the smallest left out. */
function fewerWay({ composition, sizes }: Arranged, fit: number): readonly WayToFit[] {
  if (fit === 0 || !('count' in composition)) return []
  let left = fit
  const kept = [...sizes]
    .sort((one, other) => other.share - one.share)
    .flatMap(({ share, many }) => {
      const own = Math.min(many, left)
      left -= own
      return own > 0 ? [{ share, many: own }] : []
    })
  const change = sizes.length > 0 ? { sizes: kept } : { composition: { ...composition, count: fit } as Composition }
  return [{ id: 'fewer', to: fit, change }]
}

/**
 * Ways that let all elements find a place, the gentlest of each kind; each was laid out and does.
 * @param asked how many are wanted: one at least, where as many as fill it find no place at all
 * @param fit how many find a place as it is
 */
export function waysToFit(
  decoration: Arranged,
  on: LyingOn,
  means: Means | undefined,
  asked: number,
  fit: number,
): readonly WayToFit[] {
  const own = decoration.composition as unknown as Readonly<Record<string, number>>
  const tiers = on.stack.map(({ index }) => index).filter((index) => index !== own.tier)
  const beyond = (key: string, values: readonly number[]): readonly number[] => values.filter((to) => to > own[key]!)
  const less = GAPS_MM.filter((to) => to < own.gapMm!)
  const fitOf = ({ change }: WayToFit): number =>
    laidOut({ ...decoration, ...change } as Arranged, on, means).elements.length
  const kinds: readonly (readonly WayToFit[])[] = [
    on.free.length > 0 ? roundWays(decoration) : [],
    fieldWays(decoration, 'rim', 'reach', beyond('reach', REACHES)),
    fieldWays(decoration, 'overlap', 'overlap', beyond('overlap', OVERLAPS)),
    fieldWays(decoration, 'wider', 'spanDeg', beyond('spanDeg', SPANS_DEG)),
    fieldWays(decoration, 'gap', 'gapMm', less),
    smallerWays(decoration),
    fieldWays(decoration, 'tier', 'tier', tiers),
    fewerWay(decoration, fit),
  ]
  const working = kinds.flatMap((ways) => ways.find((way) => fitOf(way) >= (way.id === 'fewer' ? way.to : asked)) ?? [])
  if (working.length > 0) return working
  const [fewest] = smallerWays(decoration).flatMap((way) => fewerOf(decoration, way, fitOf(way)))
  return fewest ? [fewest] : oneWays(decoration).filter((way) => fitOf(way) > 0)
}

/** Smaller ones, and as many as find a place then. */
const fewerOf = (decoration: Arranged, way: WayToFit, fit: number): readonly WayToFit[] =>
  fewerWay(decoration, fit).map((fewer) => ({ ...way, many: fit, change: { ...way.change, ...fewer.change } }))

/** A single one on the side, where nothing else lets any find a place. */
function oneWays({ technique, parameters }: Arranged): readonly WayToFit[] {
  const { compositions, seen } = techniqueOf(technique)
  if (!compositions.includes('single')) return []
  const begun = compositionOf('single').starting({
    tiers: [{ heightMm: 0 }],
    seen: seen(parameters),
    fillsRows: false,
    seed: 1,
  })
  return [{ id: 'one', to: 1, change: { composition: { ...begun, on: 'side', upMm: 0 } as Composition, sizes: [] } }]
}

/** A way in words, as somebody would say it. */
export function wayToFitWords({ id, to, many }: WayToFit, units: UnitSystem): string {
  switch (id) {
    case 'round':
      return `move them round to ${printQuantity(to, 'angle', units)}`
    case 'rim':
      return to === 1 ? 'move them to the rim' : 'move them towards the rim'
    case 'wider':
      return to === 360 ? 'let them go all the way round' : `let them reach round ${printQuantity(to, 'angle', units)}`
    case 'overlap':
      return `let them overlap by ${printQuantity(to, 'share', units)}`
    case 'gap':
      return to === 0 ? 'let them touch' : `leave ${printQuantity(to, 'length', units)} between them`
    case 'tier':
      return `put them on tier ${to + 1}`
    case 'smaller':
      return `make them ${printQuantity(to, 'length', units)}${many ? `, and ask for ${many}` : ''}`
    case 'fewer':
      return `ask for ${to}`
    case 'one':
      return 'set one on the side'
  }
}
