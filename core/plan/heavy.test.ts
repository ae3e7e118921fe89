import { produce } from 'immer'
import { describe, expect, it } from 'vitest'
import { chosenOption, commissionSchema, type Commission } from '../commission'
import { STARTING_CUTTING, type OwnPiece } from '../cut'
import { demoCommission, demoWorkshop } from '../demo'
import { parseMoment, valueOf } from '../quantity'
import { createPlanner, type Plan } from '.'

const now = valueOf(parseMoment('2026-11-24T09:00'))
const planner = createPlanner()
function planOf(change: (commission: Commission) => void): { readonly commission: Commission; readonly plan: Plan } {
  const commission = produce(demoCommission(now), change)
  return { commission, plan: planner({ commission, workshop: demoWorkshop(), now, units: 'metric' }) }
}
const laidIn = ({ groups }: Plan): number =>
  groups.reduce(
    (all, { layout }) => all + layout.sheets.reduce((sum, { pieces, plies }) => sum + pieces.length * plies, 0),
    0,
  )

/** A star of many points, 1 high. */
const star = (points: number): OwnPiece['outline'] =>
  Array.from({ length: 2 * points }, (_, at) => {
    const [angle, out] = [(at * Math.PI) / points, at % 2 === 0 ? 0.5 : 0.4]
    return [out * Math.sin(angle), 0.5 + out * Math.cos(angle)]
  })

// What a file may hold at most must plan too: what would hang shows by a test that never ends.
describe('the heaviest that is accepted', () => {
  it('three thousand pieces cut again: all are laid', () => {
    const usual = planOf(() => undefined).plan
    const parts = usual.groups.flatMap((group) => group.parts)
    const { commission, plan } = planOf(({ bench }) => {
      bench.recuts = Array.from({ length: 600 }, (_, at) => ({
        id: `again-${at}`,
        part: parts[at % parts.length]!.id,
        many: 5,
        at: now,
        from: 'torn',
      }))
    })
    expect(commissionSchema.safeParse(commission).error).toBeUndefined()
    expect(laidIn(plan)).toBeGreaterThanOrEqual(laidIn(usual) + 3000)
    expect(plan.tally.every(({ working }) => working === null || Number.isFinite(working.value))).toBe(true)
  })

  it('five hundred pieces each of two dozen drawings with hundreds of corners: all are laid', () => {
    const { commission, plan } = planOf((draft) => {
      chosenOption(draft).ownPieces = Array.from({ length: 24 }, (_, at) => ({
        id: `own-${at}`,
        name: `star ${at + 1}`,
        paper: 'thinWafer' as const,
        stock: [],
        colour: '#f5efe4',
        heightMm: 20 + at,
        quantity: 500,
        outline: star(300),
        holes: [],
        cutting: STARTING_CUTTING,
      }))
    })
    expect(commissionSchema.safeParse(commission).error).toBeUndefined()
    const own = plan.groups.flatMap(({ parts }) => parts).filter(({ id }) => id.startsWith('own-'))
    expect(own).toHaveLength(24)
    expect(laidIn(plan)).toBeGreaterThanOrEqual(laidIn(planOf(() => undefined).plan) + 24 * 500)
  })
})
