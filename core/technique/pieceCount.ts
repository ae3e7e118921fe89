import { seededStream, seedFor } from '../quantity'

/** How many pieces of a kind an element has: so many, or so many at least and at most where no two are alike. */
export type PieceCount = {
  readonly name: string
  readonly perElement: number
  readonly mostPerElement?: number
}

/** How many of a kind one element has, by its seed: any number of its range, each as likely. */
export function piecesIn({ name, perElement, mostPerElement = perElement }: PieceCount, seed: number): number {
  if (mostPerElement <= perElement) return perElement
  const letters = [...name].reduce((sum, letter) => sum + letter.charCodeAt(0), 0)
  return perElement + Math.floor(seededStream(seedFor(seed, letters))() * (mostPerElement - perElement + 1))
}
