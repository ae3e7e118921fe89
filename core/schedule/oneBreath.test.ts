import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inOneBreath, type Slot } from '.'

const slot = (id: string, from: number, minutes: number, change: Partial<Slot> = {}): Slot => ({
  id,
  kind: 'make',
  name: id,
  lane: 'hands',
  hands: true,
  of: { decoration: 'sails', step: id, turn: 1, turns: 1 },
  tiers: [],
  task: id,
  person: 'hands-1',
  state: 'toDo',
  from,
  to: from + minutes,
  ...change,
})
const names = (slots: readonly Slot[]): readonly string[] => inOneBreath(slots).map(({ name }) => name)

describe('work in one breath', () => {
  it('joins what takes less than ten minutes with what it follows on, and goes on with', () => {
    expect(names([slot('lift', 0, 6), slot('soak', 10, 23)])).toEqual(['lift; soak'])
    expect(names([slot('soak', 0, 23), slot('lift', 25, 5)])).toEqual(['soak; lift'])
    expect(names([slot('fold', 0, 40), slot('wind', 40, 30)])).toEqual(['fold', 'wind'])
  })
  it('joins neighbouring bits of one step, and nothing over a gap, other hands or the cake', () => {
    const of = (turn: number): Slot['of'] => ({ decoration: 'sails', step: 'soak', turn, turns: 2 })
    const [first, second] = [slot('one', 0, 30, { of: of(1) }), slot('two', 30, 30, { of: of(2) })]
    expect(names([first, second])).toEqual(['one; two'])
    expect(names([first, { ...second, from: 60, to: 90 }])).toEqual(['one', 'two'])
    expect(names([first, { ...second, person: 'hands-2' }])).toEqual(['one', 'two'])
    expect(names([slot('lift', 0, 5), slot('stack', 5, 20, { kind: 'stack' })])).toEqual(['lift', 'stack'])
  })
  it('loses nothing: every slot once, in its order, and each line as long as its slots', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 12 }), fc.boolean())),
        (drawn) => {
          let at = 0
          const slots = drawn.map(([minutes, gap, hands], index) => {
            const made = slot(`s${index}`, at + gap, minutes, { hands, person: hands ? 'hands-1' : null })
            at = made.to
            return made
          })
          const lines = inOneBreath(slots)
          expect(lines.flatMap((line) => line.slots).sort((one, other) => one.from - other.from)).toEqual(slots)
          for (const line of lines) {
            expect(line.from).toBe(line.slots[0]!.from)
            expect(line.to).toBe(line.slots.at(-1)!.to)
          }
        },
      ),
    ))
})
