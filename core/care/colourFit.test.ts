import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { colourFaults, type ColourFacts } from '.'
import { CARRIERS, COLOURING_WAYS } from '../tint'

const moths: ColourFacts = {
  decoration: 'moths',
  name: 'Moths',
  colouring: { way: 'brush', carrier: 'spirit', faces: 1, coats: 1 },
  isThin: true,
  isFilm: false,
  heat: null,
  stands: true,
  dyes: [{ id: 'red', name: 'red', base: 'water' }],
  shimmer: [],
  noAlcohol: false,
  noColours: [],
}
const codes = (change: Partial<ColourFacts>): readonly string[] =>
  colourFaults([{ ...moths, ...change }]).map(({ code }) => code)
const by = (
  way: ColourFacts['colouring']['way'],
  carrier: ColourFacts['colouring']['carrier'],
  coats = 1,
): Pick<ColourFacts, 'colouring'> => ({ colouring: { way, carrier, faces: 1, coats } })

const anything: fc.Arbitrary<ColourFacts> = fc.record({
  decoration: fc.constant('moths'),
  name: fc.constant('Moths'),
  colouring: fc.record({
    way: fc.constantFrom(...COLOURING_WAYS),
    carrier: fc.constantFrom(...CARRIERS),
    faces: fc.constantFrom(1 as const, 2 as const),
    coats: fc.integer({ min: 1, max: 4 }),
  }),
  isThin: fc.boolean(),
  isFilm: fc.boolean(),
  heat: fc.constantFrom('pan' as const, 'oil' as const, 'steam' as const, null),
  stands: fc.boolean(),
  dyes: fc.subarray([
    { id: 'red', name: 'red', base: 'water' as const },
    { id: 'gel', name: 'rose', base: 'sugarGel' as const },
    { id: 'fat', name: 'green', base: 'oil' as const },
    { id: 'lake', name: 'blue', base: 'powder' as const },
  ]),
  shimmer: fc.subarray(['the shimmer']),
  noAlcohol: fc.boolean(),
  noColours: fc.subarray(['blue']),
})

describe('whether a colour suits', () => {
  it('what is usual does', () => expect(codes({})).toEqual([]))
  it.each([
    [
      'sugar in the pan',
      'sugar-in-pan',
      { heat: 'pan' as const, ...by('bath', 'water'), dyes: [{ id: 'gel', name: 'rose', base: 'sugarGel' as const }] },
    ],
    ['water before hot oil', 'water-in-oil', { heat: 'oil' as const, ...by('brush', 'water') }],
    ['a dye in water before hot oil', 'wet-dye-in-oil', { heat: 'oil' as const, ...by('brush', 'oil') }],
    ['water on thin wafer', 'wet-thin-paper', by('brush', 'water')],
    ['thin wafer in a bath', 'wet-thin-paper', by('bath', 'water')],
    ['alcohol by a hot pan', 'alcohol-near-heat', { heat: 'pan' as const }],
    [
      'steam on shimmer',
      'steam-on-shimmer',
      { heat: 'steam' as const, ...by('mist', 'water'), shimmer: ['the shimmer'] },
    ],
    ['glycerin in what must stand', 'supple-but-stands', by('brush', 'conditioner')],
    ['oil that never dries', 'oil-without-heat', by('brush', 'oil')],
    ['alcohol for those who want none', 'no-alcohol', { noAlcohol: true }],
    ['a colour that is not wanted', 'unwanted-dye', { noColours: ['Red '] }],
  ])('%s does not', (_, code, change) => expect(codes(change)).toContain(code))
  it('what is left bare always does', () =>
    fc.assert(fc.property(anything, (facts) => colourFaults([{ ...facts, ...by('bare', 'spirit') }]).length === 0)))

  it('says why and offers a way out, which mends that very fault', () =>
    fc.assert(
      fc.property(anything, (facts) => {
        for (const { code, say, remedy } of colourFaults([facts])) {
          expect(say).toMatch(/\w.*[.]$/)
          expect(remedy.words).not.toBe('')
          if (remedy.kind === 'colouring')
            expect(
              colourFaults([{ ...facts, colouring: { ...facts.colouring, ...remedy.change } }]).map(
                (each) => each.code,
              ),
            ).not.toContain(code)
          if (remedy.kind === 'leaveOut')
            expect(
              colourFaults([{ ...facts, dyes: facts.dyes.filter(({ id }) => !remedy.dyes.includes(id)) }]).map(
                (each) => each.code,
              ),
            ).not.toContain(code)
        }
      }),
    ))

  it('taking one remedy after the other comes to an end without faults that a remedy could mend', () =>
    fc.assert(
      fc.property(anything, (facts) => {
        let now = facts
        for (let turn = 0; turn < 12; turn += 1) {
          const next = colourFaults([now]).find(({ remedy }) => remedy.kind !== 'advice')
          if (!next) return
          if (next.remedy.kind === 'colouring') now = { ...now, colouring: { ...now.colouring, ...next.remedy.change } }
          if (next.remedy.kind === 'leaveOut') {
            const { dyes } = next.remedy
            now = { ...now, dyes: now.dyes.filter(({ id }) => !dyes.includes(id)) }
          }
        }
        throw new Error(`Remedies go in circles from ${JSON.stringify(facts)}.`)
      }),
    ))
})
