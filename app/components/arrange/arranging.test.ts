import { beforeEach, describe, expect, it } from 'vitest'
import { beginAgain, option } from '../../../tests/any/demoStudio'
import { useArranging } from './arranging'
import { useChosenDecoration } from './chosen'

const open = (id: string): ReturnType<typeof useArranging> => {
  useChosenDecoration(() => option.value).choose(id)
  const arranging = useArranging()
  arranging.pick(null)
  return arranging
}

beforeEach(beginAgain)

describe.each([
  ['sails', 11],
  ['moths', 7],
] as const)('arranging the %s by hand', (id, count) => {
  it('picks, pins where it stands, and lets go again', () => {
    const arranging = open(id)
    expect(arranging.elements.value).toHaveLength(count)
    expect(arranging.pickedElement.value).toBeNull()
    arranging.pick(2)
    const before = arranging.elements.value[2]!
    arranging.togglePin()
    expect(arranging.isPinned(2)).toBe(true)
    expect(arranging.elements.value[2]!.angleDeg).toBeCloseTo(before.angleDeg, 0)
    expect(arranging.elements.value[2]!.heightMm).toBeCloseTo(before.heightMm, 0)
    arranging.togglePin()
    expect(arranging.byHand.value).toEqual({ put: [], out: [] })
  })
  it('nudges by millimetres along the side and up, the others staying', () => {
    const arranging = open(id)
    arranging.pick(3)
    const [before, others] = [arranging.elements.value[3]!, arranging.elements.value.filter(({ index }) => index !== 3)]
    arranging.nudge(0, 6)
    arranging.nudge(0, 6)
    expect(arranging.pickedElement.value!.heightMm).toBeCloseTo(before.heightMm + 12, 0)
    arranging.nudge(20, 0)
    expect(arranging.pickedElement.value!.angleDeg).toBeGreaterThan(before.angleDeg + 3)
    expect(arranging.elements.value.filter(({ index }) => index !== 3)).toEqual(others)
  })
  it('never nudges a foot off its side', () => {
    const arranging = open(id)
    arranging.pick(0)
    const tier = arranging.stack.value[arranging.pickedElement.value!.tier]!
    arranging.nudge(0, 500)
    expect(arranging.pickedElement.value!.heightMm).toBeLessThan(tier.topMm)
    arranging.nudge(0, -900)
    expect(arranging.pickedElement.value!.heightMm).toBeGreaterThanOrEqual(tier.footMm)
  })
  it('resizes, leans, takes out, adds, and gives all back', () => {
    const arranging = open(id)
    arranging.pick(1)
    const { size, rollDeg } = arranging.pickedElement.value!
    arranging.resize(true)
    expect(arranging.pickedElement.value!.size).toBeGreaterThan(size)
    arranging.roll(8)
    expect(arranging.pickedElement.value!.rollDeg).toBeCloseTo(rollDeg + 8, 0)
    arranging.takeOut()
    expect(arranging.elements.value).toHaveLength(count - 1)
    expect(arranging.pickedIndex.value).toBeNull()
    arranging.add()
    arranging.add()
    expect(arranging.elements.value).toHaveLength(count + 1)
    expect(arranging.pickedIndex.value).toBeGreaterThanOrEqual(1000)
    arranging.release()
    expect(arranging.elements.value).toHaveLength(count)
  })
  it('moves what is pulled to another place, and a handle of the composition with it', () => {
    const arranging = open(id)
    arranging.pick(4)
    const tier = arranging.stack.value[1]!
    arranging.move({ tier: 1, on: 'side', angleDeg: -30, heightMm: tier.footMm + 20, outMm: 0 })
    expect(arranging.pickedElement.value).toMatchObject({ tier: 1, angleDeg: -30, heightMm: tier.footMm + 20 })
    const [handle] = arranging.handles.value
    const before = arranging.composition.value
    arranging.pull(handle!.id, { ...handle!, angleDeg: handle!.angleDeg + 15 })
    expect(arranging.composition.value).not.toEqual(before)
    expect(arranging.pickedElement.value).toMatchObject({ tier: 1, angleDeg: -30 })
  })
})

describe('what stands on a top', () => {
  it('is nudged outward and round, and stays on it', () => {
    const arranging = open('globes')
    arranging.pick(1)
    const before = arranging.pickedElement.value!
    arranging.nudge(0, -4)
    expect(arranging.pickedElement.value!.outMm).toBeCloseTo(before.outMm + 4, 0)
    arranging.nudge(6, 0)
    expect(arranging.pickedElement.value!.angleDeg).toBeGreaterThan(before.angleDeg)
    expect(arranging.pickedElement.value!.on).toBe('top')
  })
  it('takes no strip that runs round a side', () => {
    const arranging = open('collar')
    arranging.pick(0)
    arranging.move({ tier: 0, on: 'top', angleDeg: 0, heightMm: 110, outMm: 100 })
    expect(arranging.byHand.value.put).toEqual([])
  })
})
