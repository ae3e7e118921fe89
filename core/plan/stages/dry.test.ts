import { describe, expect, it } from 'vitest'
import { fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import type { Commission } from '../../commission'
import { demoWorkshop } from '../../demo'
import type { DryingWay } from '../../dry'
import type { Workshop } from '../../workshop'
import { derivePlan, type Plan } from '..'
import { dryingOf } from './dry'

/** Four groups of sails, changed. */
function planned(change: (commission: Commission, workshop: Workshop) => void = () => undefined): Plan {
  const commission = structuredClone(onTwoTiers(fourGroups(), 0))
  const workshop = structuredClone(demoWorkshop())
  change(commission, workshop)
  return derivePlan({ commission, workshop, now: 0, units: 'metric' })
}
const allIn =
  (way: DryingWay, humidity = 0.5) =>
  ({ brief, options }: Commission, { moulds }: Workshop): void => {
    brief.workroom.humidity = humidity
    moulds.dryRoom = 2
    for (const each of options[0]!.decorations) each.drying.way = way
  }
const setMin = (plan: Plan): number => dryingOf(plan.dryings, 'crown')!.estimate.ready.set.median?.value ?? Infinity

describe('how soaked film dries', () => {
  it('is worked out once for each way of drying, for all who dry so', () =>
    expect(planned().dryings.map(({ drying, decorations }) => [drying.way, [...decorations].sort()])).toEqual([
      ['oven', ['sweep']],
      ['mat', ['crown', 'pair', 'single']],
    ]))

  it('is longer the thicker the sheets of the studio are, of those it may be cut from', () => {
    const thick = (mm: number) => planned((_, { papers }) => papers.forEach((each) => (each.thicknessMm = mm)))
    const times = [0.2, 0.3, 0.4].map((mm) => setMin(thick(mm)))
    expect(times[1]!).toBeGreaterThan(times[0]! * 1.3)
    expect(times[2]!).toBeGreaterThan(times[1]! * 1.2)
    // Sheets it is not cut from change nothing.
    const other = planned((_, { papers }) => {
      for (const each of papers) if (each.paper !== 'riceFilm') each.thicknessMm = 0.8
    })
    expect(setMin(other)).toBe(times[0])
  })

  it('is quicker on a rack from firm on, before a fan, in a dry room; only dry air sets it in a damp week', () => {
    const [mat, rack, fan, dryRoom] = (['mat', 'rack', 'fan', 'dryRoom'] as const).map((way) =>
      setMin(planned(allIn(way))),
    )
    for (const quicker of [rack!, fan!, dryRoom!]) expect(quicker).toBeLessThan(mat!)
    const damp = (['mat', 'rack', 'fan', 'dryRoom'] as const).map((way) => planned(allIn(way, 0.75)))
    expect(damp.map(({ timetable }) => timetable.ok)).toEqual([false, false, false, true])
    expect(damp.map(({ cautions }) => cautions.some(({ code }) => code === 'never-sets'))).toEqual([
      true,
      true,
      true,
      false,
    ])
  })

  it('goes into the oven within two hours of being laid on its tray', () => {
    const plan = planned(allIn('oven'))
    if (!plan.timetable.ok) throw new Error('no timetable')
    const { slots } = plan.timetable.value
    const ovens = slots.filter(({ kind }) => kind === 'oven')
    expect(ovens.length).toBeGreaterThan(3)
    for (const { of, from } of ovens) {
      const laid = slots.find(
        (slot) =>
          slot.hands &&
          slot.of?.decoration === of!.decoration &&
          slot.of.step === of!.step &&
          slot.of.turn === of!.turn,
      )!
      expect(from - laid.to).toBeLessThanOrEqual(120)
    }
  })

  it.each(['fan', 'rack', 'dryRoom'] as const)('holds a place of its own while it sets: %s', (way) => {
    const plan = planned(allIn(way))
    if (!plan.timetable.ok) throw new Error('no timetable')
    const { slots } = plan.timetable.value
    const sets = slots.filter(({ kind, lane }) => kind === 'dry' && lane.startsWith(way))
    const loads = slots.filter(({ of, kind }) => kind === 'make' && of?.step === 'soak')
    expect(sets).toHaveLength(loads.length)
    const none = planned((commission, workshop) => {
      allIn(way)(commission, workshop)
      workshop.moulds[way] = 0
    })
    expect(none.timetable).toMatchObject({ ok: false, error: { code: 'no-formers' } })
  })
})
