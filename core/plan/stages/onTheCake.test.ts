import { describe, expect, it } from 'vitest'
import { coveringIds, coveringOf } from '../../material'
import { laidTooEarlyOf, onTheCakeStage, type OnTier } from './onTheCake'

const eventAt = 100_000
const dry = { airC: 21, humidity: 0.4 }

describe('paper on each tier', () => {
  it('is told for each, the lowest first, and stays stiff no longer on a wetter covering', () => {
    const coverings = [...coveringIds].filter((id) => id !== 'dummy')
    const tiers = onTheCakeStage({ coverings, air: dry, eventAt })
    expect(tiers.map(({ tier }) => tier)).toEqual(coverings.map((_, at) => at))
    const lying = (wetness: string) =>
      tiers
        .filter((_, at) => coveringOf(coverings[at]!).wetness === wetness)
        .map(({ lyingMin }) => lyingMin ?? Infinity)
    expect(Math.max(...lying('wet'))).toBeLessThanOrEqual(Math.min(...lying('dry')))
  })
  it('may go on so early that it is still stiff when the guests have gone', () => {
    const [tier] = onTheCakeStage({ coverings: ['freshButtercream'], air: { airC: 21, humidity: 0.7 }, eventAt })
    expect(tier!.lyingMin).toBeGreaterThan(0)
    expect(tier!.placeFrom).toBe(eventAt + 240 - tier!.lyingMin!)
  })
  it('goes soft no later in damper air', () => {
    const [inDry, inDamp] = [dry, { airC: 21, humidity: 0.75 }].map(
      (air) => onTheCakeStage({ coverings: ['setButtercream'], air, eventAt })[0]!.standingMin ?? Infinity,
    )
    expect(inDamp!).toBeLessThanOrEqual(inDry!)
  })
})

describe('what is laid too early', () => {
  const tiers: readonly OnTier[] = [
    { tier: 0, covering: 'ganache', standingMin: 600, lyingMin: 300, placeFrom: 1000 },
    { tier: 1, covering: 'fondant', standingMin: null, lyingMin: null, placeFrom: null },
  ]
  const wrap = (tier: number, skin: string | null = 'beforeStacking') =>
    ({ id: 'wrap', name: 'Wrap', skin, elements: [{ tier }] }) as never
  const laidAt = (from: number) => [{ of: { decoration: 'wrap' }, from }] as never
  it('is what goes on before its tier lets it stay stiff, and nothing else', () => {
    expect(laidTooEarlyOf(tiers, [wrap(0)], laidAt(900))).toEqual([
      { id: 'wrap', name: 'Wrap', covering: 'ganache', from: 1000 },
    ])
    expect(laidTooEarlyOf(tiers, [wrap(0)], laidAt(1000))).toEqual([])
    expect(laidTooEarlyOf(tiers, [wrap(1)], laidAt(900))).toEqual([])
    expect(laidTooEarlyOf(tiers, [wrap(0, null)], laidAt(900))).toEqual([])
    expect(laidTooEarlyOf(tiers, [wrap(0)], [])).toEqual([])
  })
})
