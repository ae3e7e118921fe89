import { expect, it } from 'vitest'
import { tried, type Outcome } from './trial'

/** A share of the campaign, other inputs than it begins with. */
const FIRST = 1_000_000
const INPUTS = 500
/** Every so many inputs what is accepted is printed as well. */
const PRINTED = 40

it(`${INPUTS} damaged files are refused, or planned, drawn and written to every format`, async () => {
  const outcomes: Outcome[] = []
  for (let at = 0; at < INPUTS; at += 1) outcomes.push(await tried(FIRST + at, at % PRINTED === 0))
  expect(outcomes.filter(({ says }) => says !== '')).toEqual([])
  const count = (became: Outcome['became']): number => outcomes.filter((each) => each.became === became).length
  expect(count('refused') + count('accepted')).toBe(INPUTS)
  expect(count('refused')).toBeGreaterThan(INPUTS / 10)
  expect(count('accepted')).toBeGreaterThan(INPUTS / 10)
})
