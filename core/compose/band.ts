/**
 * A band: elements side by side round a tier between two heights, all the way or over an arc. Heights are mm above the
 * tier's own foot. A high band takes several rows.
 *
 * By hand: a band 118 mm high of scrolls 46 mm high that overlap by a tenth: the first row takes 46 mm, each further one
 * 46 × 0.9 = 41.4; ( 118 − 46 ) ÷ 41.4 + 1 = 2.7, so 2 rows.
 */
import { z } from 'zod'
import { alongAt, angleAt, edgeScale, flatSides, type StandingTier } from '../cake'
import { between, derive, found, seededStream, seedFor, typed, type Working } from '../quantity'
import { chosen, type BandRoom, type PlacedElement, type SeenSize } from '../technique'
import { askedOf, defineComposition, keepingFree, placedOf, tierOf, turned, within } from './define'
import { fields } from './fields'

const schema = z.strictObject({
  kind: z.literal('band'),
  tier: fields.tier,
  count: fields.count,
  fromMm: z.number().min(0).max(400).meta({ label: 'Begins', kind: 'length', help: 'Above the tier’s foot' }),
  toMm: z.number().min(0).max(400).meta({ label: 'Ends', kind: 'length', help: 'Above the tier’s foot' }),
  rows: z
    .number()
    .int()
    .min(1)
    .max(12)
    .nullable()
    .meta({ label: 'Rows', kind: 'count', help: 'None typed: as many as fill its height' }),
  middleDeg: fields.middleDeg,
  spanDeg: fields.spanDeg,
  overlap: fields.overlap,
  irregularity: fields.irregularity,
  seed: fields.seed,
})

export type Band = z.infer<typeof schema>

const STARTING = { spanDeg: 360, overlap: 0.1 } as const

/** The room a band offers on the cake as it stands: never above the tier's top. */
export function bandRoom(stack: readonly StandingTier[], band: Band): BandRoom {
  const tier = tierOf(stack, band.tier)
  const tierHeight = tier.topMm - tier.footMm
  const [low, high] = [
    Math.min(band.fromMm, band.toMm, tierHeight),
    Math.min(Math.max(band.fromMm, band.toMm), tierHeight),
  ]
  const perimeter = found('perimeter', tier.perimeterMm, 'length', `round the foot of tier ${tier.index + 1}`)
  const span = chosen('reaches round', band.spanDeg, STARTING.spanDeg, 'angle')
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
        to: found('ends', high, 'length', 'as Arrange has it'),
        from: found('begins', low, 'length', 'as Arrange has it'),
      },
      (v) => v.to - v.from,
    ),
  }
}

/** How many rows of elements a band takes: those that were asked for, or as many as fill its height. */
function rowsOf(values: Band, room: BandRoom, seen: SeenSize, overlap: Working): Working {
  const height = found('seen height', seen.heightMm, 'length', 'of an element')
  return values.rows === null
    ? derive(
        'rows',
        'count',
        'rows up a band',
        'round down( ( {room} − {height} ) ÷ ( {height} × (1 − {overlap}) ) + 1 ), at least 1',
        { room: room.height, height, overlap },
        (v) => Math.max(1, Math.floor((v.room - v.height) / (v.height * (1 - v.overlap)) + 1 + 1e-9)),
      )
    : typed('rows', values.rows, 'count', 'Arrange')
}

/** Which row each of a count stands in, the upper rows one more where it does not go evenly, and where in its row. */
function placesInRows(
  count: number,
  rows: number,
): readonly { readonly row: number; readonly at: number; readonly of: number }[] {
  return Array.from({ length: rows }, (_, row) => {
    const of = Math.ceil((count - row) / rows)
    return Array.from({ length: Math.max(0, of) }, (__, at) => ({ row, at, of }))
  }).flat()
}

export const band = defineComposition({
  kind: 'band',
  name: 'Band',
  say: 'Side by side round a tier, between two heights.',
  schema,

  starting: ({ tiers, seen, fillsRows, wholeTier, seed }): Band => {
    const tier = fillsRows ? 0 : tiers.length - 1
    const high = tiers[tier]!.heightMm
    return {
      kind: 'band',
      tier,
      count: null,
      rows: null,
      fromMm: fillsRows ? 0 : 10,
      toMm: Math.min(high, wholeTier ? high : fillsRows ? 76 : 24 + seen.heightMm),
      middleDeg: 0,
      spanDeg: STARTING.spanDeg,
      overlap: STARTING.overlap,
      irregularity: 0.5,
      seed,
    }
  },

  layOut: (values, ground) => {
    const { stack, seen } = ground
    const room = bandRoom(stack, values)
    const tier = stack[room.tier]!
    const scale = edgeScale(tier)
    const overlap = chosen('lushness', values.overlap, STARTING.overlap, 'share')
    const inRow = derive(
      'in a row',
      'count',
      'elements along a band',
      'round( {length} ÷ ( {width} × (1 − {overlap}) ) ), at least 1',
      { length: room.length, width: found('seen width', seen.widthMm, 'length', 'of an element'), overlap },
      (v) => Math.max(1, Math.round(v.length / (v.width * (1 - v.overlap)))),
    )
    const rows = rowsOf(values, room, seen, overlap)
    const filling = derive(
      'elements',
      'count',
      'rows of elements',
      '{rows} × {inRow}',
      { rows, inRow },
      (v) => v.rows * v.inRow,
    )
    const count = placedOf(rows.value === 1 ? { ...inRow, label: 'elements' } : filling, askedOf(values, ground))
    const start = alongAt(scale, room.fromDeg)
    const places = placesInRows(count.value, rows.value)
    const free = Math.max(0, room.topMm - room.footMm - seen.heightMm)
    // One row strays up and down within its room; several keep to their heights.
    const rise = rows.value === 1 ? 0 : free / (rows.value - 1)
    return keepingFree(
      {
        count,
        elements: places.map(({ row, at, of }, index): PlacedElement => {
          const seed = seedFor(values.seed, index)
          const stream = seededStream(seed)
          const stray = (): number => values.irregularity * between(stream, -1, 1)
          const along = (at + (row % 2 === 0 ? 0.5 : 1)) / of
          return {
            index,
            tier: room.tier,
            on: 'side',
            row,
            outMm: 0,
            spanDeg: 0,
            seed,
            mirrored: between(stream, 0, 1) < 0.5,
            away: Math.abs((at + 0.5) / of - 0.5) * 2,
            angleDeg: angleAt(scale, start + (along + (0.25 * stray()) / of) * room.length.value),
            heightMm:
              rows.value === 1
                ? room.footMm + Math.min(free, Math.max(0, free / 2 + (free / 2) * stray()))
                : room.topMm - seen.heightMm - row * rise,
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
