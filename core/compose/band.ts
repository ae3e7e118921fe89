/**
 * A band: elements side by side round a tier between two heights, all the way or over an arc. Heights are mm above the
 * tier's own foot.
 */
import { z } from 'zod'
import { alongAt, angleAt, edgeScale, flatSides, type StandingTier } from '../cake'
import { between, derive, found, seededStream, seedFor, typed } from '../quantity'
import type { BandRoom, PlacedElement } from '../technique'
import { defineComposition, keepingFree, tierOf, turned, within } from './define'
import { fields } from './fields'

const schema = z.strictObject({
  kind: z.literal('band'),
  tier: fields.tier,
  fromMm: z.number().min(0).max(400).meta({ label: 'Begins', kind: 'length', help: 'Above the tier’s foot' }),
  toMm: z.number().min(0).max(400).meta({ label: 'Ends', kind: 'length', help: 'Above the tier’s foot' }),
  middleDeg: fields.middleDeg,
  spanDeg: fields.spanDeg,
  overlap: fields.overlap,
  irregularity: fields.irregularity,
  seed: fields.seed,
})

export type Band = z.infer<typeof schema>

/** The room a band offers on the cake as it stands: never above the tier's top. */
export function bandRoom(stack: readonly StandingTier[], band: Band): BandRoom {
  const tier = tierOf(stack, band.tier)
  const tierHeight = tier.topMm - tier.footMm
  const [low, high] = [
    Math.min(band.fromMm, band.toMm, tierHeight),
    Math.min(Math.max(band.fromMm, band.toMm), tierHeight),
  ]
  const perimeter = found('perimeter', tier.perimeterMm, 'length', `round the foot of tier ${tier.index + 1}`)
  const span = typed('reaches round', band.spanDeg, 'angle', 'Arrange')
  const scale = edgeScale(tier)
  const fromDeg = band.middleDeg - band.spanDeg / 2
  return {
    tier: tier.index,
    fromDeg,
    spanDeg: band.spanDeg,
    footMm: tier.footMm + low,
    topMm: tier.footMm + high,
    seed: band.seed,
    irregularity: band.irregularity,
    faces: flatSides(tier.shape, tier.turnDeg),
    length: derive(
      'band length',
      'length',
      'along the foot of the tier',
      band.spanDeg >= 360 ? '{perimeter}' : 'part of {perimeter} over {span}',
      band.spanDeg >= 360 ? { perimeter } : { perimeter, span },
      () => (band.spanDeg >= 360 ? tier.perimeterMm : alongAt(scale, fromDeg + band.spanDeg) - alongAt(scale, fromDeg)),
    ),
    height: derive(
      'band height',
      'length',
      'between two heights, within the tier',
      '{to} − {from}',
      {
        to: typed('ends', high, 'length', 'Arrange'),
        from: typed('begins', low, 'length', 'Arrange'),
      },
      (v) => v.to - v.from,
    ),
  }
}

export const band = defineComposition({
  kind: 'band',
  name: 'Band',
  say: 'Side by side round a tier, between two heights.',
  schema,

  starting: ({ tiers, seen, fillsRows, seed }): Band => {
    const tier = fillsRows ? 0 : tiers.length - 1
    const high = tiers[tier]!.heightMm
    return {
      kind: 'band',
      tier,
      fromMm: fillsRows ? 0 : 10,
      toMm: Math.min(high, fillsRows ? 76 : 24 + seen.heightMm),
      middleDeg: 0,
      spanDeg: 360,
      overlap: 0.1,
      irregularity: 0.5,
      seed,
    }
  },

  layOut: (values, ground) => {
    const { stack, seen } = ground
    const room = bandRoom(stack, values)
    const tier = stack[room.tier]!
    const scale = edgeScale(tier)
    const count = derive(
      'elements',
      'count',
      'elements along a band',
      'round( {length} ÷ ( {width} × (1 − {overlap}) ) ), at least 1',
      {
        length: room.length,
        width: found('seen width', seen.widthMm, 'length', 'of an element'),
        overlap: typed('lushness', values.overlap, 'share', 'Arrange'),
      },
      (v) => Math.max(1, Math.round(v.length / (v.width * (1 - v.overlap)))),
    )
    const start = alongAt(scale, room.fromDeg)
    const step = room.length.value / count.value
    const free = Math.max(0, room.topMm - room.footMm - seen.heightMm)
    return keepingFree(
      {
        count,
        elements: Array.from({ length: count.value }, (_, index): PlacedElement => {
          const seed = seedFor(values.seed, index)
          const stream = seededStream(seed)
          const stray = (): number => values.irregularity * between(stream, -1, 1)
          return {
            index,
            tier: room.tier,
            on: 'side',
            row: 0,
            outMm: 0,
            spanDeg: 0,
            seed,
            mirrored: between(stream, 0, 1) < 0.5,
            away: Math.abs((index + 0.5) / count.value - 0.5) * 2,
            angleDeg: angleAt(scale, start + (index + 0.5 + 0.25 * stray()) * step),
            heightMm: room.footMm + Math.min(free, Math.max(0, free / 2 + (free / 2) * stray())),
            size: 1 - 0.16 * values.irregularity * between(stream, 0, 1),
            rollDeg: 16 * stray(),
          }
        }),
      },
      ground,
    )
  },

  handles: (values, stack) => {
    const { tier, footMm, topMm, fromDeg } = bandRoom(stack, values)
    const handle = (id: string, name: string, angleDeg: number, heightMm: number) => ({
      id,
      name,
      tier,
      on: 'side' as const,
      angleDeg,
      heightMm,
      outMm: 0,
    })
    const edgeDeg = within(values.middleDeg, -180, 180)
    return [
      handle('to', 'Upper edge', edgeDeg, topMm),
      handle('from', 'Lower edge', edgeDeg, footMm),
      ...(values.spanDeg >= 360
        ? []
        : [
            handle('left', 'Left end', fromDeg, (footMm + topMm) / 2),
            handle('right', 'Right end', fromDeg + values.spanDeg, (footMm + topMm) / 2),
          ]),
    ]
  },

  pull: (values, handle, { angleDeg, heightMm }, stack): Band => {
    const tier = tierOf(stack, values.tier)
    const up = Math.round(within(heightMm - tier.footMm, 0, tier.topMm - tier.footMm))
    switch (handle) {
      case 'to':
        return { ...values, toMm: up }
      case 'from':
        return { ...values, fromMm: up }
      case 'left':
        return { ...values, spanDeg: within(2 * Math.abs(turned(values.middleDeg - angleDeg)), 10, 360) }
      case 'right':
        return { ...values, spanDeg: within(2 * Math.abs(turned(angleDeg - values.middleDeg)), 10, 360) }
      default:
        return values
    }
  },
})
