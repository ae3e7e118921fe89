import { describe, expect, it } from 'vitest'
import { checkMachineJob, machineJob, machineSentence, type CutPiece, type MachineJob } from '#core/cut'
import { circle } from '#core/geometry'
import { cutterAt, EMPTY_CUTTER, loaded, ordered, reportOf, type Cutter } from './cutter'

/** Two squares of 60 mm round, one after the other, at 60 mm a minute. */
const square = (piece: number, x: number): MachineJob['lines'][number] => ({
  piece,
  points: [
    [x, 0],
    [x + 15, 0],
    [x + 15, 15],
    [x, 15],
    [x, 0],
  ],
})
const job: MachineJob = {
  name: 'sheet 1',
  widthMm: 100,
  heightMm: 100,
  mmPerMin: 60,
  lines: [square(1, 0), square(2, 30)],
}
const MINUTE = 60_000
const running = ordered(loaded(EMPTY_CUTTER, job, 0)!, 'run', 0)!
const at = (cutter: Cutter, minutes: number, fault: 'blade' | 'slip' | null = null): Cutter =>
  cutterAt(cutter, minutes * MINUTE, fault)

describe('the simulated cutting machine', () => {
  it('runs at the job’s speed, and says which pieces are cut', () => {
    expect(reportOf(at(running, 0.5))).toMatchObject({ status: 'running', cut: [], begun: [1] })
    expect(reportOf(at(running, 1.01))).toMatchObject({ cut: [1], begun: [] })
    expect(reportOf(at(running, 2))).toMatchObject({ cut: [1], begun: [2] })
    const done = reportOf(at(running, 3))
    expect(done).toMatchObject({ status: 'done', share: 1, leftMin: 0, cut: [1, 2], begun: [] })
  })

  it('never goes back, and is as far at the end however often it is asked', () => {
    let asked = running
    let before = 0
    for (let minute = 0; minute <= 2; minute += 0.07) {
      asked = at(asked, minute)
      expect(reportOf(asked).share).toBeGreaterThanOrEqual(before)
      before = reportOf(asked).share
    }
    expect(reportOf(at(asked, 2)).share).toBeCloseTo(reportOf(at(running, 2)).share, 9)
  })

  it('stands still while it is paused', () => {
    const paused = ordered(at(running, 0.4), 'pause', 0.4 * MINUTE)!
    expect(reportOf(at(paused, 9)).share).toBe(reportOf(paused).share)
    const on = ordered(at(paused, 9), 'resume', 9 * MINUTE)!
    expect(reportOf(at(on, 9.7)).cut).toEqual([1])
  })

  it.each(['blade', 'slip'] as const)(
    'stops at a fault of the %s, and leaves clear what is cut and what is not',
    (fault) => {
      const broken = at(at(running, 1.5), 1.6, fault)
      expect(reportOf(broken)).toMatchObject({ status: 'fault', fault, cut: [1], begun: [2] })
      expect(reportOf(at(broken, 50))).toEqual(reportOf(broken))
      expect(ordered(broken, 'resume', 0)).toBeNull()
      expect(loaded(broken, job, 0)).toMatchObject({ status: 'loaded', fault: null, doneMin: 0 })
    },
  )

  it('takes no job while it is at work, and no order that makes no sense', () => {
    expect(loaded(running, job, 0)).toBeNull()
    expect(ordered(EMPTY_CUTTER, 'run', 0)).toBeNull()
    expect(ordered(running, 'clear', 0)).toBeNull()
    expect(ordered(at(running, 5), 'clear', 0)).toEqual(EMPTY_CUTTER)
    expect(reportOf(EMPTY_CUTTER)).toMatchObject({ status: 'empty', cut: [], begun: [] })
  })
})

describe('a job for the machine', () => {
  it('is made of a sheet, or of some of its pieces', () => {
    const part = {
      id: 'd/0',
      decoration: 'd',
      name: 'disc',
      colour: '#ffffff',
      outline: circle({ x: 0, y: 0 }, 10),
      holes: [circle({ x: 0, y: 0 }, 3)],
      quantity: 2,
      mirror: true,
      members: [],
    }
    const pieces = [1, 2].map((number): CutPiece => ({
      part,
      number,
      x: number * 30,
      y: 30,
      rotationDeg: 0,
      mirrored: false,
    }))
    const shape = { kind: 'rect', widthMm: 100, heightMm: 60 } as const
    const sheet = { shape, plies: 1, cuts: [], pieces }
    const whole = machineJob('sheet', sheet, shape, 1200, 1)
    expect(whole.lines.map(({ piece }) => piece)).toEqual([1, 1, 2, 2])
    expect(machineJob('sheet', sheet, shape, 1200, 1, (piece) => piece === 2).lines.map(({ piece }) => piece)).toEqual([
      2, 2,
    ])
    expect(checkMachineJob(whole).ok).toBe(true)
  })

  it.each([
    ['nothing', null, 'not-a-job', /understand/],
    ['no lines', { ...job, lines: [] }, 'not-a-job', /lines/],
    ['a speed of nothing', { ...job, mmPerMin: 0 }, 'not-a-job', /mmPerMin/],
    ['a line over the edge', { ...job, lines: [square(7, 90)] }, 'over-edge', /Piece 7 .*edge/],
    [
      'far too many points',
      { ...job, lines: [{ piece: 1, points: Array.from({ length: 200_001 }, () => [1, 1]) }] },
      'too-long',
      /200001/,
    ],
  ])('with %s is refused, and says why', (_, input, code, says) => {
    const checked = checkMachineJob(input)
    expect(checked).toMatchObject({ ok: false, error: { code } })
    if (!checked.ok) expect(machineSentence(checked.error)).toMatch(says)
  })
})
