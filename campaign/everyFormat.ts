/** What is done with a commission that was accepted: planned, drawn, and written to everything that leaves the app. */
import { readFileSync } from 'node:fs'
import { guideSheet, cutSheetPicture, standSolids } from '../core/draw'
import { scallopGuide } from '../core/cake'
import { chosenOption, type Commission } from '../core/commission'
import {
  checklistOf,
  handoverPack,
  packingOf,
  placingsOf,
  quotePaper,
  reviewPaper,
  shoppingPaper,
  workPaper,
} from '../core/deliver'
import { planSummary, planText, readCommissionFile, writeCalendar, writeCommissionFile, writeSvg } from '../core/format'
import type { CommissionFile } from '../core/format/commissionFile'
import { writeDxf, writePlotter } from '../core/format/cuts'
import { writePapersPdf } from '../core/format/paperPdf'
import { paperCsv, paperText } from '../core/format/paperText'
import { PALETTE_FORMATS, writePalette } from '../core/format/palette'
import { writePdf } from '../core/format/pdf/drawings'
import { readStockCsv, writeStockCsv } from '../core/format/stockCsv'
import { reviewOf, stepCards } from '../core/make'
import { createPlanner, needsOf, quoteOf, sceneOf, type Plan } from '../core/plan'
import { shoppingList } from '../core/supply'
import { stockOf, type Workshop } from '../core/workshop'

/** Something came of it that must not: a number that is none, a text that cannot be read again. */
export class NotSound extends Error {}

const NOW = 29_000_000
const planner = createPlanner()
const font = new Uint8Array(
  readFileSync(new URL('../node_modules/@fontsource/figtree/files/figtree-latin-400-normal.woff', import.meta.url)),
)
const fonts = { plain: font, bold: font }

/** Where a value holds a number that is none; what stands in several places is looked at once. */
function oddNumber(value: unknown, path: string, seen: WeakSet<object>): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : `${path} is ${value}`
  if (typeof value !== 'object' || value === null || seen.has(value)) return null
  seen.add(value)
  const entries = value instanceof Map ? [...value.entries()] : Object.entries(value)
  for (const [name, inner] of entries) {
    const odd = oddNumber(inner, `${path}.${String(name)}`, seen)
    if (odd !== null) return odd
  }
  return null
}

const ODD_WORDS = /\b(NaN|Infinity|undefined)\b|\[object Object\]/
const AROUND = 40
/** What the commission itself says is no fault of what is made of it. */
let isSaidByItself = false

function mustBeSound(what: string, value: unknown): void {
  const odd = oddNumber(value, what, new WeakSet())
  if (odd !== null) throw new NotSound(odd)
  const found = typeof value === 'string' && !isSaidByItself ? ODD_WORDS.exec(value) : null
  if (found)
    throw new NotSound(`${what} says “${found.input.slice(Math.max(0, found.index - AROUND), found.index + AROUND)}”`)
}

/** Drawn and cut: solids, sheets, card guides. */
function draw(plan: Plan, commission: Commission): void {
  for (const { parts } of standSolids(sceneOf(chosenOption(commission), plan)))
    for (const part of parts) mustBeSound('a solid', part)
  for (const { layout, paper } of plan.groups) {
    const pictures = layout.sheets.slice(0, 3).map((sheet) => cutSheetPicture(sheet, paper))
    mustBeSound('a drawing of sheets', writeSvg(pictures, 'sheets'))
    mustBeSound('a drawing for machines', writeDxf(layout.sheets.slice(0, 3), { widthMm: 300, heightMm: 300 }))
    for (const sheet of layout.sheets.slice(0, 1)) mustBeSound('a plotter’s file', writePlotter(sheet, 1))
  }
  for (const { shape } of chosenOption(commission).cake.tiers)
    if (shape.kind === 'scalloped')
      mustBeSound('a guide', writeSvg([guideSheet(scallopGuide(shape), 'guide')], 'guide'))
}

/** Every paper of a plan, as text, as a table and as pages. */
async function writePapers(plan: Plan, commission: Commission, workshop: Workshop): Promise<void> {
  const about = { plan, commission, units: 'metric' } as const
  const packing = packingOf(plan, commission, workshop.pieceBoxes)
  const needs = needsOf(plan, commission, workshop.prices, packing.boxes.length)
  const shopping = shoppingList(needs, (item) => stockOf(workshop, item))
  const review = reviewOf(plan, commission.bench, workshop.runs, NOW)
  const papers = [
    ...handoverPack(about, placingsOf(plan, commission), packing, commission.bench),
    workPaper(about, stepCards(about)),
    shoppingPaper(about, shopping),
    quotePaper(about, quoteOf(plan, shopping, workshop.prices, workshop.pricing)),
    ...(review ? [reviewPaper(about, review)] : []),
  ]
  for (const paper of papers) {
    mustBeSound(paper.id, paperText(paper))
    mustBeSound(paper.id, paperCsv(paper))
  }
  mustBeSound('the checklist', checklistOf(about))
  await writePapersPdf(papers, 'papers', 'A4', fonts)
}

/**
 * Plans, draws and writes a commission.
 * @param withPages whether pages to print are made too, which takes longest
 * @param planned called once the plan is there
 * @throws NotSound, or whatever went wrong
 */
export async function useCommission(
  { commission, workshop }: CommissionFile,
  withPages: boolean,
  planned: () => void,
): Promise<void> {
  isSaidByItself = ODD_WORDS.test(JSON.stringify([commission, workshop]))
  const plan = planner({ commission, workshop, now: NOW, units: 'metric', walks: 1 })
  planned()
  mustBeSound('the plan', plan)
  mustBeSound('the summary', planSummary(plan))
  for (const units of ['metric', 'imperial'] as const)
    mustBeSound('the text', planText(commission.brief.name, plan, units))
  draw(plan, commission)
  const text = writeCommissionFile({ commission, workshop })
  const again = readCommissionFile(text)
  if (!again.ok || writeCommissionFile(again.value) !== text) throw new NotSound('it is not read as it was written')
  if (plan.timetable.ok) {
    const calendar = writeCalendar(plan.timetable.value.slots, commission.id, commission.brief.name, NOW)
    mustBeSound('the calendar', calendar)
  }
  for (const format of PALETTE_FORMATS) writePalette(commission.brief.name, commission.palette, format)
  const stock = readStockCsv(writeStockCsv(workshop.stock))
  if (!stock.ok) throw new NotSound(`stock is not read as it was written: ${stock.error.say}`)
  if (!withPages) return
  await writePapers(plan, commission, workshop)
  const [first] = plan.groups
  const [sheet] = first?.layout.sheets ?? []
  if (sheet) await writePdf([cutSheetPicture(sheet, 'sheet')], 'sheets', 'A4', fonts)
}
