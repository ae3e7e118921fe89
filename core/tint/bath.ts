/** Baths stepped from pale to deep: one for all decorations that share a ladder of shades on the same paper. */
import type { Dye } from '../material'
import { sumOf, type Working } from '../quantity'
import { colouredSheet, type Colouring } from './colouring'
import { evenLadder, nearestStrength, type LadderStep } from './ladder'
import type { ColouredSheet, SheetState } from './paperOptics'
import { recipeFor, type Recipe } from './recipe'
import { steppedBath, type BathTray, type SteppedBath } from './steppedBath'

/** What a decoration dips, shade by shade from its heart: how many pieces, and how much film. */
export type BathWish = {
  readonly decoration: string
  readonly name: string
  readonly kind: ColouredSheet['kind']
  readonly thicknessMm: number
  readonly state: SheetState
  readonly grows: number
  readonly colouring: Colouring
  readonly heart: string
  readonly tail: string
  readonly steps: number
  readonly pieces: Working
  /** By shade, 0 at the heart. */
  readonly dipped: readonly { readonly pieceCount: number; readonly areaDm2: number }[]
}

/** A bath with what it is for. Its steps go from pale to deep: the first is the tail's shade. */
export type Bath = SteppedBath & {
  readonly id: string
  readonly uses: readonly { readonly decoration: string; readonly name: string; readonly pieces: Working }[]
  readonly heart: string
  readonly tail: string
  readonly sheet: ColouredSheet
  readonly mix: Recipe
  readonly ladder: readonly LadderStep[]
}

const keyOf = ({ kind, thicknessMm, state, grows, heart, tail, steps }: BathWish): string =>
  [kind, thicknessMm, state, grows, heart, tail, steps].join(' ').toLowerCase()

/** Which step of a bath a shade is dipped at: the heart's, shade 0, is the last and deepest. */
export const bathStep = (shade: number, steps: number): number => steps - 1 - shade

/**
 * One bath for each ladder that is wanted, so that whatever shares it has the very same shades.
 * @param dyesFor the dyes that may be used for a wish
 */
export function bathsFor(
  wishes: readonly BathWish[],
  dyesFor: (wish: BathWish) => readonly Dye[],
  tray: BathTray,
): readonly Bath[] {
  const groups = new Map<string, BathWish[]>()
  for (const wish of wishes) groups.set(keyOf(wish), [...(groups.get(keyOf(wish)) ?? []), wish])
  return [...groups].map(([id, group]): Bath => {
    const [first] = group as [BathWish, ...BathWish[]]
    const { kind, thicknessMm, state, grows, colouring, heart, tail, steps } = first
    const dyes = dyesFor(first)
    const sheet = colouredSheet(kind, thicknessMm, state, colouring, grows)
    const mix = recipeFor(heart, dyes, sheet)
    const ladder = evenLadder(mix.dose, nearestStrength(mix.dose, tail, dyes, sheet), steps, dyes, sheet)
    const batches = ladder.map((_, step) => {
      const shades = group.map(({ dipped }) => dipped[bathStep(step, steps)] ?? { pieceCount: 0, areaDm2: 0 })
      return {
        pieceCount: shades.reduce((sum, { pieceCount }) => sum + pieceCount, 0),
        areaDm2: shades.reduce((sum, { areaDm2 }) => sum + areaDm2, 0),
      }
    })
    const pieces =
      group.length === 1
        ? first.pieces
        : sumOf(
            'pieces to dip',
            'count',
            'decorations added up',
            group.map((wish) => ({ ...wish.pieces, label: wish.name.toLowerCase() })),
          )
    const uses = group.map(({ decoration, name, pieces: own }) => ({ decoration, name, pieces: own }))
    return { id, uses, heart, tail, sheet, mix, ladder, ...steppedBath(ladder, batches, pieces, tray, dyes, sheet) }
  })
}
