import { describe, expect, it } from 'vitest'
import { conditionedTouchMin } from '../../dry'
import { conditionedStage } from './conditioned'

describe('paper with glycerin', () => {
  const wrap = {
    id: 'wrap',
    name: 'Wrap',
    technique: 'formedWrap',
    paper: 'thinWafer',
    thicknessMm: 0.28,
    elements: [{}],
  }
  const touched = (humidity: number, change: object = {}) =>
    conditionedStage(conditionedTouchMin)({
      decorations: [{ ...wrap, ...change } as never],
      unwanted: [],
      room: { airC: 21, humidity },
    })

  it('is dry to the touch by its own recipe, later in the damp; others are not named', () => {
    const [dry, damp] = [touched(0.4)[0]!.touch!.value, touched(0.6)[0]!.touch!.value]
    expect(dry).toBeGreaterThan(1)
    expect(damp).toBeGreaterThan(dry)
    expect(touched(0.4, { technique: 'openBloom' })).toEqual([])
    expect(touched(0.4, { elements: [] })).toEqual([])
  })
})
