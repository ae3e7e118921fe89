import { describe, expect, it } from 'vitest'
import { createPlanner, WHAT_IFS, wordsFor, type Plan, type PlanInputs } from '..'
import { demoCommission, demoWorkshop } from '../../demo'
import { parseMoment, valueOf } from '../../quantity'
import { reasonWords } from '../../schedule'

const now = valueOf(parseMoment('2026-11-24T09:00'))
const planner = createPlanner()
const inputs: PlanInputs = { commission: demoCommission(now), workshop: demoWorkshop(), now, units: 'metric' }
const timetableOf = (plan: Plan) => {
  if (!plan.timetable.ok) throw new Error(plan.timetable.error.code)
  return plan.timetable.value
}

describe('moulds in the timetable of the demo', () => {
  it('few holes in foam make turns, and an earlier start or none later', () => {
    const few = planner({
      ...inputs,
      workshop: { ...inputs.workshop, moulds: { ...inputs.workshop.moulds, foamHole: 6 } },
    })
    const turns = timetableOf(few).slots.filter(({ task }) => task?.startsWith('ginkgo-shape') && !task.endsWith('dry'))
    expect(turns.length).toBeGreaterThan(1)
    expect(turns[0]!.name).toContain('turn 1 of')
    expect(timetableOf(few).startBy).toBeLessThanOrEqual(timetableOf(planner(inputs)).startBy)
  })
  it('none at all is said', () =>
    expect(
      planner({ ...inputs, workshop: { ...inputs.workshop, moulds: { ...inputs.workshop.moulds, foamHole: 0 } } })
        .timetable,
    ).toEqual({ ok: false, error: { code: 'no-formers', formers: 'holes in foam' } }))
  it('every piece of work says why it is no later', () => {
    const timetable = timetableOf(planner(inputs))
    for (const slot of timetable.slots) {
      const why = reasonWords(slot, timetable)
      if (slot.task) expect(why).toMatch(/^\S.*\.$/)
      else expect(why).toBeNull()
    }
  })
})

describe('what if', () => {
  it('every change can be told apart, changes something, and leaves what was there alone', () => {
    const before = JSON.stringify(inputs)
    for (const each of WHAT_IFS.filter((whatIf) => whatIf.applies(inputs))) {
      const draft = structuredClone({ commission: inputs.commission, workshop: inputs.workshop })
      each.change(draft)
      expect(wordsFor(each, inputs)).toMatch(/\w/)
      expect(JSON.stringify({ ...inputs, ...draft })).not.toBe(before)
    }
    expect(JSON.stringify(inputs)).toBe(before)
  })
  it('rain stops film from setting; an oven then makes it go, another mat does not', () => {
    const [rain, oven, mat] = ['rain', 'oven', 'mat'].map((id) => WHAT_IFS.find((each) => each.id === id)!)
    const after = (...changes: typeof WHAT_IFS): boolean => {
      const draft = structuredClone(inputs)
      changes.forEach(({ change }) => {
        change(draft as Parameters<typeof change>[0])
      })
      return planner(draft).timetable.ok
    }
    expect([after(rain!), after(rain!, mat!), after(rain!, oven!)]).toEqual([false, false, true])
  })
  it('a thorough answer finds no earlier a last possible hour than a quick one; the hour to start is the surer one', () => {
    const [quick, thorough] = [planner(inputs), planner({ ...inputs, walks: 40 })].map(timetableOf)
    expect(thorough!.last!.startBy).toBeGreaterThanOrEqual(quick!.last!.startBy)
    for (const { risk, last, startBy } of [quick!, thorough!]) {
      expect(risk.chance.value).toBeGreaterThanOrEqual(last!.chance.value)
      expect(startBy).toBeLessThanOrEqual(last!.startBy)
      expect(risk.isSure).toBe(risk.chance.value >= risk.wanted)
    }
  })
})
