import { existsSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { FAMILIES, lookedFor, needsOfTechnique, techniqueOf, TECHNIQUES } from '.'
import { STARTING_POINTS } from '../commission'

const found = (typed: string): readonly string[] => lookedFor(TECHNIQUES, typed).map(({ id }) => id)

describe('what goes on the cake', () => {
  it('is found by the words that people use for it', () => {
    expect(found('ribbon')).toEqual(['fabricBow'])
    expect(found('Rose')).toEqual(expect.arrayContaining(['cuppedBloom', 'bud']))
    expect(found('hydrangea')).toEqual(['floretDome'])
    expect(found('torn frill')).toEqual(['tornRuffle'])
    expect(found('lace')).toEqual(expect.arrayContaining(['stripScroll', 'castMesh']))
    expect(found('concrete')).toEqual([])
  })
  it('is all there where nothing is typed, each in one family, no family empty', () => {
    expect(found('  ')).toHaveLength(TECHNIQUES.length)
    const kept = new Set<string>(TECHNIQUES.map(({ family }) => family))
    expect([...kept].sort()).toEqual(FAMILIES.map(({ id }) => id).sort())
  })
  it('says what it needs, the paper first', () => {
    expect(needsOfTechnique(techniqueOf('panSail')).slice(0, 2)).toEqual(['thin wafer', 'a hot pan'])
    expect(needsOfTechnique(techniqueOf('puff'))).toEqual(expect.arrayContaining(['rice film', 'hot oil']))
  })
  it('has a picture each, and so has every beginning', () => {
    for (const { id } of [...TECHNIQUES, ...STARTING_POINTS])
      expect([id, existsSync(`public/pictures/${id}.webp`)]).toEqual([id, true])
  })
})
