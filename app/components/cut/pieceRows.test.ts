import { describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { derivePlan } from '#core/plan'
import { pieceRows } from './pieceRows'

const plan = derivePlan({ commission: demoCommission(0), workshop: demoWorkshop(), now: 0, units: 'metric' })
const rows = pieceRows(plan)

describe('the piece list', () => {
  it('holds every piece once: those of the tally, with spares', () =>
    expect(rows.reduce((sum, { needed, spares }) => sum + needed.value + spares.value, 0)).toBe(
      plan.decorations.reduce((sum, { pieces }) => sum + pieces.value, 0),
    ))
  it('lights up on the stand what it makes, all of it', () => {
    const lit = new Set(rows.flatMap(({ places }) => places))
    expect([...lit].sort((one, other) => one - other)).toEqual(
      plan.decorations.flatMap(({ elements }) => elements).map((_, at) => at),
    )
    for (const { decoration, places } of rows) {
      const before = plan.decorations.findIndex(({ id }) => id === decoration)
      const first = plan.decorations.slice(0, before).reduce((sum, { elements }) => sum + elements.length, 0)
      const own = plan.decorations[before]!.elements.length
      expect(places.every((place) => place >= first && place < first + own)).toBe(true)
    }
  })
  it('has ids of their own, papers, faces and sizes', () => {
    expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length)
    rows.forEach(({ paper, face, cut }) => {
      expect(paper).not.toBe('')
      expect(face).not.toBe('')
      expect(cut.every(({ value }) => value > 0)).toBe(true)
    })
  })
})
