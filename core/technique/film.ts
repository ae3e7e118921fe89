/** What rice film techniques share that are cut as portions of discs. */
import type { z } from 'zod'
import type { Working } from '../quantity'
import type { Failure, HoldingPart, Step, TechniqueCaution } from './define'

/** A shape film is cut in: share of a disc. */
export const PORTIONS = ['whole', 'half', 'quarter'] as const
export type Portion = (typeof PORTIONS)[number]

/** What a technique needs to know of one place: how big its element is to be seen there. */
export type WantedElement = { readonly index: number; readonly seenHeightMm: number }

/** One element as the technique makes it: what is seen, and the flat film it takes. */
export type SizedElement = {
  readonly index: number
  readonly portion: Portion
  readonly seenHeightMm: number
  readonly seenWidthMm: number
  /** Flat reach needed from foot to rim, mm, before drying. */
  readonly flatReach: Working
  /** Diameter of the disc it is cut from, mm. */
  readonly discMm: number
  /** Film left over at the foot to trim or tuck under, mm; negative when no disc on the shelf reaches. */
  readonly spareReachMm: number
}

/** A technique that cuts portions of discs: which portion of which disc is part of its sizing. */
export type FilmTechnique<Parameters extends z.ZodObject> = {
  readonly id: string
  readonly name: string
  readonly paper: string
  readonly parameters: Parameters
  readonly startingParameters: z.infer<Parameters>
  /** Share of cut pieces made more than needed. */
  readonly spareShare: Working
  /** Mean width seen when elements are seen at a mean height. */
  readonly meanSeenWidth: (parameters: z.infer<Parameters>, meanSeenHeight: Working, shrink: Working) => Working
  /** Every wanted element with its portion and the disc that yields it. */
  readonly size: (
    parameters: z.infer<Parameters>,
    wanted: readonly WantedElement[],
    shrink: Working,
    discsMm: readonly number[],
  ) => readonly SizedElement[]
  readonly steps: readonly Step[]
  readonly cautions: readonly TechniqueCaution[]
  readonly failures: readonly Failure[]
  readonly holdingParts: (parameters: z.infer<Parameters>) => readonly HoldingPart[]
}

/** Declares a technique of film; the types of its parameters flow from its schema into every rule. */
export const defineFilmTechnique = <Parameters extends z.ZodObject>(
  technique: FilmTechnique<Parameters>,
): FilmTechnique<Parameters> => technique
