import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { choosing, chosenOption } from '../commission'
import { fitCake, type Plan } from '.'
import { anyTier } from '../../tests/any/anyTier'
import { stackTiers, wallPoint } from '../cake'
import { demoCommission, demoWorkshop } from '../demo'
import { now, planner, planOf, figure, type Change } from '../../tests/any/demoPlan'

describe('the cake decides', () => {
  const chilledTop: Change = (commission) => {
    chosenOption(commission).cake.tiers.forEach((tier, at) => {
      tier.chilled = at === 2
    })
  }
  it('the second option of the demo does not fit standing, and each remedy offered makes it fit', () => {
    const second: Change = (commission) => {
      commission.chosen = 'b'
      commission.brief.completion = 'beforeDriving'
    }
    const plan = planOf(second)
    expect(plan.fit.fits).toBe(false)
    expect(plan.remedies.map(({ kind }) => kind)).toContain('box')
    for (const remedy of plan.remedies) {
      const mended = planOf((commission, workshop) => {
        second(commission, workshop)
        if (remedy.kind === 'box') commission.brief.box = remedy.box
        if (remedy.kind === 'tiersApart') chosenOption(commission).tiersApart = remedy.tiersApart
        if (remedy.kind === 'placeAtVenue') commission.brief.completion = 'atVenue'
      })
      expect(mended.fit.fits, remedy.kind).toBe(true)
    }
  })
  it('choosing another option plans another cake and leaves the first as it was', () => {
    const commission = demoCommission(now)
    expect(
      planner({ commission: choosing(commission, 'b'), workshop: demoWorkshop(), now, units: 'metric' }).stack,
    ).toHaveLength(4)
    expect(planner({ commission, workshop: demoWorkshop(), now, units: 'metric' }).stack).toHaveLength(3)
  })
  it('fits exactly when no point of it lies outside the box', () =>
    fc.assert(
      fc.property(
        fc.array(anyTier, { minLength: 1, maxLength: 3 }),
        fc.tuple(...[1, 2, 3].map(() => fc.integer({ min: 200, max: 700 }))),
        (tiers, [widthMm, depthMm, heightMm]) => {
          const cake = { board: { outline: 'round' as const, acrossMm: 150, thicknessMm: 10 }, tiers }
          const stack = stackTiers(cake)
          const box = { widthMm: widthMm!, depthMm: depthMm!, heightMm: heightMm! }
          const { fits, clearance } = fitCake(cake, box, stack, { decorated: true, tiersApart: 0 })
          const nearest = Math.min(...Object.values(clearance).map(({ value }) => Math.abs(value)))
          fc.pre(nearest > 0.5)
          const walls = stack.flatMap((tier) =>
            [tier.footMm, tier.topMm].flatMap((height) =>
              Array.from({ length: 720 }, (_, step) => wallPoint(tier, step / 2, height).point),
            ),
          )
          const spacers = stack.flatMap(({ spacer, middle }) =>
            spacer
              ? ([
                  [middle.x + spacer.acrossMm / 2, middle.y, 0],
                  [middle.x - spacer.acrossMm / 2, middle.y, 0],
                  [middle.x, middle.y + spacer.acrossMm / 2, 0],
                  [middle.x, middle.y - spacer.acrossMm / 2, 0],
                ] as const)
              : [],
          )
          // The board may be set off the middle: what counts is how long everything is together.
          const points = [...walls, ...spacers, [75, 75, 0] as const, [-75, -75, 0] as const]
          const long = (axis: 0 | 1): number =>
            Math.max(...points.map((point) => point[axis])) - Math.min(...points.map((point) => point[axis]))
          const outside = long(0) > widthMm! || long(1) > depthMm! || points.some(([, , z]) => z + 10 > heightMm!)
          expect(fits).toBe(!outside)
        },
      ),
      { numRuns: 40 },
    ))
  it('a chilled tier is out of the refrigerator until it is warm, and only then are sails placed', () => {
    const plan = planOf(chilledTop)
    const slots = plan.timetable.ok ? plan.timetable.value.slots : []
    const [warm, place] = [slots.find(({ kind }) => kind === 'warm')!, slots.find(({ kind }) => kind === 'place')!]
    const skins = plan.decorations.filter(({ skin }) => skin === 'afterStacking').map(({ id }) => id)
    const glued = slots.filter(({ of, hands }) => of && skins.includes(of.decoration) && of.step === 'set' && hands)
    expect(glued.length).toBeGreaterThan(0)
    for (const { from } of [place, ...glued]) expect(from).toBeGreaterThanOrEqual(warm.to)
    expect(warm.to - warm.from).toBe(Math.ceil(plan.cake.slowest!.cautious!.value))
    expect(
      planOf((commission) => {
        chosenOption(commission).cake.tiers.forEach((tier) => {
          tier.chilled = false
        })
      }).cake.slowest,
    ).toBeNull()
  })
  it('kept chilled and decorated it warms before the guests, with the risk named', () => {
    const plan = planOf((commission, workshop) => {
      chilledTop(commission, workshop)
      commission.brief.keeping = 'chilledSealed'
      commission.brief.venue.humidity = 0.7
    })
    expect(plan.cautions.map(({ code }) => code)).toContain('dew-on-paper')
    const warm = plan.timetable.ok ? plan.timetable.value.slots.filter(({ kind }) => kind === 'warm').at(-1)! : null
    expect(warm!.to).toBeGreaterThan(plan.timetable.ok ? plan.timetable.value.atVenueBy : Infinity)
  })
  it('stops on the road are driven too, and asked limits are held against the plan', () => {
    const leaveAt = (plan: Plan): number => (plan.timetable.ok ? plan.timetable.value.leaveAt : Infinity)
    expect(
      leaveAt(
        planOf((commission) => {
          commission.brief.stops = [{ name: 'flowers', minutes: 240 }]
        }),
      ),
    ).toBe(leaveAt(planOf()) - 240)
    const limited = planOf((commission) => {
      commission.brief.limits = { noGelatine: false, noDairy: true, noAlcohol: false, noColours: ['Red'] }
    })
    expect(limited.cautions.map(({ code }) => code)).toEqual(expect.arrayContaining(['dairy', 'colour-unsuited']))
  })
  it('an hour of dearer work costs more', () =>
    expect(
      figure(
        planOf((_, workshop) => {
          workshop.prices.hour += 10
        }),
        'cost',
      )!,
    ).toBeGreaterThan(figure(planOf(), 'cost')!))
})
