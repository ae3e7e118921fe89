import { describe, expect, it } from 'vitest'
import { faultSentence, faultsOf } from './checkLayout'
import type { NestJob, NestPlacement } from './job'

const square = (size: number): [number, number][] => [
  [0, 0],
  [size, 0],
  [size, size],
  [0, size],
]
const job: NestJob = {
  name: 'two',
  unit: 'mm',
  gap: 2,
  margin: 5,
  sheets: [
    { id: 'sheet', shape: 'rect', width: 100, height: 60, count: 1 },
    { id: 'disc', shape: 'disc', diameter: 50, count: 1 },
  ],
  parts: [{ id: 'square', outline: square(20), quantity: 2, rotations: [0, 90], mirror: false }],
}
const at = (x: number, y: number, more: Partial<NestPlacement> = {}): NestPlacement => ({
  part: 'square',
  sheetIndex: 0,
  sheetId: 'sheet',
  x,
  y,
  rotationDeg: 0,
  mirrored: false,
  ...more,
})
const codes = (...placements: NestPlacement[]): readonly string[] =>
  faultsOf(job, { placements }).map(({ code }) => code)

describe('a layout', () => {
  it('is good when all is placed within the margin, the gap kept', () => {
    expect(codes(at(5, 5), at(27, 5))).toEqual([])
    expect(codes(at(5, 5), at(47, 5, { rotationDeg: 90 }))).toEqual([])
    expect(codes(at(5, 5), at(15, 15, { sheetIndex: 1, sheetId: 'disc' }))).toEqual([])
  })

  it.each([
    ['too few are placed', [at(5, 5)], 'quantity'],
    ['a part is not of the job', [at(5, 5), at(27, 5), at(60, 5, { part: 'other' })], 'unknown-part'],
    ['a sheet is not of the job', [at(5, 5), at(27, 5, { sheetId: 'other' })], 'unknown-sheet'],
    ['one index is two sheets', [at(5, 5), at(15, 15, { sheetId: 'disc' })], 'unknown-sheet'],
    ['a turn is not allowed', [at(5, 5), at(60, 10, { rotationDeg: 45 })], 'turn'],
    ['a piece is turned over', [at(5, 5), at(60, 5, { mirrored: true })], 'mirror'],
    ['a piece is over the margin', [at(4.9, 5), at(27, 5)], 'outside'],
    ['a corner is over the margin of a disc', [at(5, 5), at(20, 20, { sheetIndex: 1, sheetId: 'disc' })], 'outside'],
    ['a place is not a number', [at(5, 5), at(NaN, 5)], 'outside'],
    ['two are closer than the gap', [at(5, 5), at(26.9, 5)], 'too-close'],
    ['two overlap', [at(5, 5), at(20, 8)], 'overlap'],
    ['two lie in the same place', [at(5, 5), at(5, 5)], 'overlap'],
    ['more sheets are used than there are', [at(5, 5), at(5, 5, { sheetIndex: 1 })], 'stock'],
  ] as const)('is refused when %s', (_, placements, code) => {
    const faults = faultsOf(job, { placements: [...placements] })
    expect(faults.map((fault) => fault.code)).toContain(code)
    for (const fault of faults) expect(faultSentence(fault)).toMatch(/\.$/)
  })

  it('may touch when no gap is asked, but not overlap by a hundredth', () => {
    const tight = { ...job, gap: 0 }
    expect(faultsOf(tight, { placements: [at(5, 5), at(25, 5)] })).toEqual([])
    expect(faultsOf(tight, { placements: [at(5, 5), at(24.99, 5)] }).map(({ code }) => code)).toEqual(['overlap'])
  })

  it('is seen to overlap where crossed bars have no corner inside one another', () => {
    const bars = {
      ...job,
      parts: [
        {
          ...job.parts[0]!,
          outline: [
            [0, 0],
            [40, 0],
            [40, 6],
            [0, 6],
          ] as [number, number][],
        },
      ],
    }
    expect(
      faultsOf(bars, { placements: [at(10, 20), at(33, 5, { rotationDeg: 90 })] }).map(({ code }) => code),
    ).toEqual(['overlap'])
  })

  it('lets a piece lie in the hole of another, and on a remnant only where it is', () => {
    const ring: NestJob = {
      ...job,
      gap: 1,
      margin: 1,
      sheets: [
        {
          id: 'sheet',
          shape: 'remnant',
          outline: [
            [0, 0],
            [100, 0],
            [100, 60],
            [0, 60],
          ],
          holes: [
            [
              [70, 10],
              [90, 10],
              [90, 50],
              [70, 50],
            ],
          ],
          count: 1,
        },
      ],
      parts: [
        {
          id: 'square',
          outline: square(40),
          holes: [
            [
              [10, 10],
              [30, 10],
              [30, 30],
              [10, 30],
            ],
          ],
          quantity: 1,
          rotations: [0],
          mirror: false,
        },
        { id: 'small', outline: square(8), quantity: 1, rotations: [0], mirror: false },
      ],
    }
    const inside = (x: number, y: number): readonly string[] =>
      faultsOf(ring, { placements: [at(5, 5), at(x, y, { part: 'small' })] }).map(({ code }) => code)
    expect(inside(20, 20)).toEqual([])
    expect(inside(16, 16)).toEqual([])
    expect(inside(14, 20)).toContain('overlap')
    expect(inside(60, 20)).toEqual([])
    expect(inside(62, 20)).toContain('outside')
    expect(inside(76, 20)).toContain('outside')
  })
})
