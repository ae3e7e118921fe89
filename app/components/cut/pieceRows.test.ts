import { describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { derivePlan } from '#core/plan'
import { pieceRows } from './pieceRows'

const plan = derivePlan({ commission: demoCommission(0), workshop: demoWorkshop(), now: 0, units: 'metric' })
const rows = pieceRows(plan)

describe('the piece list', () => {
  it('holds every piece once: those of the tally, with spares', () => {
    const counted = (of: 'sail' | 'element') =>
      rows
        .filter(({ lit }) => lit.kind === of)
        .reduce((sum, { needed, spares }) => sum + needed.value + spares.value, 0)
    expect(counted('element')).toBe(plan.decorations.reduce((sum, { pieces }) => sum + pieces.value, 0))
    expect(counted('sail')).toBe(plan.cutList.total.value)
  })
  it('lights up on the stand what it makes, all of it', () => {
    const lit = new Set(rows.filter((row) => row.lit.kind === 'element').flatMap((row) => row.lit.indexes))
    expect(lit.size).toBe(plan.decorations.reduce((sum, { elements }) => sum + elements.length, 0))
    expect(new Set(rows.filter((row) => row.lit.kind === 'sail').flatMap((row) => row.lit.indexes)).size).toBe(
      plan.arrangement.sails.length,
    )
  })
  it('has ids of their own, papers, faces and sizes', () => {
    expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length)
    rows.forEach(({ paper, face, cut, cutWords }) => {
      expect(paper).not.toBe('')
      expect(face).not.toBe('')
      expect(cut !== null || cutWords !== '').toBe(true)
    })
  })
})
