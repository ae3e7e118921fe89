import { edgePoints, pilesOf, roundShape, widened, type Board, type StandingTier } from '../cake'
import { coveringOf } from '../material'
import { outward, type Outline, type Point, type Point3 } from '../geometry'
import type { Mesh } from '../technique'
import { coarsened } from './coarse'
import type { Shape } from './shape'
import { asOutline, drawBlock, tierBlock, type Block } from './tierBlock'
import { drawMesh } from './meshPicture'
import { lightAt, viewAt, type View } from './view'

/** What stands on the stand. */
export type StandScene = {
  readonly board: Board
  readonly stack: readonly StandingTier[]
  /** Elements of the decorations, as their technique draws them. */
  readonly elements: readonly Drawn[]
  /** Pearls and the like. */
  readonly accents: readonly Drawn[]
}

/** `axis` is given for what runs round a tier: the tier's middle, from which is told what of it lies in front. */
type Drawn = {
  /** The pile of tiers that it stands on. */
  readonly pile: number
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
  readonly kind: 'board' | 'tier' | 'element' | 'accent'
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

/** Elements drawn with fewer faces throw no shadow while the stand turns. */
const SHADOWED = 2

/** Steps of detail: what is drawn coarser is kept for each element, so it does not change at every frame. */
const DETAILS = [1, 2, 3, 5, 8, 13, 21, 34, 55, 89, 144, 233, 377] as const

/** How many faces each element may have, so that all together stay under a number; as many as it has when they do. */
function facesForEach({ elements, accents }: StandScene, mostFaces: number): number {
  const faces = [...elements, ...accents].reduce((sum, { mesh }) => sum + mesh.faces.length, 0)
  if (faces <= mostFaces) return Infinity
  const each = mostFaces / Math.max(1, elements.length + accents.length / 2)
  return DETAILS.findLast((detail) => detail <= each) ?? DETAILS[0]
}

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
  const drawn = (kind: 'element' | 'accent', all: readonly Drawn[]) =>
    all.flatMap(({ mesh: fine, on, facingDeg, colour, axis, pile }, index) => {
      const turnedTo = facing(facingDeg)
      const mesh = forEach === Infinity ? fine : coarsened(fine, forEach)
      const layer = (part: Mesh, front: boolean, id: string) => {
        if (part.faces.length + part.lines.length + (part.beads?.length ?? 0) === 0) return []
        const seen = drawMesh(part, colour, turnDeg)
        return [
          {
            front,
            pile,
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
  const standing = [...drawn('element', scene.elements), ...drawn('accent', scene.accents)].sort(
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
  // Loose cakes one behind the other: the farther whole before the nearer.
  const piles = pilesOf(scene.stack)
    .map(([lowest]) => lowest!)
    .sort((one, other) => view([one.middle.x, one.middle.y, 0]).near - view([other.middle.x, other.middle.y, 0]).near)
  const layersOf = (own: number, inFront: boolean): readonly StandLayer[] =>
    standing.filter(({ front, pile }) => front === inFront && pile === own).map(({ layer }) => layer)
  return [
    { id: 'board', kind: 'board', index: 0, outline: board.outline, shapes: board.shapes },
    ...piles.flatMap(({ pile }) => [
      ...layersOf(pile, false),
      ...tiers.filter((_, at) => scene.stack[at]!.pile === pile),
      ...layersOf(pile, true),
    ]),
  ]
}
