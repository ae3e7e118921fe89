/**
 * Nothing that is asked for vanishes: where fewer stand than were asked, that is said with ways out, and each way brings
 * what it says when it is taken.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { onTiers } from '../../tests/any/fourGroups'
import { anyTier } from '../../tests/any/anyTier'
import { askedFor, startingDecoration, type Decoration } from '../commission'
import { compositionSchema } from '../compose'
import { standingBefore } from '../decoration'
import type { Tier } from '../cake'
import { TECHNIQUES } from '../technique'
import { STARTING_WORKSHOP } from '../workshop'
import { createPlanner, type Plan } from '.'

const planner = createPlanner()
/** Both properties ask the same of the same cakes, as they have the same seed. */
const planned = new Map<string, Plan>()
function planFor(tiers: readonly Tier[], decorations: readonly Decoration[]): Plan {
  const commission = onTiers(tiers, decorations)
  const key = JSON.stringify(commission)
  const plan = planned.get(key) ?? planner({ commission, workshop: STARTING_WORKSHOP, now: 0, units: 'metric' })
  planned.set(key, plan)
  return plan
}
const standingIn = ({ decorations }: Plan) => standingBefore(decorations)
const pairs = TECHNIQUES.flatMap(({ id, compositions }) => compositions.map((kind) => [id, kind] as const))

/** A cake with some decorations added one after the other, the last of which asks for as many as it pleases. */
const anyAsking = fc
  .record({
    tiers: fc.array(anyTier, { minLength: 1, maxLength: 3 }),
    before: fc.array(fc.constantFrom(...pairs), { maxLength: 2 }),
    last: fc.constantFrom(...pairs),
    count: fc.integer({ min: 1, max: 40 }),
    size: fc.double({ min: 0, max: 1, noNaN: true }),
  })
  .map(({ tiers: alike, before, last: [technique, kind], count, size }) => {
    const tiers = alike.map((tier, at) => ({ ...tier, id: `tier ${at}` }))
    const decorations: Decoration[] = []
    for (const [id, own] of before)
      decorations.push(
        startingDecoration(`before ${decorations.length}`, id, tiers, own, standingIn(planFor(tiers, decorations))),
      )
    const begun = startingDecoration('last', technique, tiers, kind, standingIn(planFor(tiers, decorations)))
    const asks = 'count' in begun.composition ? { ...begun.composition, count } : begun.composition
    const parameters: Record<string, unknown> = { ...begun.parameters }
    const { sizedBy = [], parameters: schema } = TECHNIQUES.find(({ id }) => id === technique)! as unknown as {
      readonly sizedBy?: readonly string[]
      readonly parameters: { readonly shape: Record<string, { readonly minValue: number; readonly maxValue: number }> }
    }
    for (const key of sizedBy) {
      const { minValue, maxValue } = schema.shape[key]!
      parameters[key] = minValue + size * (maxValue - minValue)
    }
    return { tiers, decorations, last: { ...begun, composition: asks, parameters } as unknown as Decoration }
  })

describe('what is asked for', () => {
  it('stands, or is told with ways out that work when they are taken', () =>
    fc.assert(
      fc.property(anyAsking, ({ tiers, decorations, last }) => {
        const plan = planFor(tiers, [...decorations, last])
        const made = plan.decorations.find(({ id }) => id === 'last')!
        const asked = askedFor(last) ?? 1
        if (made.elements.length >= asked) {
          expect(made.fewer).toBeNull()
          return
        }
        expect(made.fewer).toMatchObject({ asked, fit: made.elements.length })
        expect(plan.cautions.some(({ code }) => code === 'fewer-fit')).toBe(true)
        expect(made.fewer!.ways.length).toBeGreaterThan(0)
        for (const { change, id, to, many } of made.fewer!.ways) {
          const taken = { ...last, ...change } as Decoration
          expect(compositionSchema.safeParse(taken.composition).success).toBe(true)
          const after = planFor(tiers, [...decorations, taken]).decorations.find((each) => each.id === 'last')!
          expect(after.elements.length).toBeGreaterThanOrEqual(many ?? (id === 'fewer' || id === 'one' ? to : asked))
        }
      }),
      { numRuns: 15 },
    ))
  it('every piece is on a sheet, in a disc or left out by name', () =>
    fc.assert(
      fc.property(anyAsking, ({ tiers, decorations, last }) => {
        const { groups, decorations: made } = planFor(tiers, [...decorations, last])
        for (const { id, classes, cast } of made) {
          if (cast) continue
          const wanted = classes.reduce((sum, { needed, spares }) => sum + needed.value + spares.value, 0)
          const own = groups.flatMap(({ parts, layout }) => {
            const mine = parts.filter(({ decoration }) => decoration === id)
            const out = layout.leftOut.filter(({ part }) => part.decoration === id)
            for (const { why } of out) expect(why).not.toBe('')
            return mine.map(({ quantity }) => quantity)
          })
          expect(own.reduce((sum, each) => sum + each, 0)).toBe(wanted)
        }
      }),
      { numRuns: 15 },
    ))
})
