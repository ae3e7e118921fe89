import type { Mesh } from '../mesh'
import type { Finish, Finishing } from './define'
import { dusting } from './dusting'
import { edgeGilding } from './edgeGilding'
import { speckle } from './speckle'
import { stencilShine } from './stencilShine'
import { twoTone } from './twoTone'

export type { Finish, FinishedExtent, Finishing } from './define'

/** Every finish. To add one: write its file, list it here. */
export const FINISHES = [edgeGilding, dusting, stencilShine, speckle, twoTone] as const

export type FinishId = (typeof FINISHES)[number]['id']

export const finishIds = FINISHES.map(({ id }) => id) as [FinishId, ...FinishId[]]

/** @throws for an id that no finish has: files are checked before they come this far */
export function finishOf(id: FinishId): Finish<FinishId> {
  const found = FINISHES.find((each) => each.id === id)
  if (!found) throw new Error(`Expected a finish of ${finishIds.join(', ')}, got ${id}.`)
  return found
}

/** An element with its finishes on, one after the other. */
export const finished = (
  mesh: Mesh,
  finishes: readonly (Finishing & { readonly finish: FinishId })[],
  colour: string,
  seed: number,
): Mesh => finishes.reduce((painted, each) => finishOf(each.finish).paint(each, painted, colour, seed), mesh)
