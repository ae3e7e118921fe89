import { describe, expect, it } from 'vitest'
import { chanceOfSetting, estimateDrying, type DryingWay } from '.'
import { starting, workingSentence } from '../quantity'

const thickness = starting('film thickness', 0.2, 'length', 'usual')
const ask = (humidity: number, way: DryingWay = 'mat', car = 0.5) =>
  estimateDrying({
    kind: 'film',
    thickness,
    way,
    soakWaterC: 38,
    ovenC: 80,
    workroom: { airC: 22, humidity },
    venue: { airC: 22, humidity: 0.5 },
    transport: { airC: 22, humidity: car },
  })

describe('estimated drying', () => {
  it('keeps sails stiff on a dry road and softens them on a damp one', () => {
    expect(ask(0.5).roadSoftMin).toBeNull()
    expect(ask(0.5, 'mat', 0.85).roadSoftMin!).toBeLessThan(120)
    expect(ask(0.5, 'mat', 0.85).roadSoftMin!).toBeLessThan(ask(0.5, 'mat', 0.8).roadSoftMin!)
  })
  it('takes usual practice while the model is quicker, the model when it is slower', () => {
    expect(ask(0.4).ready.set.planned!.value).toBe(24 * 60)
    const slow = ask(0.58).ready.set
    expect(slow.planned!.value).toBeGreaterThanOrEqual(slow.ninety!.value)
    expect(slow.planned!.value - slow.ninety!.value).toBeLessThan(15)
  })
  it('puts the almost-sure time at about twice the usual one', () => {
    const { median, ninety } = ask(0.5).ready.firm
    expect(ninety!.value / median!.value).toBeCloseTo(2.02, 2)
  })
  it('gives no time where the room never sets film, and says the chance', () => {
    const damp = ask(0.75)
    expect(damp.ready.set).toEqual({ median: null, ninety: null, planned: null })
    expect(damp.ready.touch.median!.value / 60).toBeCloseTo(10, 0)
    expect(damp.chanceOfSetting.value).toBeLessThan(0.01)
  })
  it('is even at the limit and falls with humidity', () => {
    expect(chanceOfSetting(0.625)).toBeCloseTo(0.5, 6)
    expect(chanceOfSetting(0.58)).toBeGreaterThan(chanceOfSetting(0.6))
  })
  it('an oven does not mind the room', () => expect(ask(0.75, 'oven').ready.set.planned!.value).toBe(30))
  it('says the humidity and warmth it was worked out for', () =>
    expect(workingSentence(ask(0.5).ready.set.median!, 'metric')).toMatch(/humidity 50 %.*22 °C/))
})
