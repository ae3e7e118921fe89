import { workshopSchema } from '#core/workshop'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { soakedSail } from '#core/technique'
import { arrowStep, fieldRules, readTyped } from './fieldRules'

const height = fieldRules(soakedSail.parameters.shape.seenMm)

describe('a field made from its schema', () => {
  it('takes label, kind and limits', () =>
    expect(height).toMatchObject({ label: 'Seen height', kind: 'length', min: 30, max: 250, whole: false }))
  it('knows whole numbers', () =>
    expect(fieldRules(workshopSchema.shape.mats.shape.count)).toMatchObject({ whole: true, min: 0, max: 60 }))
  it('does without words where there are none', () =>
    expect(fieldRules(z.number())).toMatchObject({ label: '', kind: 'count', help: '' }))
  it.each([
    ['4 in', 101.6],
    ['1.5"', 38.1],
    ['12 cm', 120],
    ['30', 30],
  ])('reads %s', (text, value) =>
    expect(readTyped(text, height, 'metric')).toEqual({ ok: true, value: expect.closeTo(value, 6) }),
  )
  it.each([
    ['tall', 'not a number'],
    ['20', 'Between 30 mm and 250 mm'],
    ['1 m', 'Between 30 mm and 250 mm'],
    ['3 kg', 'not a unit'],
    ['', 'Type a value'],
  ])('says what to do about “%s”', (text, words) =>
    expect(readTyped(text, height, 'metric')).toMatchObject({ ok: false, sentence: expect.stringContaining(words) }),
  )
  it('rounds where only whole numbers make sense', () =>
    expect(readTyped('2.4', fieldRules(workshopSchema.shape.mats.shape.count), 'metric')).toEqual({
      ok: true,
      value: 2,
    }))
  it('takes a limit typed as it is shown', () =>
    expect(readTyped('9 7/8 in', height, 'imperial')).toMatchObject({ ok: false }))
  it('steps by an eighth of an inch in inches', () => expect(arrowStep('length', 'imperial')).toBeCloseTo(3.175))
})
