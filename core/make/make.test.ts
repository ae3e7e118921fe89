import type { Workshop } from '../workshop'
import { chosenOption, type Commission } from '../commission'
import fc from 'fast-check'
import { produce } from 'immer'
import { describe, expect, it } from 'vitest'
import { aCommission, planOf } from '../../tests/any/anyPlan'
import { likelyCauses, TROUBLES, type TroubleFacts } from '../care'
import { demoCommission, demoWorkshop, lanternRow } from '../demo'
import { begun, counted, done, freshBench, paused, type Bench } from '../ledger'
import { derivePlan, type Plan } from '../plan'
import { parseMoment, valueOf } from '../quantity'
import {
  countedParts,
  dryingOf,
  formerBoard,
  nextCard,
  partsOf,
  reviewOf,
  runOf,
  shortages,
  stepCards,
  troubleFacts,
} from '.'

const now = 29_000_000
const workshop = demoWorkshop(now)
const plain = demoCommission(now)
const planFor = (commission: Commission, at = now, own: Workshop = workshop): Plan =>
  derivePlan({ commission, workshop: own, now: at, units: 'metric' })
const plan = planFor(plain)
const cardsOf = (commission: Commission, made: Plan) => stepCards({ plan: made, commission, units: 'metric' })
const cards = cardsOf(plain, plan)
const withBench = (bench: Bench): Commission => ({ ...plain, bench })
const card = (task: string) => cards.find((each) => each.task === task)!
const about = { commission: 'quillfinch-press', room: 'workroom', id: 'run' }

const sails = (of: Plan) => of.work.making.find(({ decoration }) => decoration === 'sails')!
const loadsOf = (of: Plan) =>
  sails(of).steps.flatMap(({ hold, turns }) => (hold?.untilStep ? turns.flatMap(({ load }) => load ?? []) : []))
/** Pieces on discs, each with its number and disc. */
const numbersOf = (of: Plan) =>
  of.groups
    .find(({ way }) => way === 'sectors')!
    .layout.sheets.flatMap(({ pieces }, disc) => pieces.map(({ number, part: { id } }) => `${disc} ${number} ${id}`))
const partOf = (decoration: string): string => partsOf(plan, freshBench()).find(({ of }) => of === decoration)!.id

describe('cards of a job', () => {
  it('are one for each task by hand, with words to go by, in the order of the hours', () =>
    fc.assert(
      fc.property(aCommission, (commission) => {
        const { plan: made } = planOf(commission)
        const own = cardsOf(commission, made)
        const tasks = made.timetable.ok
          ? new Set(
              made.timetable.value.slots.filter(({ hands, task }) => hands && task !== null).map(({ task }) => task!),
            )
          : new Set<string>()
        expect(own.map(({ task }) => task).sort()).toEqual([...tasks].sort())
        const parts = new Set(partsOf(made, commission.bench).map(({ id }) => id))
        for (const { say, counts, planned, from, to, kind } of own) {
          expect(say.length, kind).toBeGreaterThan(0)
          expect(planned.value).toBeGreaterThan(0)
          expect(to).toBeGreaterThanOrEqual(from)
          for (const { id } of counts?.parts ?? []) expect(parts.has(id)).toBe(true)
        }
        expect(own.map(({ from }) => from)).toEqual(own.map(({ from }) => from).sort((one, other) => one - other))
      }),
      { numRuns: 25 },
    ))
  it('say how much, offer the soak as a timer, and what rests after', () => {
    expect(card('sails-soak-1')).toMatchObject({
      timers: [{ name: 'Soak', minutes: 1 }],
      rest: { name: expect.stringMatching(/load 1/i) },
      picture: { kind: 'load', load: { number: 1 } },
    })
    expect(card('sails-soak-1').amounts[0]!.text).toBe(String(loadsOf(plan)[0]!.laid.length))
    expect(card('blossoms-cup').cautions.join()).toContain('no flame')
    expect(card('blossoms-cup').watch.length).toBeGreaterThan(0)
  })
  it('the next is what is in hand, else the first that is open; what is put down waits its turn', () => {
    expect(nextCard(cards, freshBench())!.task).toBe(cards[0]!.task)
    const atThird = begun(freshBench(), cards[2]!, now)
    expect(nextCard(cardsOf(withBench(atThird), plan), atThird)!.task).toBe(cards[2]!.task)
    const down = paused(atThird, cards[2]!.task, now + 5)
    expect(nextCard(cardsOf(withBench(down), plan), down)!.task).toBe(cards[0]!.task)
  })
})

describe('pieces at the bench', () => {
  const part = partsOf(plan, freshBench()).find(({ id }) => id.startsWith('sails/quarter disc quarter 160 shade 3'))!
  const breaking = (count: number): Bench =>
    Array.from({ length: count }).reduce<Bench>((bench) => counted(bench, part.id, 'broken', 1), freshBench())
  it('are short by as many as broke beyond the spares, and cutting again makes that good', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 8 }), (broken) => {
        const bench = breaking(broken)
        const spare = part.cut - part.needed
        const [short] = shortages(plan, bench)
        if (broken <= spare) {
          expect(short).toBeUndefined()
          return
        }
        expect(short).toMatchObject({ part: { id: part.id }, missing: broken - spare })
        const again: Bench = {
          ...bench,
          recuts: [{ id: 'again-1', part: part.id, many: short!.many, at: now, from: short!.from }],
        }
        const replanned = planFor(withBench(again))
        expect(shortages(replanned, again)).toEqual([])
        expect(numbersOf(replanned)).toHaveLength(numbersOf(plan).length + short!.many)
        expect(
          loadsOf(replanned)
            .filter((load) => load.again)
            .reduce((sum, { laid }) => sum + laid.length, 0),
        ).toBe(short!.many)
        // Pieces that were cut before keep their numbers, discs and loads.
        expect(numbersOf(replanned)).toEqual(expect.arrayContaining([...numbersOf(plan)]))
        expect(loadsOf(replanned).filter((load) => !load.again)).toEqual(loadsOf(plan))
      }),
      { numRuns: 9 },
    ))
  it('say from which disc or sheet, and which numbers', () => {
    const film = shortages(plan, breaking(4))[0]!
    expect(film.from).toMatch(new RegExp(`disc \\d+.*: pieces ${numbersOf(plan).length + 1}–`))
    const moths = shortages(plan, { ...freshBench(), counts: { [partOf('moths')]: { good: 0, broken: 9 } } })[0]!
    expect(moths.from).toMatch(/sheet.*thin wafer.*pieces \d+–\d+/)
  })
  it('made again take hands and a rest of their own before the cake is placed', () => {
    const bench: Bench = {
      ...freshBench(),
      recuts: [{ id: 'moths-again-1', part: partOf('moths'), many: 3, at: now, from: '' }],
    }
    const made = planFor(withBench(bench))
    expect(made.work.total.value).toBeGreaterThan(plan.work.total.value)
    expect(cardsOf(withBench(bench), made).some(({ task }) => task === 'moths-again-1')).toBe(true)
  })
})

describe('the timetable and the clock', () => {
  const first = cards[0]!
  it('says nothing before work begins, then when all is ready', () => {
    expect(valueOf(plan.timetable).standing).toBeNull()
    const made = planFor(withBench(begun(freshBench(), first, first.from)), first.from)
    expect(valueOf(made.timetable).standing!.spareMin).toBeGreaterThanOrEqual(0)
    expect(valueOf(made.timetable).slots.find(({ task }) => task === first.task)!.state).toBe('underWay')
  })
  it('a step that ends late moves those that wait for it; a very late one is said not to be safe', () => {
    const lateBy = (minutes: number): Plan => {
      const end = first.to + minutes
      return planFor(withBench(done(begun(freshBench(), first, first.from), first, end)), end)
    }
    const drape = (made: Plan): number =>
      valueOf(made.timetable).slots.find(({ task }) => task === 'sails-soak-1')!.from
    expect(drape(lateBy(0))).toBeGreaterThanOrEqual(first.to)
    expect(drape(lateBy(26 * 60))).toBeGreaterThanOrEqual(first.to + 26 * 60)
    expect(valueOf(lateBy(9 * 24 * 60).timetable).standing!.spareMin).toBeLessThan(0)
    const spare = [0, 2000, 9 * 1440, 10 * 1440].map((minutes) => valueOf(lateBy(minutes).timetable).standing!.spareMin)
    expect(spare).toEqual([...spare].sort((one, other) => other - one))
  })
  it('what was done stays as it was done', () => {
    const bench = done(begun(freshBench(), first, first.from - 200), first, first.from - 150)
    const slot = valueOf(planFor(withBench(bench), first.from).timetable).slots.find(({ task }) => task === first.task)!
    expect(slot).toMatchObject({ from: first.from - 200, to: first.from - 150, state: 'done' })
  })
})

describe('a spattered decoration', () => {
  it('is coloured at the first step of its own, not at the spattering before it; its sheets are seen until they are cut', () => {
    const draft = structuredClone(plain)
    const bloom = chosenOption(draft).decorations.find(({ technique }) => technique === 'openBloom')!
    bloom.finishes = [{ finish: 'speckle', colour: '#343a63', share: 0.3 }]
    const shown = cardsOf(draft, planFor(draft))
    const at = (step: string) => shown.find(({ of }) => of?.decoration === bloom.id && of.step === step)!
    const labels = (step: string) => at(step).amounts.map(({ label }) => label)
    expect(labels('speckle').filter((label) => label.startsWith('colour, in'))).toEqual([])
    expect(labels('cut').some((label) => label.startsWith('colour, in'))).toBe(true)
    expect(['speckle', 'cut', 'cup'].map((step) => at(step).picture.kind)).toEqual(['sheets', 'sheets', 'element'])
  })
})

describe('the former board', () => {
  const draped = done(begun(freshBench(), card('sails-soak-1'), now), card('sails-soak-1'), now + 40)
  it('shows a load from when it is draped until it is lifted', () => {
    const [on] = formerBoard(planFor(withBench(draped), now + 60), draped)
    expect(on).toMatchObject({ task: 'sails-soak-1', since: now + 40, lift: 'sails-lift-1', soaked: 'sails' })
    expect(on!.readyAt - on!.since).toBe(Math.ceil(plan.dryings[0]!.estimate.ready.firm.planned!.value))
    const lifted = done(draped, card('sails-lift-1'), now + 2000)
    expect(formerBoard(planFor(withBench(lifted), now + 2000), lifted)).toEqual([])
  })
  it('what was felt goes to the ledger between its two bounds', () => {
    const felt: Bench = { ...draped, felt: { 'sails-soak-1': 300 } }
    const [on] = formerBoard(plan, felt)
    const soaked = plan.decorations.find(({ id }) => id === on!.soaked)!
    const air = { airC: 21, humidity: 0.58 }
    expect(dryingOf(on!, soaked, air, about, now + 40 + 700)).toMatchObject({
      what: 'filmMat',
      thicknessMm: 0.2,
      softAtMin: 300,
      readyAtMin: 700,
      humidity: 0.58,
    })
    // Of what moved to a rack, or dried in moved air, no case tells.
    const onRack = { ...soaked, drying: { ...soaked.drying, way: 'rack' as const } }
    expect(dryingOf(on!, onRack, air, about, now + 40 + 700)).toBeNull()
  })
})

describe('what the ledger takes from the bench', () => {
  const lift = card('sails-lift-1')
  const parts = partsOf(plan, freshBench())
    .filter(({ of }) => of === 'sails')
    .map(({ id }) => id)
  const lifted = (minutes: number): Bench =>
    done(begun({ ...freshBench(), counts: { [parts[0]!]: { good: 3, broken: 1 } } }, lift, now), lift, now + minutes)
  it('is how long it took against the starting value, and what came out, told once', () => {
    const run = runOf(lift, lifted(12), parts, [], about, now + 12)!
    expect(run).toMatchObject({
      step: 'soakedSail lift',
      minutes: 12,
      standardMin: lift.planned.value,
      technique: 'soakedSail',
      good: 3,
      broken: 1,
    })
    expect(
      runOf(
        card('sails-lift-2'),
        done(begun(lifted(12), card('sails-lift-2'), now + 20), card('sails-lift-2'), now + 30),
        parts,
        [run],
        about,
        now + 30,
      ),
    ).toMatchObject({ technique: '', good: 0 })
  })
  it('is nothing of what was only ticked or left out', () => {
    expect(runOf(lift, lifted(0), parts, [], about, now)).toBeNull()
    expect(
      runOf(
        lift,
        {
          ...freshBench(),
          tasks: [
            {
              task: lift.task,
              name: lift.name,
              begunAt: now,
              doneAt: now + 9,
              pausedMin: 0,
              pausedAt: null,
              skipped: 'broke',
            },
          ],
        },
        parts,
        [],
        about,
        now,
      ),
    ).toBeNull()
  })
  it('is told against starting values also once plans go by what was learned', () => {
    const slow = produce(workshop, (draft) => {
      for (let at = 0; at < 4; at += 1)
        draft.runs.push({
          id: `slow-${at}`,
          at: now,
          room: 'workroom',
          odd: false,
          step: 'soakedSail lift',
          name: '',
          commission: '',
          standardMin: 10,
          minutes: 20,
          technique: '',
          good: 0,
          broken: 0,
        })
    })
    const made = planFor(plain, now, slow)
    const own = cardsOf(plain, made).find(({ task }) => task === 'sails-lift-1')!
    expect(own.planned.value).toBeGreaterThan(lift.planned.value * 1.4)
    expect(own.ledger!.standardMin).toBeCloseTo(lift.ledger!.standardMin, 6)
  })
})

describe('the trouble guide', () => {
  const facts = troubleFacts('sails', plan, plain, workshop, freshBench())
  it('has causes for all that is seen, with what to do now and next time', () => {
    for (const { id } of TROUBLES) {
      const causes = likelyCauses(id, facts)
      expect([id, causes.length > 0]).toEqual([id, true])
      expect(causes.map(({ share }) => share)).toEqual(
        causes.map(({ share }) => share).sort((one, other) => other - one),
      )
      expect(causes.reduce((sum, { share }) => sum + share, 0)).toBeLessThanOrEqual(1 + 1e-9)
      for (const { now: doNow, next, words } of causes)
        expect([doNow, next, words].every((text) => text.length > 3)).toBe(true)
    }
  })
  it.each<[string, Partial<TroubleFacts>, string]>([
    [
      'droops',
      { moistCoverings: ['whipped cream'], chanceOfSetting: 0.99, roomHumidity: 0.45, venueHumidity: 0.5 },
      'moistFoot',
    ],
    ['droops', { moistCoverings: [], chanceOfSetting: 0.5, roomHumidity: 0.66 }, 'notSet'],
    ['droops', { moistCoverings: [], chanceOfSetting: 0.99, roomHumidity: 0.45, venueHumidity: 0.75 }, 'dampAir'],
    ['sticks', { heat: 'pan', sugarDyes: ['red'] }, 'sugar'],
    ['sticks', { liftedEarlyMin: 120 }, 'peeledEarly'],
    ['cracks', { isFilm: false, isThin: false, roomHumidity: 0.55 }, 'tooThick'],
    ['holes', { isFilm: false, isThin: true, isWetted: true }, 'tooWet'],
    ['holes', { isFilm: true }, 'soakedLong'],
    ['small', { shrinkTrials: 0 }, 'shrink'],
    ['buckles', { isChilled: true }, 'condensation'],
    ['soft', { roomHumidity: 0.7 }, 'damp'],
  ])('of “%s” with %j it thinks of %s first', (seen, change, cause) =>
    expect(likelyCauses(seen, { ...facts, ...change })[0]!.id).toBe(cause),
  )
  it('knows of a decoration its paper, dyes and heat', () => {
    expect(troubleFacts('moths', plan, plain, workshop, freshBench())).toMatchObject({
      isFilm: false,
      isThin: true,
      heat: null,
      shimmers: true,
    })
    expect(facts).toMatchObject({ isFilm: true, roomHumidity: 0.58, isChilled: true })
  })
})

describe('a review', () => {
  const finished = lanternRow(now)
  const made = planFor(finished)
  it('sets planned against actual and says what to change', () => {
    const { lines, lessons } = reviewOf(made, finished.bench, workshop.runs, now)!
    expect(lines.map(({ what }) => what)).toEqual(
      expect.arrayContaining(['begun', 'hands', 'sheets', 'breakage', 'handed over', 'colour']),
    )
    expect(lines.find(({ what }) => what === 'pieces')!.actual).toBe('9 cut, 1 broken')
    expect(lessons.map(({ words }) => words).join()).toContain('Wait until the rim lifts')
    expect(lessons.map(({ words }) => words).join()).toContain('Soaked sail: lift off, load 1')
  })
  it('is none before anything was begun', () => expect(reviewOf(plan, freshBench(), [], now)).toBeNull())
  it('every count of the finished job belongs to a part of it', () => {
    const ids = countedParts(made, finished.bench).map(({ id }) => id)
    expect(Object.keys(finished.bench.counts).every((id) => id.startsWith('sails/'))).toBe(true)
    expect(ids.some((id) => id in finished.bench.counts)).toBe(true)
    expect(finished.bench.tasks.every(({ doneAt }) => doneAt! < valueOf(parseMoment(finished.brief.eventAt)))).toBe(
      true,
    )
  })
})
