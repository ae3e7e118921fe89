import { describe, expect, it } from 'vitest'
import { portionsOf, roundTier, stackTiers } from '../cake'
import { choosing } from '../commission'
import { demoCommission, demoWorkshop } from '../demo'
import { derivePlan } from '../plan'
import { proposal, type Block } from '.'

const commission = demoCommission(0)
const planOf = (id: string) =>
  derivePlan({ commission: choosing(commission, id), workshop: demoWorkshop(), now: 0, units: 'metric' })
const offered = commission.options.map((option) => ({ option, plan: planOf(option.id), price: null }))
const about = { plan: planOf(commission.chosen), commission, units: 'metric' as const }
const wordsOf = (blocks: readonly Block[]): string => JSON.stringify(blocks)

describe('portions', () => {
  const portionsAcross = (acrossMm: number, isDummy = false): number =>
    portionsOf({ ...stackTiers({ tiers: [roundTier('x', acrossMm, 100)] })[0]!, isDummy }).value
  it('are 25 × 50 mm seen from above, a tenth lost', () => {
    // π × 100² = 31 416 mm²; less a tenth 28 274; ÷ 1 250 = 22.6.
    expect(portionsAcross(200)).toBe(22)
    expect(portionsAcross(260)).toBeGreaterThan(portionsAcross(200))
    expect(portionsAcross(200, true)).toBe(0)
  })
})

describe('the page for the client', () => {
  const paper = proposal(about, [], offered)
  it('names every tier with its size, from the top, and all portions', () => {
    const tiers = paper.blocks.find((block) => block.kind === 'table')!
    expect(tiers.kind === 'table' && tiers.rows.map(([, across, high]) => `${across} ${high}`)).toEqual([
      '128 mm 118 mm',
      expect.stringMatching(/^\d+ mm × 196 mm 150 mm$|^196 mm × \d+ mm 150 mm$/),
      '260 mm 110 mm',
    ])
    const portions = tiers.kind === 'table' ? tiers.rows.map((row) => Number(row[4])) : []
    expect(wordsOf(paper.blocks)).toContain(`about ${portions.reduce((sum, each) => sum + each, 0)} portions`)
  })
  it('tells decorations by number and colour in words, never as a code', () => {
    expect(wordsOf(paper.blocks)).toMatch(/11 sails in persimmon to cream/)
    expect(wordsOf(paper.blocks)).toMatch(/6 blooms in salmon/)
    expect(wordsOf(paper.blocks)).not.toMatch(/#[0-9a-f]{6}/)
  })
  it('says what is lifted off, and how many', () => {
    const off = about.plan.careCard.remove.filter(({ stays }) => stays)
    expect(off.length).toBeGreaterThan(0)
    for (const { name } of off) {
      const many = off.reduce((sum, each) => sum + (each.name === name ? each.count : 0), 0)
      expect(wordsOf(paper.blocks)).toContain(`${many} ${name}`)
    }
  })
  it('puts options side by side, and tells a price only where it is given', () => {
    expect(wordsOf(paper.blocks)).toContain(commission.options[1]!.name)
    expect(wordsOf(paper.blocks)).not.toContain('price')
    const priced = proposal(
      about,
      [],
      offered.map((each) => ({ ...each, price: '513.99' })),
    )
    expect(wordsOf(priced.blocks)).toContain('Together 513.99')
    expect(wordsOf(proposal(about, [], offered.slice(0, 1)).blocks)).not.toContain('side by side')
  })
  it('has the views that are given', () => {
    const views = [{ name: 'The front', dataUrl: 'data:image/png;base64,', widthPx: 900, heightPx: 1000 }]
    expect(proposal(about, views, offered).blocks[0]).toEqual({ kind: 'photos', photos: views, areLarge: true })
  })
})
