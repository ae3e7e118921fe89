import type { BenchSupplyId } from '../../material'
import type { Working } from '../../quantity'
import type { Mesh } from '../mesh'

/** What a finish is counted by: the cut edges of pieces, mm, and the area of the face that shows, dm². */
export type FinishedExtent = { readonly edge: Working; readonly area: Working }

/** A finish as it is asked for: which colour, and over how much of edge or face. */
export type Finishing = { readonly colour: string; readonly share: number }

/**
 * Something done to paper when it is dry, or to its sheets before anything is cut. To add one, write its file and list it in `index.ts`;
 * techniques name those they take.
 */
export type Finish<Id extends string = string> = {
  readonly id: Id
  readonly name: string
  readonly say: string
  /** What `share` is a share of. */
  readonly over: 'edge' | 'face'
  readonly startingColour: string
  readonly startingShare: number
  /** Paint, dust or mist that it takes. */
  readonly amount: (finishing: Finishing, extent: FinishedExtent) => Working
  readonly perElementMin: number
  /** On whole sheets before they are cut, or on dry pieces before they go on the cake. */
  readonly when: 'beforeCutting' | 'whenDry'
  /** How long it dries. */
  readonly driesMin: number
  readonly step: { readonly name: string; readonly say: string }
  readonly caution: string
  /** What is wiped on for it, so much for a dm². */
  readonly wipes?: { readonly supply: BenchSupplyId; readonly perDm2: number }
  /** The element as it looks with the finish on. */
  readonly paint: (finishing: Finishing, mesh: Mesh, colour: string, seed: number) => Mesh
}

export const defineFinish = <const Id extends string>(finish: Finish<Id>): Finish<Id> => finish
