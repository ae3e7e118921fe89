import { describe, expect, it } from 'vitest'
import { aDecoration, fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import type { LEAVES } from '../../care'
import type { Decoration } from '../../commission'
import { demoWorkshop } from '../../demo'
import { derivePlan } from '..'
import { leafStatesOf } from './tally'

const planOf = (decorations: readonly Decoration[]) =>
  derivePlan({ commission: onTwoTiers(decorations, 0), workshop: demoWorkshop(), now: 0, units: 'metric' })
const figuresOf = (decorations: readonly Decoration[]) =>
  Object.fromEntries(planOf(decorations).tally.map((figure) => [figure.id, figure]))

describe('the tally', () => {
  it('has no figure for what is not on the cake', () => {
    expect(Object.keys(figuresOf([]))).toEqual(['handsOn', 'startBy', 'cost', 'warnings'])
    const moths = aDecoration('moths', 'butterfly')
    const bare = { ...moths, colouring: { ...moths.colouring, way: 'bare' as const } }
    expect(Object.keys(figuresOf([bare]))).toEqual(['pieces', 'paper', 'handsOn', 'startBy', 'cost', 'warnings'])
    expect(Object.keys(figuresOf([moths]))).toContain('colours')
  })

  it('counts what is called alike together, with the spread of all of them', () => {
    const plan = planOf(fourGroups())
    const { pieces, paper } = figuresOf(fourGroups())
    const made = plan.decorations
    const count = made.reduce((sum, each) => sum + each.count.value, 0)
    const spread = Math.round(Math.hypot(...made.map((each) => each.spread)))
    expect(pieces!.beside).toBe(`${count} ± ${spread} sails`)
    expect(pieces!.working!.value).toBe(made.reduce((sum, each) => sum + each.pieces.value, 0))
    expect(paper!.working!.value).toBe(plan.groups.reduce((sum, { sheets }) => sum + sheets.value, 0))
    expect(paper!.beside).toBe(
      plan.sheets
        .map(({ needed, shape }) => `${needed.value} discs of ${shape.kind === 'disc' ? shape.diameterMm : 0} mm`)
        .join(', '),
    )
  })

  it('names the paper where sheets of several are taken', () => {
    const two = figuresOf([aDecoration('ruffle', 'tornRuffle'), aDecoration('spires', 'steamedSpire')])
    expect(two.paper!.beside).toMatch(/^\d+ A4 thin wafer, \d+ A4 thick wafer$/)
    expect(figuresOf([aDecoration('ruffle', 'tornRuffle')]).paper!.beside).toMatch(/^\d+ A4$/)
  })

  it('speaks of one of a thing as one', () => {
    const one = fourGroups().filter(({ id }) => id === 'single')
    expect(figuresOf(one).pieces!.beside).toBe('1 sail')
  })
})

describe('leaves', () => {
  const caution = (leaf: (typeof LEAVES)[number], severity: 'stop' | 'look' | 'note') => ({
    code: 'any',
    leaf,
    severity,
    say: 'any',
  })
  it('stop, want a look, or are ready, by the worst that is said of them', () => {
    const states = leafStatesOf([caution('cut', 'look'), caution('cut', 'stop'), caution('dry', 'note')], true)
    expect(states).toMatchObject({ cut: 'stop', dry: 'ready', brief: 'ready' })
    expect(leafStatesOf([caution('tiers', 'look')], true).tiers).toBe('look')
  })
  it('that show decorations are empty until there is one', () => {
    const states = leafStatesOf([caution('cut', 'stop')], false)
    expect(states.cut).toBe('empty')
    expect(states.brief).toBe('ready')
  })
})
