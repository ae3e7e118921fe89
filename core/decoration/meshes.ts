/** Elements of a decoration as they are drawn where they stand. */
import { offWall, type StandingTier } from '../cake'
import type { Decoration } from '../commission'
import { finished, techniqueOf, type Mesh, type PlacedElement, type Wall } from '../technique'
import { shadeColour, shadeOf } from './pieces'

const RADIANS = Math.PI / 180

const wallOf = (tier: StandingTier, on: PlacedElement['on']): Wall =>
  on === 'side'
    ? (angleDeg, heightMm, outMm) => offWall(tier, angleDeg, heightMm, outMm)
    : (angleDeg, heightMm, outMm) => [
        tier.middle.x + outMm * Math.sin(angleDeg * RADIANS),
        tier.middle.y - outMm * Math.cos(angleDeg * RADIANS),
        heightMm,
      ]

/** The wall that an element stands on. */
export const wallFor = (element: PlacedElement, stack: readonly StandingTier[]): Wall =>
  wallOf(stack[element.tier]!, element.on)

/** The colour of an element: of its shade as it was foretold, or as it was asked for. */
export function elementColour(
  colour: Decoration['colour'],
  element: PlacedElement,
  foretold: readonly string[] = [],
): string {
  const shade = shadeOf(element, colour)
  return foretold[shade] ?? shadeColour(colour, shade)
}

/** A mesh with its run of shades from foot to top, where its technique fades so. */
function faded(mesh: Mesh, { technique, colour }: Decoration, foretold: readonly string[]): Mesh {
  if (!techniqueOf(technique).fadesUp || colour.steps === 1) return mesh
  const middles = mesh.faces.map(({ points }) => points.reduce((sum, [, , z]) => sum + z, 0) / points.length)
  const [foot, top] = [Math.min(...middles), Math.max(...middles)]
  const shadeAt = (z: number): number =>
    Math.min(colour.steps - 1, Math.floor(((z - foot) / Math.max(top - foot, 1e-6)) * colour.steps))
  return {
    ...mesh,
    faces: mesh.faces.map((face, at) => {
      const shade = shadeAt(middles[at]!)
      return { ...face, tint: foretold[shade] ?? shadeColour(colour, shade) }
    }),
  }
}

/**
 * The elements of a decoration as they are drawn, their finishes on. Worked out where it is shown: it is much to hand
 * over, and follows from decoration and elements alone.
 * @param foretold colours of its shades as they will come out, where that is known
 */
export const meshesOf = (
  decoration: Decoration,
  elements: readonly PlacedElement[],
  stack: readonly StandingTier[],
  foretold: readonly string[] = [],
): readonly Mesh[] =>
  elements.map((element) =>
    finished(
      faded(
        techniqueOf(decoration.technique).draw(decoration.parameters, element, wallFor(element, stack)),
        decoration,
        foretold,
      ),
      decoration.finishes,
      elementColour(decoration.colour, element, foretold),
      element.seed,
    ),
  )
