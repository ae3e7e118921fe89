import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { LEAF_TABS } from '~/components/leaves'
import { GUIDE, pageFor } from './guide'

const files = readdirSync('docs/guide')

describe('the guide', () => {
  it('has ten pages in the order of the work, each with its picture', () => {
    expect(files).toHaveLength(10)
    expect(GUIDE.map(({ id }) => id)).toEqual([
      'first-cake',
      'arrange',
      'cut',
      'tint',
      'dry',
      'timetable',
      'supply',
      'make',
      'deliver',
      'learn',
    ])
    for (const { html, title } of GUIDE) {
      expect(title.length).toBeGreaterThan(5)
      expect(html).toMatch(/<img src="[^"]+\.png[^"]*" alt="[^"]+"/)
      expect(html).not.toContain('undefined')
    }
  })
  it('is short: none is longer than a look, and pictures are those of the project', () => {
    for (const file of files) {
      const text = readFileSync(`docs/guide/${file}`, 'utf8')
      expect(text.split(/\s+/).length).toBeLessThan(230)
      for (const [, picture] of text.matchAll(/\]\(([^)]+\.png)\)/g))
        expect(readFileSync(`docs/guide/${picture}`).length).toBeGreaterThan(1000)
    }
  })
  it('opens at a page for every leaf', () => {
    for (const { leaf } of LEAF_TABS) expect(GUIDE.map(({ id }) => id)).toContain(pageFor(`/${leaf}`))
  })
})
