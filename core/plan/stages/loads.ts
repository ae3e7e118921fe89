/** What lies on mats and trays, load by load, in the order of a bath. */
import { type PieceClass, type PlannedDecoration } from '../../decoration'
import type { Recut } from '../../ledger'
import { fillFormers, type Load, type PieceToLay } from '../../schedule'
import { bathStep, type Bath } from '../../tint'
import type { WorkInputs } from './workInputs'

/** A stretch of a bath's order that one decoration has for itself: the steps of the bath, from pale to deep. */
type Stretch = { readonly decoration: string; readonly steps: readonly number[] }

/**
 * Pale first over everything in a bath. Decorations take turns at each step, the one that was last begins the next, so
 * that few formers are taken up half full.
 */
export function orderInBath(bath: Pick<Bath, 'uses' | 'ladder'>): readonly Stretch[] {
  const stretches: { decoration: string; steps: number[] }[] = []
  bath.ladder.forEach((_, step) => {
    const uses = step % 2 === 0 ? bath.uses : [...bath.uses].reverse()
    for (const { decoration } of uses) {
      const last = stretches.at(-1)
      if (last?.decoration === decoration) last.steps.push(step)
      else stretches.push({ decoration, steps: [step] })
    }
  })
  return stretches
}

/** Pieces of a decoration to lay, in the order of dipping; `many` of each class. */
function piecesToLay(
  { classes, colour }: PlannedDecoration,
  many: (piece: PieceClass) => number,
): readonly (PieceToLay & { readonly shade: number })[] {
  return classes.flatMap((piece, at) =>
    Array.from({ length: many(piece) }, () => ({
      part: piece.id,
      shade: piece.shade,
      order: bathStep(piece.shade, colour.steps) * classes.length + at,
      ...piece.lying,
    })),
  )
}

export type Loads = { readonly loads: readonly Load[]; readonly tooBig: number }

/** What is laid on mats or trays for a decoration, stretch by stretch of its bath, then what was cut again. */
export function loadsOf(
  decoration: PlannedDecoration,
  stretches: readonly (readonly number[])[],
  inputs: WorkInputs,
): Loads {
  const former = decoration.drying.way === 'oven' ? inputs.trays : inputs.mats
  const stepsOf = ({ shade }: { readonly shade: number }): number => bathStep(shade, decoration.colour.steps)
  const planned = piecesToLay(decoration, ({ needed, spares }) => needed.value + spares.value)
  const first = stretches.map((steps) =>
    fillFormers(
      planned.filter((piece) => steps.includes(stepsOf(piece))),
      former,
    ),
  )
  const again = recutsOf(decoration, inputs.recuts).map(({ part, many }) =>
    fillFormers(
      piecesToLay(decoration, ({ id }) => (id === part ? many : 0)),
      former,
    ),
  )
  const fillings = [
    ...first.flatMap((each) => each.fillings.map(({ laid }) => ({ laid, again: false }))),
    ...again.flatMap((each) => each.fillings.map(({ laid }) => ({ laid, again: true }))),
  ]
  return {
    loads: fillings.map((filling, at) => ({ ...filling, number: at + 1 })),
    tooBig: [...first, ...again].reduce((sum, each) => sum + each.tooBig, 0),
  }
}

export const recutsOf = ({ classes }: PlannedDecoration, recuts: readonly Recut[]): readonly Recut[] =>
  recuts.filter(({ part }) => classes.some(({ id }) => id === part))

/** Which steps of a bath each load is the first to take, by the loads' place in its order. */
export type Dosed = (decoration: string, load: Load) => number

/** How many steps of its bath each load is the first to take. */
export function dosesOf(
  order: readonly { readonly decoration: string; readonly load: Load; readonly steps: readonly number[] }[],
): Dosed {
  const done = new Set<number>()
  const doses = new Map<string, number>()
  for (const { decoration, load, steps } of order) {
    const fresh = steps.filter((step) => !done.has(step))
    fresh.forEach((step) => done.add(step))
    doses.set(`${decoration} ${load.number}`, fresh.length)
  }
  return (decoration, load) => doses.get(`${decoration} ${load.number}`) ?? 0
}
