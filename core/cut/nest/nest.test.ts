import { describe, expect, it } from 'vitest'
import { chanceJob } from '../../../tests/any/chanceJob'
import { between, seededStream } from '../../quantity'
import { faultSentence, faultsOf } from './checkLayout'
import type { NestJob, NestSheet } from './job'
import { readNestJob } from './readJob'
import { isLess, leastOf, startNesting, type Nesting } from './nest'

const started = (job: NestJob, seed = 1): Nesting => {
  const result = startNesting(job, seed)
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return result.value
}

const run = (nesting: Nesting, steps: number, until: () => boolean = () => false): Nesting => {
  for (let step = 0; step < steps && !until(); step += 1) nesting.step()
  return nesting
}

const circle = (radius: number): [number, number][] =>
  Array.from({ length: 96 }, (_, at) => [
    radius * Math.cos((at * Math.PI) / 48),
    radius * Math.sin((at * Math.PI) / 48),
  ])
const box = (width: number, height: number): [number, number][] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
]
const rect = (width: number, height: number, count: number | null = null): NestSheet => ({
  id: 'sheet',
  shape: 'rect',
  width,
  height,
  count,
})
const jobOf = (sheets: NestSheet[], parts: NestJob['parts'], more: Partial<NestJob> = {}): NestJob => ({
  name: 'test',
  unit: 'mm',
  gap: 0,
  margin: 0,
  sheets,
  parts,
  ...more,
})

describe('odd jobs', () => {
  const parts = (rotations: number[]): NestJob['parts'] => [
    { id: 'box', outline: box(30, 20), quantity: 20, rotations, mirror: false },
    { id: 'circle', outline: circle(10), quantity: 9, rotations, mirror: false },
  ]
  it.each([[[90.000000001]], [[-270, 450]], [[33.3]]])('turned by %j only are laid so', (rotations) => {
    const job = jobOf([rect(210, 297)], parts(rotations), { gap: 1, margin: 5 })
    const result = startNesting(job, 1)
    if (!result.ok) throw new Error(result.error.code)
    expect(faultsOf(job, run(result.value, 6).layout())).toEqual([])
  })
  it('of four hundred circles that may not be turned lie as they are, in whatever pattern', () => {
    const equal = Array.from({ length: 48 }, (_, at): [number, number] => [
      7 + 10 * Math.cos((at * Math.PI) / 24),
      3 + 10 * Math.sin((at * Math.PI) / 24),
    ])
    for (const rotations of [[0], [17], [180, 90]]) {
      const part = { id: 'circle', outline: equal, quantity: 400, rotations, mirror: false }
      const job = jobOf([rect(210, 297)], [part], { gap: 1, margin: 5 })
      const result = startNesting(job, 1)
      if (!result.ok) throw new Error(result.error.code)
      expect(faultsOf(job, run(result.value, 6).layout())).toEqual([])
    }
  })
  it('with a sheet narrower than its margins are laid on the others', () => {
    const narrow = { ...rect(8, 297), id: 'narrow' }
    const small: NestSheet = { id: 'small', shape: 'disc', diameter: 9, count: null }
    const result = startNesting(jobOf([narrow, small, rect(210, 297)], parts([0]), { margin: 5 }), 1)
    if (!result.ok) throw new Error(result.error.code)
    expect(
      new Set(
        run(result.value, 6)
          .layout()
          .placements.map(({ sheetId }) => sheetId),
      ),
    ).toEqual(new Set(['sheet']))
  })
  it.each([
    ['parts.0.rotations.0', { rotations: [1e308] }],
    ['parts.0.outline.0.0', { outline: [[1e303, 0], ...box(3, 3)] }],
  ])('with numbers beyond all measure are refused by their field, %s', (field, change) => {
    const [first] = parts([0])
    expect(readNestJob(jobOf([rect(210, 297)], [{ ...first!, ...change } as never]))).toMatchObject({
      ok: false,
      error: { code: 'not-a-job', field },
    })
  })
})

describe('nesting jobs made by chance', () => {
  it.each(Array.from({ length: 20 }, (_, batch) => [batch * 25, batch * 25 + 24]))(
    'numbers %i to %i give layouts that can be cut, first and later',
    (from, to) => {
      let laidOut = 0
      for (let seed = from; seed <= to; seed += 1) {
        const read = readNestJob(chanceJob(seed))
        if (!read.ok) {
          expect(read.error.code).toMatch(/^(too-large|crosses-itself)$/)
          continue
        }
        const result = startNesting(read.value, seed)
        if (!result.ok) {
          expect(result.error.code).toBe('too-few-sheets')
          continue
        }
        const nesting = result.value
        const first = nesting.measure()
        expect(faultsOf(read.value, nesting.layout()).map(faultSentence), `job ${seed}, first layout`).toEqual([])
        run(nesting, 8)
        expect(faultsOf(read.value, nesting.layout()).map(faultSentence), `job ${seed}, later`).toEqual([])
        expect(isLess(first, nesting.measure())).toBe(false)
        laidOut += 1
      }
      expect(laidOut).toBeGreaterThan(20)
    },
  )
})

describe('a search', () => {
  const job = chanceJob(4)

  it('gives the same layout for the same job, seed and number of steps', () => {
    expect(run(started(job, 3), 60).layout()).toEqual(run(started(job, 3), 60).layout())
  })

  it('gives other layouts for other seeds, all complete', () => {
    const layouts = [1, 2, 3].map((seed) => run(started(job, seed), 60).layout())
    for (const layout of layouts) expect(faultsOf(job, layout)).toEqual([])
    expect(new Set(layouts.map((layout) => JSON.stringify(layout))).size).toBeGreaterThan(1)
  })

  it('says what found no place when there are too few sheets', () => {
    expect(
      startNesting(
        jobOf([rect(100, 100, 1)], [{ id: 'panel', outline: box(60, 60), quantity: 3, rotations: [0], mirror: false }]),
        1,
      ),
    ).toMatchObject({ ok: false, error: { code: 'too-few-sheets', part: 'panel', left: 2 } })
  })

  it('lays a piece that fits only just, square and from corner to corner', () => {
    for (const [outline, sheet] of [
      [box(200, 287), rect(210, 297)],
      [box(330, 8), rect(210, 297)],
    ] as const) {
      const tight = jobOf([sheet], [{ id: 'panel', outline, quantity: 1, rotations: 'free', mirror: false }], {
        margin: 5,
      })
      expect(faultsOf(tight, started(tight).layout())).toEqual([])
    }
  })
})

describe('sheets of several sizes', () => {
  const sizes = [
    { ...rect(148, 210), id: 'small' },
    { ...rect(210, 297), id: 'middle' },
    { ...rect(297, 420), id: 'large' },
  ]
  it.each(Array.from({ length: 10 }, (_, seed) => [seed]))(
    'are chosen by what they come to together: no size alone would be less paper, job %i',
    (seed) => {
      const stream = seededStream(seed)
      const parts = Array.from({ length: 1 + Math.floor(3 * stream()) }, (_, at) => {
        const size = between(stream, 40, 130)
        const outline = stream() < 0.5 ? circle(size / 2) : box(size, 0.6 * size)
        const quantity = Math.floor(between(stream, 3, 21))
        return { id: `part ${at}`, outline, quantity, rotations: 'free' as const, mirror: false }
      })
      const job = jobOf(sizes, parts, { gap: 1, margin: 5 })
      const together = run(started(job), 60)
      expect(faultsOf(job, together.layout())).toEqual([])
      for (const size of sizes) {
        const alone = startNesting(jobOf([size], parts, { gap: 1, margin: 5 }), 1)
        if (alone.ok) expect(together.measure().openedMm2).toBeLessThanOrEqual(alone.value.measure().openedMm2 + 0.01)
      }
    },
  )
})

describe('equal circles at 0.995 of the largest radius known', () => {
  // Radii in a unit disc or square: Graham and others 1998; Specht's tables.
  it.each([
    ['7 in a disc', 7, 100 / 3, { id: 'disc', shape: 'disc', diameter: 200, count: null }],
    ['19 in a disc', 19, 20.5604, { id: 'disc', shape: 'disc', diameter: 200, count: null }],
    ['10 in a square', 10, 29.6408, rect(200, 200)],
    ['20 in a square', 20, 22.2764, rect(200, 200)],
    ['30 in a square', 30, 18.3342, rect(200, 200)],
  ] as [string, number, number, NestSheet][])('%s lie on one sheet', (_, quantity, radius, sheet) => {
    const job = jobOf(
      [sheet],
      [{ id: 'circle', outline: circle(0.995 * radius), quantity, rotations: 'free', mirror: false }],
    )
    const nesting = started(job)
    run(nesting, 3000, () => nesting.measure().sheets === 1)
    expect(nesting.measure().sheets).toBe(1)
    expect(faultsOf(job, nesting.layout())).toEqual([])
  })
})

describe('rectangles', () => {
  it('that fill rows exactly take the fewest sheets', () => {
    const rows = [
      [120, 77],
      [98, 50, 47],
      [60, 60, 75],
      [150, 46],
      [110, 85],
      [40, 60, 93],
    ]
    const parts = rows.flat().map((length, at) => ({
      id: `strip ${at}`,
      outline: box(length, 20),
      quantity: 4,
      rotations: [0],
      mirror: false,
    }))
    const job = jobOf([rect(210, 261)], parts, { gap: 1, margin: 5 })
    const nesting = run(started(job), 12)
    expect(faultsOf(job, nesting.layout())).toEqual([])
    expect(nesting.measure().sheets).toBe(2)
  })

  it('cut from a whole sheet go back onto one', () => {
    const parts = [
      [60, 100],
      [40, 60],
      [40, 40],
      [100, 50],
      [50, 50],
      [50, 50],
    ].map(([width, height], at) => ({
      id: `box ${at}`,
      outline: box(width!, height!),
      quantity: 1,
      rotations: [0, 90],
      mirror: false,
    }))
    const job = jobOf([rect(100, 200)], parts)
    const nesting = run(started(job), 300)
    expect(faultsOf(job, nesting.layout())).toEqual([])
    expect(nesting.measure()).toMatchObject({ sheets: 1 })
  })
})

it('of several layouts the one that opens least is the least, then the one that uses least, then the first', () => {
  const found = (openedMm2: number, paperMm2: number) => ({ measure: { sheets: 1, openedMm2, paperMm2, piecesMm2: 1 } })
  const [many, full, same, spare] = [found(200, 150), found(100, 100), found(100, 100), found(100, 90)]
  expect(leastOf([many, full, same])).toBe(full)
  expect(leastOf([full, null, spare, many])).toBe(spare)
  expect(leastOf([null, null])).toBeNull()
})
