import { describe, expect, it } from 'vitest'
import { fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import type { Commission } from '../../commission'
import { demoWorkshop } from '../../demo'
import { derivePlan } from '..'
import { travellingOf } from './boxFit'

const { brief, options } = onTwoTiers(fourGroups(), 0)
const planIn = (box: Commission['brief']['box'], completion: Commission['brief']['completion']) =>
  derivePlan({
    commission: { ...onTwoTiers(fourGroups(), 0), brief: { ...brief, box, completion } },
    workshop: demoWorkshop(),
    now: 0,
    units: 'metric',
  })

describe('how a cake travels', () => {
  const option = options[0]!
  it('is bare and under no lid where it is finished at the venue', () =>
    expect(travellingOf({ ...brief, completion: 'atVenue' }, option)).toEqual({
      travelling: { decorated: false, tiersApart: 0 },
      mostTopMm: null,
    }))
  it('is decorated, and no higher than the box above its board, where it is finished before', () =>
    expect(travellingOf({ ...brief, completion: 'beforeDriving' }, option)).toEqual({
      travelling: { decorated: true, tiersApart: 0 },
      mostTopMm: brief.box.heightMm - option.cake.board.thicknessMm,
    }))
  it('has never all its tiers by themselves', () =>
    expect(travellingOf(brief, { ...option, tiersApart: 5 }).travelling.tiersApart).toBe(1))
})

describe('the box', () => {
  it('holds bare tiers where decorations are placed at the venue', () => {
    const bare = { widthMm: 360, depthMm: 360, heightMm: 260 }
    expect(planIn(bare, 'atVenue').fit.fits).toBe(true)
    expect(planIn(bare, 'beforeDriving').fit.clearance.wide.value).toBeLessThanOrEqual(
      planIn(bare, 'atVenue').fit.clearance.wide.value,
    )
  })
  it('too small is told with remedies that do make it fit', () => {
    const small = { widthMm: 345, depthMm: 345, heightMm: 250 }
    const { fit, remedies } = planIn(small, 'atVenue')
    expect(fit.fits).toBe(false)
    const larger = remedies.find((remedy) => remedy.kind === 'box')!
    expect(planIn(larger.box, 'atVenue').fit.fits).toBe(true)
    expect(larger.box.heightMm % 10).toBe(0)
  })
  it('is asked nothing of where it fits', () => expect(planIn(brief.box, 'atVenue').remedies).toEqual([]))
})
