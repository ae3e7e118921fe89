import { describe, expect, it } from 'vitest'
import { useTurningDetail } from './detail'

describe('detail while the stand turns', () => {
  const after = (frames: readonly number[]): number => {
    const { mostFaces, frame } = useTurningDetail()
    let at = 1000
    frames.forEach((took) => frame((at += took)))
    return mostFaces.value
  }
  const frames = (count: number, took: number) => Array.from({ length: count }, () => took)
  it('falls when frames come late, to a floor, and rises slowly when they come in time', () => {
    const begun = after([])
    expect(after(frames(3, 60))).toBeLessThan(begun)
    expect(after(frames(100, 60))).toBe(after(frames(50, 60)))
    expect(after(frames(39, 16))).toBe(begun)
    expect(after(frames(41, 16))).toBeGreaterThan(begun)
  })
  it('takes a pause between two turns for no late frame', () => expect(after([16, 900, 16, 5000])).toBe(after([])))
})
