import { describe, expect, it } from 'vitest'
import { aDecoration, onTwoTiers } from '../../../tests/any/fourGroups'
import type { Decoration } from '../../commission'
import { demoWorkshop } from '../../demo'
import { derivePlan, type Plan } from '../../plan'
import { stepCards } from '../stepCards'

const planned = (decorations: readonly Decoration[]) => {
  const commission = onTwoTiers(decorations, 0)
  const plan = derivePlan({ commission, workshop: demoWorkshop(0), now: 0, units: 'metric' })
  return { plan, cards: stepCards({ plan, commission, units: 'metric' }) }
}
const cardOf = ({ cards }: ReturnType<typeof planned>, decoration: string, step: string) =>
  cards.find(({ of }) => of?.decoration === decoration && of.step === step)!

const butterflies = (): Decoration => {
  const begun = aDecoration('butterflies', 'butterfly')
  return {
    ...begun,
    parameters: { ...begun.parameters, set: 'loop', wireMm: 50 },
    composition: { ...begun.composition, count: 5 },
  } as Decoration
}

describe('a card at the bench', () => {
  it('lists the wires to cut where they are used: five of 50 + 12 + 50 = 112 mm, three from a wire of 360 mm', () => {
    const made = planned([butterflies()])
    expect(cardOf(made, 'butterflies', 'fold').amounts).toContainEqual({
      label: 'wire, gauge 26',
      text: expect.stringMatching(/^5 of 112 mm, .*; 3 from a wire$/),
    })
    expect(cardOf(made, 'butterflies', 'cut').amounts.filter(({ label }) => label.startsWith('wire'))).toEqual([])
  })
  it('says what is dripped into a dish, dye by dye', () => {
    const made = planned([aDecoration('ruffle', 'tornRuffle')])
    const [dish] = made.plan.dishes.dishes
    const { text } = made.cards
      .filter(({ of }) => of?.decoration === 'ruffle')
      .flatMap(({ amounts }) => amounts)
      .find(({ label }) => label.startsWith('colour, in'))!
    for (const { dye, whole } of dish!.doses) if (whole > 0) expect(text).toContain(`${dye} ${whole} drop`)
  })
})

/** Minutes from the end of one step's last work to the beginning of the next step. */
function between({ timetable }: Plan, decoration: string, step: string, next: string): number {
  if (!timetable.ok) return Infinity
  const work = timetable.value.slots.filter(({ of, kind }) => of?.decoration === decoration && kind === 'make')
  const ends = work.filter(({ of }) => of?.step === step).map(({ to }) => to)
  const begins = work.filter(({ of }) => of?.step === next).map(({ from }) => from)
  return Math.min(...begins) - Math.max(...ends)
}

describe('steps that must follow while paper is supple', () => {
  it.each([
    ['laminatedLeaf', 'laminate', 'shape'],
    ['gatheredFan', 'sponge', 'pleat'],
    ['fabricBow', 'cut', 'tie'],
  ] as const)('%s: %s, then %s within four hours of its rest', (technique, step, next) => {
    const { plan } = planned([aDecoration('it', technique)])
    expect(plan.timetable.ok).toBe(true)
    const rest = plan.work.making[0]!.steps.find(({ id }) => id === step)!.rest.value
    const apart = between(plan, 'it', step, next)
    expect(apart).toBeGreaterThanOrEqual(rest - 1)
    expect(apart).toBeLessThanOrEqual(rest + 240 + 1)
  })
})
