/** What rides on the cake, and which box all else travels in: in layers, with padding, a bag of desiccant in each. */
import { chosenOption, type Commission } from '../commission'
import { type Plan } from '../plan'
import type { PieceBox } from '../supply'
import { seenAs } from '../technique'

/** Something that is packed: how it lies, mm. */
type Packed = {
  readonly decoration: string
  readonly name: string
  readonly many: string
  readonly lengthMm: number
  readonly widthMm: number
  readonly highMm: number
}

/** Something in its layer: its lower left corner. */
type LaidInBox = Packed & { readonly xMm: number; readonly yMm: number }

type PackedLayer = { readonly items: readonly LaidInBox[]; readonly highMm: number }

/** A box with its layers, the lowest first. `spare` when there are fewer of its kind than are packed. */
type PackedBox = {
  readonly box: PieceBox
  readonly number: number
  readonly layers: readonly PackedLayer[]
  readonly missing: boolean
}

export type Packing = {
  /** Decorations that travel on the cake. */
  readonly rides: readonly string[]
  readonly boxes: readonly PackedBox[]
  /** What fits in no box that there is. */
  readonly tooLarge: readonly Packed[]
}

/** Soft paper below, between and above what lies in a box, mm. */
export const PADDING_MM = 10
/** A draped sheet is so deep for its width; flat things are little more than their paper. */
const DRAPED_DEPTH = 0.45
const FLAT_MM = 18
const SPRAY_DEPTH = 0.5

/** Everything that does not ride on the cake, as it lies. */
function itemsOf(
  plan: Plan,
  { brief }: Commission,
): { readonly rides: readonly string[]; readonly items: readonly Packed[] } {
  const onCake = brief.completion === 'beforeDriving'
  const made = plan.decorations.filter(({ elements }) => elements.length > 0)
  const rides = made.filter(({ skin }) => onCake || skin).map(({ name }) => name.toLowerCase())
  const items = onCake
    ? []
    : made
        .filter(({ skin }) => !skin)
        .flatMap(({ id, one, called, elements, seen, wiring }) =>
          elements.map((element): Packed => {
            const { widthMm: width, heightMm: height } = seenAs(element, seen)
            const wired = wiring.length > 0
            return {
              decoration: id,
              name: one,
              many: called,
              lengthMm: height,
              widthMm: width,
              highMm: wired
                ? Math.max(FLAT_MM, Math.min(width, height) * SPRAY_DEPTH)
                : Math.max(FLAT_MM, Math.min(width, height) * DRAPED_DEPTH),
            }
          }),
        )
  return { rides, items }
}

/** Rows of a layer, as many items as lie beside one another with padding between; what is left over. */
function layerOf(
  items: readonly Packed[],
  { lengthMm, widthMm }: PieceBox,
  mostHighMm: number,
): { readonly layer: PackedLayer | null; readonly left: readonly Packed[] } {
  const laid: LaidInBox[] = []
  const left: Packed[] = []
  let [x, y, rowWidth] = [PADDING_MM, PADDING_MM, 0]
  for (const item of items) {
    const turned =
      item.lengthMm + 2 * PADDING_MM <= lengthMm && item.widthMm + 2 * PADDING_MM <= widthMm
        ? item
        : { ...item, lengthMm: item.widthMm, widthMm: item.lengthMm }
    if (
      turned.highMm > mostHighMm ||
      turned.lengthMm + 2 * PADDING_MM > lengthMm ||
      turned.widthMm + 2 * PADDING_MM > widthMm
    ) {
      left.push(item)
      continue
    }
    let [atX, atY, row] = [x, y, rowWidth]
    if (atX + turned.lengthMm + PADDING_MM > lengthMm) {
      atX = PADDING_MM
      atY += row + PADDING_MM
      row = 0
    }
    if (atY + turned.widthMm + PADDING_MM > widthMm) {
      left.push(item)
      continue
    }
    laid.push({ ...turned, xMm: atX, yMm: atY })
    ;[x, y, rowWidth] = [atX + turned.lengthMm + PADDING_MM, atY, Math.max(row, turned.widthMm)]
  }
  return {
    layer: laid.length > 0 ? { items: laid, highMm: Math.max(...laid.map(({ highMm }) => highMm)) } : null,
    left,
  }
}

/** One box filled with layers until it is full or nothing is left. */
function filled(
  items: readonly Packed[],
  box: PieceBox,
): { readonly layers: readonly PackedLayer[]; readonly left: readonly Packed[] } {
  const layers: PackedLayer[] = []
  let [rest, room] = [items, box.heightMm - PADDING_MM]
  for (;;) {
    const { layer, left } = layerOf(rest, box, room - PADDING_MM)
    if (!layer) return { layers, left: rest }
    layers.push(layer)
    ;[rest, room] = [left, room - layer.highMm - PADDING_MM]
    if (rest.length === 0) return { layers, left: rest }
  }
}

const volume = ({ lengthMm, widthMm, heightMm }: PieceBox): number => lengthMm * widthMm * heightMm

/**
 * How a job is packed: deep things first, each time into the box that takes most of what is left; boxes there are
 * before boxes to get.
 */
export function packingOf(plan: Plan, commission: Commission, boxes: readonly PieceBox[]): Packing {
  const { rides, items } = itemsOf(plan, commission)
  const kinds = [...boxes].sort((one, other) => volume(one) - volume(other))
  const used = new Map<PieceBox, number>()
  const packed: PackedBox[] = []
  let rest: readonly Packed[] = [...items].sort(
    (one, other) => other.highMm - one.highMm || other.lengthMm * other.widthMm - one.lengthMm * one.widthMm,
  )
  while (rest.length > 0) {
    const tries = kinds
      .map((box) => ({ box, ...filled(rest, box), missing: (used.get(box) ?? 0) >= box.count }))
      .filter(({ layers }) => layers.length > 0)
    const most = (some: typeof tries): (typeof tries)[number] | undefined =>
      some.reduce<(typeof tries)[number] | undefined>(
        (best, each) => (!best || each.left.length < best.left.length ? each : best),
        undefined,
      )
    const chosen = most(tries.filter(({ missing }) => !missing)) ?? most(tries)
    if (!chosen) break
    used.set(chosen.box, (used.get(chosen.box) ?? 0) + 1)
    packed.push({ box: chosen.box, number: packed.length + 1, layers: chosen.layers, missing: chosen.missing })
    rest = chosen.left
  }
  return { rides, boxes: packed, tooLarge: rest }
}

/** Spares that are worth taking along: of what may be mended at the venue, no more than there will be. */
export function repairKitOf(
  plan: Plan,
  commission: Commission,
): readonly { readonly name: string; readonly many: number }[] {
  const spares = plan.decorations
    .filter(({ elements, skin }) => elements.length > 0 && !skin)
    .map(({ name, classes }) => ({
      name: `spare pieces, ${name.toLowerCase()}`,
      many: Math.min(...classes.map(({ spares }) => spares.value).filter((many) => many > 0), 6),
    }))
  const { cake } = chosenOption(commission)
  return spares
    .filter(({ many }) => many > 0)
    .concat([
      { name: 'glue for each covering, a small brush', many: new Set(cake.tiers.map(({ covering }) => covering)).size },
      { name: 'tweezers, scissors, cotton buds, gloves', many: 1 },
      { name: 'dust and paint used, a dry brush', many: 1 },
    ])
}
