import { roundTier } from '#core/cake'
import { startingDecoration } from '#core/commission'
import { meshesOf } from '#core/decoration'
import type { Drawn } from '#core/draw'
import { paperOf } from '#core/material'
import { type Plant, techniqueOf } from '#core/technique'

/** Blooms look a little up, branches grow upwards; both face whoever looks. */
const LOOKS = {
  bloom: { at: [0, 0, 0], axis: [0.12, -0.9, 0.42], face: [0, -1, 0] },
  spray: { at: [0, 0, 0], axis: [0.1, 0, 1], face: [0, -1, 0.1] },
} as const
const SEED = 41

/** A plant by itself, as its technique makes it. */
export function plantDrawn({ id, technique, parameters, colour }: Plant): Drawn {
  const base = startingDecoration(id, technique, [roundTier('none', 200, 100)])
  const run = { heart: colour, tail: colour, steps: 1 }
  const decoration = { ...base, colour: run, parameters: { ...base.parameters, ...parameters } } as typeof base
  const pose = LOOKS[techniqueOf(technique).gathers?.kind ?? 'bloom']
  const [mesh] = meshesOf(
    decoration,
    [
      {
        index: 0,
        tier: 0,
        on: 'side',
        angleDeg: 0,
        spanDeg: 0,
        heightMm: 0,
        outMm: 0,
        size: 1,
        rollDeg: 20,
        row: 0,
        away: 0,
        mirrored: false,
        pose,
        seed: SEED,
      },
    ],
    [],
  )
  return { mesh: mesh!, colour, isFilm: paperOf(base.paper).kind === 'film' }
}
