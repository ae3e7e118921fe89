import { describe, expect, it } from 'vitest'
import { derive, found, setting, starting, typed, valueOf, workingsBelow, workingSentence } from '.'
import { ok, refuse } from './result'

const perimeter = typed('perimeter', 817, 'length', 'Tiers')
const fullness = starting('fullness', 1.8, 'ratio', 'usual')
const strip = starting('strip', 293, 'length', 'established')
const strips = derive(
  'strips in a row',
  'count',
  'ruffle rows',
  'round up( {perimeter} × {fullness} ÷ {strip} )',
  { perimeter, fullness, strip },
  (v) => Math.ceil((v.perimeter * v.fullness) / v.strip),
)

describe('a working', () => {
  it('computes from its inputs', () => expect(strips.value).toBe(6))
  it('reads as arithmetic', () =>
    expect(workingSentence(strips, 'metric')).toBe(
      'strips in a row 6 = round up( perimeter 817 mm × fullness 1.8 ÷ strip 293 mm )',
    ))
  it('tells in seconds what takes a hand less than two minutes, so that the sum can be checked', () => {
    const shown = (minutes: number) => workingSentence(starting('each', minutes, 'duration', 'guess'), 'metric')
    expect([0.25, 1.5, 0.05, 1, 2.5].map((minutes) => shown(minutes).split(',')[0])).toEqual([
      'each 15 s',
      'each 90 s',
      'each 3 s',
      'each 1 min',
      'each 3 min',
    ])
  })
  it('reads in the units asked for', () => expect(workingSentence(strips, 'imperial')).toContain('perimeter 32 1/8 in'))
  it('says where a plain figure comes from', () => {
    expect(workingSentence(perimeter, 'metric')).toBe('perimeter 817 mm, typed in Tiers')
    expect(workingSentence(fullness, 'metric')).toContain('usual practice')
    expect(workingSentence(found('sails', 3, 'count', 'counted'), 'metric')).toBe('sails 3, counted')
  })
  it('reaches everything below it once', () => {
    const twice = derive('both', 'count', 'sum', '{strips} + {strips}', { strips }, (v) => 2 * v.strips)
    expect(new Set(workingsBelow(twice))).toEqual(new Set([twice, strips, perimeter, fullness, strip]))
    expect(workingsBelow(twice)).toHaveLength(5)
  })
  it('is a starting value until it is changed', () => {
    expect(setting('pace', 2, 2, 'duration', 'guess', 'Timetable').source.from).toBe('starting')
    expect(setting('pace', 3, 2, 'duration', 'guess', 'Timetable').source.from).toBe('typed')
  })
  it('tells a programmer when a formula names what it does not have', () => {
    const wrong = derive('wrong', 'count', 'wrong', '{missing}', { strips }, () => 0)
    expect(() => workingSentence(wrong, 'metric')).toThrow(/missing.*strips/)
  })
})

describe('valueOf', () => {
  it('gives a value or throws what was refused', () => {
    expect(valueOf(ok(3))).toBe(3)
    expect(() => valueOf(refuse({ code: 'empty' }))).toThrow('empty')
  })
})
