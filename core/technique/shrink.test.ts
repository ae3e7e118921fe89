import { describe, expect, it } from 'vitest'
import { shrinkBelief, type ShrinkTrial, type ShrinkWay } from '../learn'
import { workingsBelow } from '../quantity'
import { TECHNIQUES, type Technique } from '.'
import type { z } from 'zod'

type Any = Technique<z.ZodObject>
const techniques = TECHNIQUES as unknown as readonly Any[]
const trials = (way: ShrinkWay, share: number): readonly ShrinkTrial[] =>
  Array.from({ length: 6 }, (_, at) => ({
    id: `${at}`,
    at,
    room: 'workroom',
    odd: false,
    way,
    beforeMm: 200,
    afterMm: 200 * (1 - share),
  }))
const learned = { damp: shrinkBelief('damp', trials('damp', 0.09)), pan: shrinkBelief('pan', trials('pan', 0.4)) }

/** Techniques whose pieces begin with a guess of how paper shrinks. */
const shrinking = techniques.filter((technique) =>
  technique
    .pieces(technique.startingParameters, 1)
    .some(({ height, width }) =>
      [...workingsBelow(height), ...workingsBelow(width)].some(
        ({ label }) => /^shrink (of|in)/.test(label) || (technique.heat === 'pan' && label === 'shrink allowed for'),
      ),
    ),
)

describe('pieces of paper that shrinks', () => {
  it('are those of most damped techniques and the pan', () =>
    expect(shrinking.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['formedSail', 'panSail', 'openBloom', 'bud', 'mouldedBloom', 'formedWrap']),
    ))
  it.each(shrinking.map((technique) => [technique.id, technique] as const))(
    '%s cuts larger once trials say that more is lost, and says so',
    (_, technique) => {
      const [before, after] = [
        technique.pieces(technique.startingParameters, 1),
        technique.pieces(technique.startingParameters, 1, undefined, { shrink: learned, drying: 'mat', shapes: [] }),
      ]
      expect(after.some((piece, at) => piece.height.value > before[at]!.height.value * 1.02)).toBe(true)
      for (const [at, piece] of after.entries())
        expect(piece.height.value).toBeGreaterThanOrEqual(before[at]!.height.value)
      const below = after.flatMap(({ height, width }) => [...workingsBelow(height), ...workingsBelow(width)])
      expect(
        below.some(({ source }) => source.from === 'found' && source.how === 'learned from 6 of your trials'),
      ).toBe(true)
      expect(below.some(({ label }) => /^shrink (of damped|in dip)/.test(label))).toBe(false)
    },
  )
})
