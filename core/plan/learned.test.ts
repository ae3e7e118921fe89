import { produce } from 'immer'
import { describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '../demo'
import { DRYING_CASES, dryingCaseMin } from '../dry'
import { PAPERS } from '../material'
import type { DryingTrial, Run, ShrinkTrial } from '../learn'
import { valueOf, workingsBelow, type Working } from '../quantity'
import type { Workshop } from '../workshop'
import { derivePlan, type Plan } from '.'

const now = 29_000_000
const commission = demoCommission(now)
const before = planWith(() => undefined)

function planWith(learn: (draft: Workshop) => void): Plan {
  return derivePlan({
    commission,
    workshop: produce({ ...demoWorkshop(now), shrinkTrials: [], dryingTrials: [], runs: [] } as Workshop, learn),
    now,
    units: 'metric',
  })
}

const fields = (at: number) => ({ id: `trial-${at}`, at: now + at, room: 'workroom', odd: false })
const many = <Trial>(count: number, of: (at: number) => Trial): Trial[] =>
  Array.from({ length: count }, (_, at) => of(at))
const shrunk = (share: number, count = 4): ShrinkTrial[] =>
  many(count, (at) => ({ ...fields(at), way: 'mat', beforeMm: 200, afterMm: 200 * (1 - share) }))
const dried = (minutes: number, count = 4, room = 'workroom'): DryingTrial[] =>
  many(count, (at) => ({
    ...fields(at),
    room,
    paper: 'riceFilm',
    thicknessMm: 0.2,
    what: 'filmMat',
    airC: 21,
    humidity: 0.5,
    softAtMin: minutes - 30,
    readyAtMin: minutes,
  }))
/** Logs of every paper and case, each so many times what the curve says. */
const loggedAt = (factors: readonly number[]): DryingTrial[] =>
  PAPERS.flatMap(({ id: paper, kind, thicknessMm }) =>
    (Object.keys(DRYING_CASES) as (keyof typeof DRYING_CASES)[])
      .filter((what) => DRYING_CASES[what].kind === kind && what !== 'filmOven')
      .flatMap((what) =>
        factors.map((factor, at): DryingTrial => {
          const air = { airC: 22, humidity: 0.475 }
          const readyAtMin = dryingCaseMin(what, thicknessMm, air)! * factor
          const id = `${paper}-${what}-${at}`
          return { ...fields(at), id, paper, thicknessMm, what, ...air, softAtMin: readyAtMin, readyAtMin }
        }),
      ),
  )
/** Every rest that is drying, by decoration and step. */
const restsIn = ({ work }: Plan): readonly (readonly [string, number])[] =>
  work.making.flatMap(({ decoration, steps }) =>
    steps.flatMap(({ id, rest, drying }) =>
      drying !== null && rest.value >= 30 ? [[`${decoration} ${id}`, rest.value] as const] : [],
    ),
  )
const restsAfter = (factors: readonly number[]) =>
  restsIn(
    planWith((draft) => {
      draft.dryingTrials = loggedAt(factors)
    }),
  )

const timed = (step: string, factor: number, change: Partial<Run> = {}, count = 4): Run[] =>
  many(count, (at) => ({
    ...fields(at),
    step,
    name: step,
    commission: '',
    standardMin: 20,
    minutes: 20 * factor,
    technique: '',
    good: 0,
    broken: 0,
    ...change,
  }))
const sailsIn = ({ decorations }: Plan) => decorations.find(({ technique }) => technique === 'soakedSail')!
const setting = ({ dryings }: Plan) => dryings[0]!.estimate
const handsOf = ({ work }: Plan, decoration: string, step: string): Working =>
  work.making.find((each) => each.decoration === decoration)!.steps.find(({ id }) => id === step)!.turns[0]!.hands
const says = (working: Working): boolean =>
  workingsBelow(working).some(({ source }) => source.from === 'found' && /^learned from \d+/.test(source.how))

describe('a plan that goes by trials', () => {
  it('is as it was with fewer of them than asked', () => {
    const few = planWith((draft) => {
      draft.shrinkTrials = shrunk(0.1, 2)
      draft.dryingTrials = dried(2000, 2)
      draft.runs = timed('soakedSail soak', 2, {}, 2)
    })
    expect(few.tally).toEqual(before.tally)
    expect(few.learned).toEqual({ shrink: {}, drying: {}, hands: {}, breakage: {}, limit: null })
  })
  it('cuts larger where film shrinks more, and its workings say so', () => {
    const plan = planWith((draft) => {
      draft.shrinkTrials = shrunk(0.1, 8)
    })
    const reach = (of: Plan): Working =>
      sailsIn(of)
        .classes.flatMap(({ height }) => workingsBelow(height).filter(({ label }) => label === 'flat reach'))
        .reduce((most, each) => (each.value > most.value ? each : most))
    // Told for each millimetre that is to be left: another number of sails have other heights.
    const forEach = ({ value, source }: Working): number =>
      source.from === 'derived' ? value / (source.inputs.seenHeight!.value + source.inputs.insertion!.value) : NaN
    expect(forEach(reach(plan))).toBeGreaterThan(forEach(reach(before)) * 1.05)
    expect(says(reach(plan))).toBe(true)
    expect(says(reach(before))).toBe(false)
  })
  it('waits as long as this room asks: slower later, quicker sooner, and no more for the usual practice', () => {
    const set = (of: Plan): Working => setting(of).ready.set.planned!
    const [slow, quick] = [
      planWith((draft) => {
        draft.dryingTrials = dried(2400)
      }),
      planWith((draft) => {
        draft.dryingTrials = dried(400)
      }),
    ]
    expect(set(slow).value).toBeGreaterThan(set(quick).value * 2)
    expect(set(quick).value).toBeLessThan(set(before).value)
    expect(says(set(quick))).toBe(true)
    const start = (of: Plan): number => valueOf(of.timetable).startBy
    expect(start(quick)).toBeGreaterThanOrEqual(start(slow))
  })
  it('rests as before after five logs of the usual time, half as long again after five of half as long again', () => {
    const began = restsIn(before)
    expect(began.length).toBeGreaterThan(4)
    const compare = (factors: readonly number[], holds: (ratio: number) => boolean): void =>
      restsAfter(factors).forEach(([step, minutes], at) => {
        const ratio = minutes / began[at]![1]
        expect(holds(ratio), `${step}: ${began[at]![1]} to ${minutes} min`).toBe(true)
      })
    compare([1, 1, 1, 1, 1], (ratio) => Math.abs(ratio - 1) <= 0.05)
    compare([1.5, 1.5, 1.5, 1.5, 1.5], (ratio) => ratio >= 1.4 && ratio <= 1.6)
    compare([1, 1, 1, 1, 1, 6], (ratio) => Math.abs(ratio - 1) < 0.12)
  })
  it('does not go by another room', () => {
    const plan = planWith((draft) => {
      draft.dryingTrials = dried(2400, 4, 'attic')
      draft.learnFrom = 3
    })
    expect(setting(plan).ready.set.median!.value).toBeGreaterThan(setting(before).ready.set.median!.value)
    const other = planWith((draft) => {
      draft.dryingTrials = dried(2400)
      draft.room = 'attic'
    })
    const own = planWith((draft) => {
      draft.dryingTrials = dried(2400)
    })
    // What goes with the paper goes along, what goes with the room does not.
    expect(setting(other).ready.set.median!.value).toBeLessThan(setting(own).ready.set.median!.value)
  })
  it('plans as long as these hands take, step by step; what was typed stands', () => {
    const slow = planWith((draft) => {
      draft.runs = [...timed('soakedSail soak', 1.8), ...timed('openBloom cup', 1.8)]
    })
    expect(slow.work.total.value).toBeGreaterThan(before.work.total.value + 20)
    const cup = (of: Plan): Working => handsOf(of, 'blossoms', 'cup')
    expect(cup(slow).value / cup(before).value).toBeGreaterThan(1.4)
    expect(says(cup(slow))).toBe(true)
    const typed = planWith((draft) => {
      draft.runs = timed('soakedSail soak', 1.8)
      draft.stepMinutes['soakedSail soak'] = 6
    })
    const untaught = planWith((draft) => {
      draft.stepMinutes['soakedSail soak'] = 6
    })
    expect(handsOf(typed, 'sails', 'soak').value).toBe(handsOf(untaught, 'sails', 'soak').value)
  })
  it('keeps as many spares as break', () => {
    const breaking = (good: number, broken: number): Plan =>
      planWith((draft) => {
        draft.runs = [
          ...timed('soakedSail lift', 1, { technique: 'soakedSail', good, broken }),
          ...timed('openBloom assemble', 1, { technique: 'openBloom', good, broken }),
        ]
      })
    const sparesOf = (of: Plan, id: string): number =>
      of.decorations.find((each) => each.id === id)!.classes.reduce((sum, each) => sum + each.spares.value, 0)
    const spares = (of: Plan): number => sparesOf(of, 'sails')
    const petals = (of: Plan): number => sparesOf(of, 'blossoms')
    const [clumsy, careful] = [breaking(20, 20), breaking(40, 0)]
    expect(spares(clumsy)).toBeGreaterThan(spares(before))
    expect(petals(clumsy)).toBeGreaterThan(petals(before))
    expect(petals(careful)).toBeLessThan(petals(before))
  })
  it('knows up to which humidity this room sets', () => {
    const damp: DryingTrial[] = many(4, (at) => ({
      ...fields(at),
      paper: 'riceFilm',
      thicknessMm: 0.2,
      what: 'filmMat',
      airC: 21,
      humidity: 0.66,
      softAtMin: null,
      readyAtMin: 1500,
    }))
    const plan = planWith((draft) => {
      draft.dryingTrials = damp
    })
    expect(plan.learned.limit!.mean).toBeGreaterThan(0.66)
    expect(setting(plan).chanceOfSetting.value).toBeGreaterThan(setting(before).chanceOfSetting.value)
  })
})
