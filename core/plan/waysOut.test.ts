import { describe, expect, it } from 'vitest'
import { chosenOption, startingDecoration, type Commission } from '../commission'
import { demoCommission } from '../demo'
import { MINUTES_PER_DAY, parseMoment, valueOf } from '../quantity'
import type { TechniqueId } from '../technique'
import { STARTING_WORKSHOP, type Workshop } from '../workshop'
import { createPlanner, waysOut } from '.'

const planner = createPlanner()
const NOW = 29_000_000
const planOf = (commission: Commission, workshop: Workshop) =>
  planner({ commission, workshop, now: NOW, units: 'metric', walks: 1 })

type Draft = { commission: Commission; workshop: Workshop }

/** The demo's cake with one decoration, changed so that something needs a look. */
function studioWith(technique: TechniqueId, change: (draft: Draft) => void): Draft {
  const draft = { commission: structuredClone(demoCommission(NOW)), workshop: structuredClone(STARTING_WORKSHOP) }
  const option = chosenOption(draft.commission)
  option.decorations = [startingDecoration('only', technique, option.cake.tiers)]
  Object.assign(option, { accents: [], bouquets: [] })
  change(draft)
  return draft
}

const drying = (draft: Draft, humidity: number): void => {
  draft.commission.brief.workroom = { airC: 22, humidity }
}

/** What makes each caution, one at a time. */
const CASES: readonly (readonly [string, TechniqueId, (draft: Draft) => void])[] = [
  ['box-too-small', 'soakedSail', ({ commission }) => Object.assign(commission.brief.box, { heightMm: 200 })],
  ['board', 'soakedSail', ({ commission }) => Object.assign(chosenOption(commission).cake.board, { acrossMm: 90 })],
  ['never-sets', 'soakedSail', (draft) => drying(draft, 0.85)],
  ['paper-never-dry', 'puff', (draft) => drying(draft, 0.9)],
  [
    'no-sheets',
    'soakedSail',
    ({ workshop }) => {
      for (const each of workshop.papers) if (each.paper === 'riceFilm') each.inUse = false
    },
  ],
  [
    'sweep-above',
    'soakedSail',
    ({ commission }) => {
      const { composition } = chosenOption(commission).decorations[0]!
      if (composition.kind === 'sweep') composition.toHeightMm = 700
    },
  ],
  [
    'unfit-paper',
    'tornRuffle',
    ({ commission }) => Object.assign(chosenOption(commission).decorations[0]!, { paper: 'riceFilm' }),
  ],
  [
    'venue-closed',
    'soakedSail',
    ({ commission: { brief } }) => {
      const eventMin = valueOf(parseMoment(brief.eventAt)) % MINUTES_PER_DAY
      Object.assign(brief, { completion: 'atVenue', venueOpensMin: eventMin - 45 })
    },
  ],
]

const codesOf = ({ commission, workshop }: Draft): readonly string[] =>
  planOf(commission, workshop)
    .cautions.filter(({ severity }) => severity !== 'note')
    .map(({ code }) => code)

describe('ways out of what needs a look', () => {
  it.each(CASES)(
    'of %s: each change it offers is made to the studio, and one of them ends it',
    (code, technique, change) => {
      const studio = studioWith(technique, change)
      const plan = planOf(studio.commission, studio.workshop)
      const caution = plan.cautions.find((each) => each.code === code)
      expect(caution, codesOf(studio).join(', ')).toBeDefined()
      const ways = waysOut({ caution: caution!, plan, studio, units: 'metric' })
      expect(ways.length).toBeGreaterThan(0)
      expect(new Set(ways.map(({ id }) => id)).size).toBe(ways.length)
      const after = ways.map((way) => {
        const draft = structuredClone(studio)
        way.change(draft)
        expect(draft).not.toEqual(studio)
        return codesOf(draft)
      })
      expect(after.some((codes) => !codes.includes(code))).toBe(true)
    },
  )

  it('none are offered where only the leaf helps', () => {
    const studio = studioWith('soakedSail', () => undefined)
    const plan = planOf(studio.commission, studio.workshop)
    const caution = { code: 'tall', severity: 'look', leaf: 'tiers', say: 'Tall.' } as const
    expect(waysOut({ caution, plan, studio, units: 'metric' })).toEqual([])
  })
})
