import type { Drawn, StandScene } from '#core/draw'
import type { Mesh } from '#core/technique'

const numbers = new WeakMap<Mesh, number>()
let last = 0

/** A number for each mesh: meshes that follow from the same are the same. */
function numberOf(mesh: Mesh): number {
  const before = numbers.get(mesh)
  if (before !== undefined) return before
  last += 1
  numbers.set(mesh, last)
  return last
}

const drawnContent = ({ mesh, colour, isFilm }: Drawn): string => `${numberOf(mesh)} ${colour} ${isFilm}`

/** What a scene shows, in words that are the same for what looks the same. */
export const sceneContent = ({ board, stack, elements, accents }: StandScene): string =>
  JSON.stringify([board, stack, elements.map(drawnContent), accents.map(drawnContent)])
