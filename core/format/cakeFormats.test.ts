import { choosing } from '../commission'
import { readFileSync } from 'node:fs'
import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { planSummary, planText, writeSvg } from '.'
import { tilesFor, writePdf } from './pdf/drawings'
import { scallopGuide, type Scalloped } from '../cake'
import { demoCommission, demoWorkshop } from '../demo'
import { guideSheet } from '../draw'
import { derivePlan } from '../plan'

const shape: Scalloped = { kind: 'scalloped', lobes: 12, marksMm: 240, cutterMm: 66 }
const guide = guideSheet(scallopGuide(shape), 'tier 2, lower card')
const planFor = (option: string) =>
  derivePlan({ commission: choosing(demoCommission(0), option), workshop: demoWorkshop(), now: 0, units: 'metric' })

describe('card guides on paper', () => {
  it('are as large in millimetres as they are drawn', () => {
    const svg = writeSvg([guide], 'guides')
    expect(svg).toContain(`width="${Math.round(guide.widthMm * 1000) / 1000}mm"`)
    expect(svg).toContain('tier 2, lower card')
  })

  it('keep arcs as arcs, one for each lobe', () => {
    const wide = guideSheet(scallopGuide({ ...shape, cutterMm: 80 }), 'wide')
    const arcs = writeSvg([wide], 'guides').match(/A40 40 0 /g) ?? []
    expect(arcs).toHaveLength(12)
  })

  it('go over several pages when larger than the paper, and over one when not', async () => {
    const font = new Uint8Array(readFileSync('node_modules/@fontsource/figtree/files/figtree-latin-400-normal.woff'))
    const fonts = { plain: font, bold: font }
    expect(tilesFor(guide, 'A4').length).toBeGreaterThan(1)
    const large = await PDFDocument.load(await writePdf([guide, guide], 'guides', 'A4', fonts))
    expect(large.getPageCount()).toBe(2 * tilesFor(guide, 'A4').length)
    const small = guideSheet(scallopGuide({ ...shape, marksMm: 90, cutterMm: 26 }), 'small')
    const one = await PDFDocument.load(await writePdf([small], 'guides', 'A4', fonts))
    expect(one.getPageCount()).toBe(1)
  })
})

describe('a plan for reading elsewhere', () => {
  it('tells of tiers, decorations and the finished size as plain data', () => {
    const summary = JSON.parse(JSON.stringify(planSummary(planFor('a')))) as {
      finishedMm: { high: number }
      tiers: { perimeterMm: number; coveringG: number; supports: { count: number }[] }[]
      decorations: { technique: string; pieces: number; classes: { widthMm: number }[] }[]
    }
    expect(summary.finishedMm.high).toBeGreaterThan(380)
    expect(summary.tiers.map(({ perimeterMm }) => Math.round(perimeterMm))).toEqual([817, 676, 402])
    expect(summary.tiers[0]!.supports[0]!.count).toBeGreaterThan(2)
    expect(summary.decorations.map(({ technique }) => technique)).toEqual([
      'soakedSail',
      'openBloom',
      'laminatedLeaf',
      'bud',
      'tornRuffle',
      'stripScroll',
      'butterfly',
      'foldedGlobe',
    ])
    summary.decorations.forEach(({ classes }) => classes.forEach(({ widthMm }) => expect(widthMm).toBeGreaterThan(0)))
  })

  it('says in words how large it is, and what does not fit', () => {
    expect(planText('Quillfinch Press', planFor('a'), 'metric')).toMatch(
      /finished: 365 mm wide, 340 mm deep, \d+ mm high with board/,
    )
    expect(planText('Quillfinch Press', planFor('b'), 'metric')).toContain('does not fit the box standing')
  })

  it('has no number that is none, in either system', () => {
    for (const units of ['metric', 'imperial'] as const) {
      for (const option of ['a', 'b']) {
        expect(planText('x', planFor(option), units)).not.toMatch(/NaN|undefined|Infinity/)
        expect(JSON.stringify(planSummary(planFor(option)))).not.toMatch(/NaN|undefined|Infinity/)
      }
    }
  })
})
