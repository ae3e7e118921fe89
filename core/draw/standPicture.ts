import { edgePoints, roundShape, widened, type Board, type StandingTier } from '../cake'
import { coveringOf } from '../material'
import { cross, dot, outward, polyline, unit, type Outline, type Point, type Point3 } from '../geometry'
import type { Mesh, SailNet } from '../technique'
import { coarsened } from './coarse'
import { darken, lighten } from './shading'
import type { Shape } from './shape'
import { asOutline, drawBlock, tierBlock, type Block } from './tierBlock'
import { drawMesh } from './meshPicture'
import { lightAt, viewAt, type View } from './view'

/** What stands on the stand. */
export type StandScene = {
  readonly board: Board
  readonly stack: readonly StandingTier[]
  readonly sails: readonly { readonly net: SailNet; readonly facingDeg: number; readonly colour: string }[]
  /** Elements cut from sheets, as their technique draws them. */
  readonly elements: readonly Drawn[]
  /** Pearls and the like. */
  readonly accents: readonly Drawn[]
}

/** `axis` is given for what runs round a tier: the tier's middle, from which is told what of it lies in front. */
type Drawn = {
  readonly mesh: Mesh
  readonly on: 'side' | 'top'
  readonly facingDeg: number
  readonly colour: string
  readonly axis?: Point | undefined
}

/**
 * Shapes of one thing on the stand, so that it can be lit up and touched. `shadow` falls on the tiers only, and is
 * filled as one: no darker where its outlines overlap.
 */
export type StandLayer = {
  readonly id: string
  readonly kind: 'board' | 'tier' | 'sail' | 'element' | 'accent'
  readonly index: number
  readonly outline: readonly Point[]
  readonly shapes: readonly Shape[]
  readonly shadow?: readonly Outline[]
}

/** Where a tier darkens what it stands on. */
const contactShadow = (
  shape: StandingTier['shape'],
  { turnDeg, middle }: Pick<StandingTier, 'turnDeg' | 'middle'>,
  heightMm: number,
  view: View,
): Shape => ({
  kind: 'outline',
  outline: asOutline(edgePoints(widened(shape, 7), turnDeg, middle, 48).map(({ x, y }) => view([x, y, heightMm]))),
  fill: '#2a1c2c',
  fillOpacity: 0.13,
})

/** What faces away further than this lies behind the cake and is not drawn. */
const HIDDEN = -0.4
const HIDDEN_COARSE = -0.1
const SPACER_COLOUR = '#e6d9c4'
const BOARD_COLOUR = '#efe3cf'
const ORIGIN: Point = { x: 0, y: 0 }

/** A plain block of one section, such as a board or a separator. */
function plainBlock(shape: StandingTier['shape'], middle: Point, footMm: number, topMm: number, colour: string): Block {
  const edge = edgePoints(shape, 0, middle, 72)
  const at = (heightMm: number): readonly Point3[] => edge.map(({ x, y }) => [x, y, heightMm])
  return { foot: at(footMm), top: at(topMm), colour, gloss: 0.12, combed: false }
}

/** Rows of the net that bound the bands of a strip, foot to rim, and how dense the gathered film is in each. */
const BANDS = [
  { low: 0, high: 2, dense: 0.92 },
  { low: 2, high: 5, dense: 0.82 },
  { low: 5, high: 8, dense: 0.7 },
] as const

/** Columns of the net to a strip. */
const STRIP = 2
/** One band for all, for while the stand turns with much on it. */
const WHOLE = [{ low: 0, high: 8, dense: 0.8 }] as const
/** About as many faces as a sail has. */
const SAIL_FACES = 36
/** Elements drawn with fewer faces throw no shadow while the stand turns. */
const SHADOWED = 2

/** Steps of detail: what is drawn coarser is kept for each element, so it does not change at every frame. */
const DETAILS = [1, 2, 3, 5, 8, 13, 21, 34, 55, 89, 144, 233, 377] as const

/** How many faces each element may have, so that all together stay under a number; as many as it has when they do. */
function facesForEach({ elements, accents, sails }: StandScene, mostFaces: number): number {
  const faces = [...elements, ...accents].reduce((sum, { mesh }) => sum + mesh.faces.length, 0)
  if (faces + sails.length * SAIL_FACES <= mostFaces) return Infinity
  const left = mostFaces - (sails.length * SAIL_FACES) / 3
  const each = left / Math.max(1, elements.length + accents.length / 2)
  return DETAILS.findLast((detail) => detail <= each) ?? DETAILS[0]
}

/**
 * A draped sheet: strips between folds, each lit by how it faces the light, thin enough to see through, denser where
 * it is gathered.
 */
function sailShapes(
  net: SailNet,
  colour: string,
  view: View,
  light: Point3,
  coarse: boolean,
): { readonly shapes: readonly Shape[]; readonly outline: readonly Point[]; readonly near: number } {
  const seen = net.rows.map((row) => row.map(view))
  const rim = seen.at(-1)!
  const left = seen.map((row) => row[0]!)
  const right = seen.map((row) => row.at(-1)!)
  const outline = [...left, ...rim.slice(1), ...[...right].reverse().slice(1)]
  const strips: { near: number; shape: Shape }[] = []
  const width = coarse ? 2 * STRIP : STRIP
  for (const { low, high, dense } of coarse ? WHOLE : BANDS) {
    for (let column = 0; column + width < net.rows[0]!.length; column += width) {
      const corner = (row: number, at: number): Point3 => net.rows[row]![at]!
      const along = subtract(corner(high, column + width / 2), corner(low, column + width / 2))
      const across = subtract(corner(high, column + width), corner(high, column))
      const faced = dot(unit(cross(across, along)), light)
      const quad = [
        ...[column, column + width / 2, column + width].map((at) => seen[low]![at]!),
        ...[column + width, column + width / 2, column].map((at) => seen[high]![at]!),
      ]
      const tone = tonedBy(colour, faced)
      strips.push({
        near: quad.reduce((sum, point) => sum + point.near, 0) / quad.length,
        shape: {
          kind: 'outline',
          outline: asOutline(quad),
          fill: tone,
          fillOpacity: dense,
          ...(!coarse && { stroke: tone, strokeMm: 0.4, strokeOpacity: 0.3 }),
        },
      })
    }
  }
  strips.sort((one, other) => one.near - other.near)
  const creases = (coarse ? [] : creaseColumns(net)).map((column): Shape => ({
    kind: 'outline',
    outline: polyline(seen.slice(0, -1).map((row) => row[column]!) as unknown as readonly [Point, ...Point[]]),
    stroke: darken(colour, 0.42),
    strokeMm: 0.7,
    strokeOpacity: 0.34,
  }))
  const shapes: Shape[] = [
    ...strips.map(({ shape }) => shape),
    ...creases,
    {
      kind: 'outline',
      outline: polyline(rim as unknown as readonly [Point, ...Point[]]),
      stroke: lighten(colour, 0.55),
      strokeMm: 1.3,
      strokeOpacity: 0.95,
    },
    { kind: 'outline', outline: asOutline(outline), stroke: darken(colour, 0.38), strokeMm: 0.5, strokeOpacity: 0.55 },
  ]
  const middle = net.rows[4]![Math.floor(net.rows[4]!.length / 2)]!
  return { shapes, outline, near: view(middle).near }
}

/** Columns along which the film bends most: where a fold's back or valley runs. */
function creaseColumns(net: SailNet): readonly number[] {
  const row = net.rows[5]!
  const bend = row.map((_, column) =>
    column === 0 || column === row.length - 1 ? 0 : turnAt(row[column - 1]!, row[column]!, row[column + 1]!),
  )
  return bend.flatMap((amount, column) =>
    amount > 0.09 && amount >= bend[column - 1]! && amount > bend[column + 1]! ? [column] : [],
  )
}

/** How sharply three points in a row turn: 0 straight on, 2 straight back. */
const turnAt = (before: Point3, here: Point3, after: Point3): number =>
  1 - dot(unit(subtract(here, before)), unit(subtract(after, here)))

/** Film lit from one side: the face towards the light pales, the face away glows deeper as light comes through it. */
const tonedBy = (colour: string, faced: number): string =>
  faced >= 0 ? lighten(colour, 0.02 + 0.42 * faced ** 1.4) : darken(colour, 0.42 * (-faced) ** 0.8)

const subtract = (one: Point3, other: Point3): Point3 => [one[0] - other[0], one[1] - other[1], one[2] - other[2]]

/** How shadows on the cake are painted. */
export const SHADOW = { fill: '#2a1c2c', fillOpacity: 0.08 } as const

/** The shadow that something throws on the cake: its outlines moved away from the light. */
const castShadow = (outlines: readonly (readonly Point[])[]): readonly Outline[] =>
  outlines.map((outline) => asOutline(outline.map(({ x, y }) => ({ x: x + 5, y: y - 5 }))))

type Halves = {
  readonly turnDeg: number
  readonly x: number
  readonly y: number
  readonly behind: Mesh
  readonly front: Mesh
}
const knownHalves = new WeakMap<Mesh, Halves>()

/** A mesh cut in two by a tier's axis. The last cut of each is kept, so that its drawing is known again too. */
function halvesOf(mesh: Mesh, { x, y }: Point, turnDeg: number, view: View): Halves {
  const before = knownHalves.get(mesh)
  if (before && before.turnDeg === turnDeg && before.x === x && before.y === y) return before
  const halves = {
    turnDeg,
    x,
    y,
    behind: halfOf(mesh, { x, y }, view, false),
    front: halfOf(mesh, { x, y }, view, true),
  }
  knownHalves.set(mesh, halves)
  return halves
}

/** The part of a mesh on one side of a tier's axis, as it is seen. */
function halfOf({ faces, lines, beads = [] }: Mesh, axis: Point, view: View, front: boolean): Mesh {
  const depth = view([axis.x, axis.y, 0]).near
  const isHere = (points: readonly Point3[]): boolean => {
    const near = points.reduce((sum, [x, y]) => sum + view([x, y, 0]).near, 0) / points.length
    return near >= depth === front
  }
  // Long lines along an edge go over from one half to the other: they are cut where they cross.
  const cut = lines.flatMap((line) => {
    const runs: Point3[][] = []
    line.points.slice(1).forEach((point, at) => {
      const before = line.points[at]!
      if (!isHere([before, point])) return
      if (runs.at(-1)?.at(-1) === before) runs.at(-1)!.push(point)
      else runs.push([before, point])
    })
    return runs.map((points) => ({ ...line, points }))
  })
  return {
    faces: faces.filter(({ points }) => isHere(points)),
    lines: cut,
    beads: beads.filter(({ at }) => isHere([at])),
  }
}

/**
 * The stand seen from an angle, back to front: what is behind the cake, board, tiers, then what is in front, each its
 * own layer.
 * @param turnDeg how far the stand is turned; 0 shows the front
 * @param mostFaces of all elements together, for while the stand turns; they are drawn coarser as need be
 */
export function standLayers(scene: StandScene, turnDeg: number, mostFaces = Infinity): readonly StandLayer[] {
  const forEach = facesForEach(scene, mostFaces)
  const [view, light] = [viewAt(turnDeg), lightAt(turnDeg)]
  const facing = (angleDeg: number): number => view(outward(angleDeg)).near - view([0, 0, 0]).near
  const sails = scene.sails.map(({ net, facingDeg, colour }, index) => {
    const { shapes, outline, near } = sailShapes(net, colour, view, light, forEach < SAIL_FACES)
    const front = facing(facingDeg) > 0
    return {
      front,
      near,
      layer: {
        id: `sail-${index}`,
        kind: 'sail' as const,
        index,
        outline,
        shapes,
        ...(front && { shadow: castShadow([outline]) }),
      },
    }
  })
  const drawn = (kind: 'element' | 'accent', all: readonly Drawn[]) =>
    all.flatMap(({ mesh: fine, on, facingDeg, colour, axis }, index) => {
      const turnedTo = facing(facingDeg)
      const mesh = forEach === Infinity ? fine : coarsened(fine, forEach)
      const layer = (part: Mesh, front: boolean, id: string) => {
        if (part.faces.length + part.lines.length + (part.beads?.length ?? 0) === 0) return []
        const seen = drawMesh(part, colour, turnDeg)
        return [
          {
            front,
            near: seen.near,
            layer: {
              id,
              kind,
              index,
              get outline() {
                return seen.outline
              },
              shapes: seen.shapes,
              ...(front && forEach > SHADOWED && { shadow: castShadow(seen.shade) }),
            },
          },
        ]
      }
      const id = `${kind}-${index}`
      if (axis) {
        const { behind, front } = halvesOf(mesh, axis, turnDeg, view)
        return [...layer(behind, false, `${id}-behind`), ...layer(front, true, id)]
      }
      return on === 'side' && turnedTo < (forEach > SHADOWED ? HIDDEN : HIDDEN_COARSE)
        ? []
        : layer(mesh, on === 'top' || turnedTo > 0, id)
    })
  const standing = [...sails, ...drawn('element', scene.elements), ...drawn('accent', scene.accents)].sort(
    (one, other) => one.near - other.near,
  )
  const { outline, acrossMm, thicknessMm } = scene.board
  const boardShape: StandingTier['shape'] =
    outline === 'round' ? roundShape(acrossMm) : { kind: 'square', sideMm: acrossMm, cornerMm: 2 }
  const board = drawBlock(plainBlock(boardShape, ORIGIN, -thicknessMm, 0, BOARD_COLOUR), view, light)
  const tiers = scene.stack.map((tier, index): StandLayer => {
    const covering = coveringOf(tier.covering)
    const block = drawBlock(
      tierBlock(tier, {
        colour: tier.colour ?? covering.colour,
        gloss: covering.gloss,
        combed: covering.combed && forEach > SHADOWED,
      }),
      view,
      light,
    )
    const spacer =
      tier.spacer &&
      drawBlock(
        plainBlock(roundShape(tier.spacer.acrossMm), tier.middle, tier.spacer.footMm, tier.footMm, SPACER_COLOUR),
        view,
        light,
      )
    const standsOn = tier.spacer ? roundShape(tier.spacer.acrossMm) : tier.shape
    return {
      id: `tier-${index}`,
      kind: 'tier',
      index,
      outline: block.outline,
      shapes: [
        contactShadow(standsOn, tier, tier.spacer?.footMm ?? tier.footMm, view),
        ...(spacer?.shapes ?? []),
        ...block.shapes,
      ],
    }
  })
  return [
    { id: 'board', kind: 'board', index: 0, outline: board.outline, shapes: board.shapes },
    ...standing.filter(({ front }) => !front).map(({ layer }) => layer),
    ...tiers,
    ...standing.filter(({ front }) => front).map(({ layer }) => layer),
  ]
}
