import type { Frame } from '../technique'
import type { Mesh } from '../technique'

/** Something that is not paper but goes with it: pearls, leaf, crystals, a topper. */
export type Accent<Id extends string = string> = {
  readonly id: Id
  readonly name: string
  /** Several of them. */
  readonly many: string
  readonly startingSizeMm: number
  readonly startingColour: string
  /** Whether it is usually eaten; the user says so for their own. */
  readonly usuallyEaten: boolean
  readonly caution: string
  readonly draw: (sizeMm: number, colour: string, at: Frame, stream: () => number) => Mesh
}

export const defineAccent = <const Id extends string>(accent: Accent<Id>): Accent<Id> => accent
