import { stockOf } from '../workshop'
import fc from 'fast-check'
import Papa from 'papaparse'
import { readFileSync } from 'node:fs'
import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { aCommission, planOf } from '../../tests/any/anyPlan'
import { demoCommission, demoWorkshop } from '../demo'
import { wrapped } from '../format/pdf/page'
import { writePapersPdf } from '../format/paperPdf'
import { paperCsv, paperText } from '../format/paperText'
import { readStockCsv, writeStockCsv } from '../format/stockCsv'
import { freshBench } from '../ledger'
import { derivePlan, needsOf, quoteOf } from '../plan'
import { valueOf } from '../quantity'
import { shoppingList, STARTING_PIECE_BOXES, STARTING_PRICES, STARTING_PRICING, type Stock } from '../supply'
import {
  checklistOf,
  clockOf,
  handoverPack,
  packingOf,
  PADDING_MM,
  placingsOf,
  quotePaper,
  repairKitOf,
  shoppingPaper,
  workPaper,
} from '.'
import { runsOf } from './placing'
import { spreadTags } from './tags'

const now = 29_000_000
const commission = demoCommission(now)
const plan = derivePlan({ commission, workshop: demoWorkshop(), now, units: 'metric' })
const about = { plan, commission, units: 'metric' } as const
const placings = placingsOf(plan, commission)
const packing = packingOf(plan, commission, STARTING_PIECE_BOXES)
const pack = handoverPack(about, placings, packing, freshBench())
const RUNS = { numRuns: 25 }

describe('the placing guide', () => {
  it.each([
    [0, '6 o’clock'],
    [90, '3 o’clock'],
    [-90, '9 o’clock'],
    [180, '12 o’clock'],
    [-180, '12 o’clock'],
    [45, 'half past 4'],
    [-15, 'half past 6'],
  ])('an angle of %d° is %s', (angle, clock) => expect(clockOf(angle)).toBe(clock))
  it('is the same clock all the way round', () =>
    fc.assert(
      fc.property(fc.double({ min: -720, max: 720, noNaN: true }), (angle) => clockOf(angle) === clockOf(angle + 360)),
    ))
  it('numbers every element of the cake once, focal before large before fill', () =>
    fc.assert(
      fc.property(aCommission, (any) => {
        const { plan: made } = planOf(any)
        const all = placingsOf(made, any)
        expect(all).toHaveLength(made.decorations.reduce((sum, { elements }) => sum + elements.length, 0))
        expect(all.map(({ number }) => number)).toEqual(all.map((_, at) => at + 1))
        const stages = all.map(({ stage }) => ['dressed', 'focal', 'large', 'fill'].indexOf(stage))
        expect(stages).toEqual([...stages].sort((one, other) => one - other))
      }),
      RUNS,
    ))
  it('puts numbers where none lies over another, all on the picture, those that lie free where they want to be', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: 0, max: 300 }), y: fc.integer({ min: 0, max: 300 }) }), {
          maxLength: 24,
        }),
        (wants) => {
          const tags = spreadTags(wants, 6, { widthMm: 300, heightMm: 300 })
          tags.forEach(({ at }, one) => {
            for (const other of tags.slice(one + 1))
              expect(Math.hypot(at.x - other.at.x, at.y - other.at.y)).toBeGreaterThan(11.5)
            expect(Math.min(at.x, at.y, 300 - at.x, 300 - at.y)).toBeGreaterThanOrEqual(6 - 1e-9)
          })
        },
      ),
    ))
  it('tells runs of numbers shortly', () => expect(runsOf([1, 2, 3, 7, 9, 10])).toBe('1–3, 7, 9–10'))
})

describe('packing', () => {
  it('lays all that does not ride on the cake into boxes, nothing over another or over the edge, layers no higher than the box', () =>
    fc.assert(
      fc.property(aCommission, (any) => {
        const { plan: made } = planOf(any)
        const { boxes, tooLarge, rides } = packingOf(made, any, STARTING_PIECE_BOXES)
        const packed = boxes.flatMap(({ layers }) => layers.flatMap(({ items }) => items)).length + tooLarge.length
        const travels =
          any.brief.completion === 'beforeDriving'
            ? 0
            : made.decorations.filter(({ skin }) => !skin).reduce((sum, { elements }) => sum + elements.length, 0)
        expect(packed).toBe(travels)
        const riding = made.decorations.filter(({ elements, skin }) => elements.length > 0 && !skin)
        if (travels === 0) for (const { name } of riding) expect(rides).toContain(name.toLowerCase())
        for (const { box, layers } of boxes) {
          expect(layers.reduce((sum, { highMm }) => sum + highMm + PADDING_MM, PADDING_MM)).toBeLessThanOrEqual(
            box.heightMm + 1e-6,
          )
          for (const { items, highMm } of layers)
            items.forEach((item, at) => {
              expect(item.highMm).toBeLessThanOrEqual(highMm)
              expect(item.xMm + item.lengthMm).toBeLessThanOrEqual(box.lengthMm - PADDING_MM + 1e-6)
              expect(item.yMm + item.widthMm).toBeLessThanOrEqual(box.widthMm - PADDING_MM + 1e-6)
              for (const other of items.slice(at + 1))
                expect(
                  item.xMm + item.lengthMm <= other.xMm ||
                    other.xMm + other.lengthMm <= item.xMm ||
                    item.yMm + item.widthMm <= other.yMm ||
                    other.yMm + other.widthMm <= item.yMm,
                ).toBe(true)
            })
        }
      }),
      RUNS,
    ))
  it('says what fits in no box, and which box is still to get', () => {
    expect(
      packingOf(plan, commission, [{ name: 'tin', count: 1, lengthMm: 90, widthMm: 80, heightMm: 60 }]).tooLarge.length,
    ).toBeGreaterThan(0)
    expect(
      packingOf(
        plan,
        commission,
        STARTING_PIECE_BOXES.map((box) => ({ ...box, count: 0 })),
      ).boxes.every(({ missing }) => missing),
    ).toBe(true)
  })
  it('takes spares along to mend with', () =>
    expect(
      repairKitOf(plan, commission)
        .map(({ name }) => name)
        .join(),
    ).toMatch(/spare pieces, soaked sail.*glue/))
})

describe('the pack', () => {
  const font = new Uint8Array(readFileSync('node_modules/@fontsource/figtree/files/figtree-latin-400-normal.woff'))
  it('has a paper for everything that is handed over', () =>
    expect(pack.map(({ id }) => id)).toEqual([
      'placing',
      'packing',
      'checklist',
      'removal',
      'care',
      'cautions',
      'signOff',
    ]))
  it('as pages: each paper begins one, none is empty', async () => {
    const bytes = await writePapersPdf(pack, 'Quillfinch Press', 'A4', { plain: font, bold: font })
    const pages = (await PDFDocument.load(bytes)).getPages()
    expect(pages.length).toBeGreaterThanOrEqual(pack.length)
    expect(pages[0]!.getWidth()).toBeCloseTo((210 / 25.4) * 72, 3)
    expect(bytes.length).toBeGreaterThan(20_000)
  })
  it('as text and as a table says every number of the removal list', () => {
    const removal = pack.find(({ id }) => id === 'removal')!
    for (const { name, count, stays } of plan.careCard.remove) {
      if (!stays) continue
      expect(paperText(removal)).toMatch(new RegExp(`\\[ \\]\\s+${count}\\s+${name}`))
      expect(paperCsv(removal)).toContain(`${count},${name}`)
    }
  })
  it('lists for the client what is still in: counted in less counted out, and before that what is to stay', () => {
    const [first, second, ...rest] = plan.inedible.filter(({ stays }) => stays)
    const wentIn = { [first!.id]: 5, [second!.id]: 3 }
    const bench = { ...freshBench(), wentIn, cameOut: { [first!.id]: 5, [second!.id]: 1 } }
    const [, table] = handoverPack(about, placings, packing, bench).find(({ id }) => id === 'removal')!.blocks
    expect(table).toMatchObject({
      kind: 'table',
      rows: [
        ['2', second!.name, second!.where],
        ...rest.map(({ count, name, where }) => [String(count.value), name, where]),
      ],
    })
  })
  it('leaves what holds a piece while it sets to the bench, where it is counted out', () => {
    const picks = plan.inedible.filter(({ stays }) => !stays)
    expect(picks.length).toBeGreaterThan(0)
    const steps = workPaper(about, [])
    for (const { count, name } of picks) expect(paperCsv(steps)).toContain(`${count.value},${name}`)
    expect(paperText(workPaper({ ...about, plan: { ...plan, inedible: [] } }, []))).not.toContain('Out before')
  })
  it('tells of paint and dust on the care card, and has no empty table', () => {
    const gilded = plan.decorations.filter(({ finishes, elements }) => finishes.length > 0 && elements.length > 0)
    expect(gilded.length).toBeGreaterThan(0)
    for (const { finishes, called } of gilded)
      for (const { name } of finishes)
        expect(plan.careCard.eat.find((line) => line.startsWith(`${name} on the`))).toContain(called)
    fc.assert(
      fc.property(aCommission, (any) => {
        const planned = planOf(any)
        const of = { plan: planned.plan, commission: planned.commission, units: 'metric' } as const
        const papers = handoverPack(
          of,
          placingsOf(planned.plan, planned.commission),
          packingOf(planned.plan, planned.commission, STARTING_PIECE_BOXES),
          freshBench(),
        )
        for (const { id, blocks } of papers)
          for (const block of blocks) if (block.kind === 'table') expect(block.rows.length, id).toBeGreaterThan(0)
      }),
      RUNS,
    )
  })
  it('breaks lines between words, no wider than asked, and loses none', () =>
    fc.assert(
      fc.property(
        fc.array(fc.string({ unit: fc.constantFrom(...'abcdef'), minLength: 1, maxLength: 14 }), { maxLength: 30 }),
        fc.integer({ min: 20, max: 200 }),
        (words, width) => {
          const measure = { widthOfTextAtSize: (text: string): number => text.length * 5 }
          const lines = wrapped(words.join(' '), width, 10, measure)
          expect(lines.join('').replaceAll(' ', '')).toBe(words.join(''))
          for (const line of lines)
            if (line.length > 1) expect(measure.widthOfTextAtSize(line)).toBeLessThanOrEqual(width)
        },
      ),
    ))
  it('lists hours in their order, from packing to hand-over', () => {
    const hours = checklistOf(about).flatMap(({ at }) => (at === null ? [] : [at]))
    expect(hours[0]).toBeLessThan(hours.at(-1)!)
    expect(checklistOf(about).map(({ id }) => id)).toContain('counted-in')
  })
  it('in inches names no millimetres', () =>
    expect(
      handoverPack({ ...about, units: 'imperial' }, placings, packing, freshBench())
        .filter(({ id }) => id === 'placing' || id === 'packing')
        .map(paperText)
        .join(),
    ).not.toMatch(/\d mm/))
})

describe('shopping and quote on paper', () => {
  const shopping = shoppingList(needsOf(plan, commission, STARTING_PRICES, packing.boxes.length), (item) =>
    stockOf(demoWorkshop(), item),
  )
  it('names every pack to buy once, by shelf', () => {
    const text = paperText(shoppingPaper(about, shopping))
    for (const { need, packs } of shopping) expect(text.includes(need.name)).toBe(packs.value > 0)
  })
  it('asks the client for the whole price and shows no hours', () => {
    const text = paperText(quotePaper(about, quoteOf(plan, shopping, STARTING_PRICES, STARTING_PRICING)))
    expect(text).toContain(quoteOf(plan, shopping, STARTING_PRICES, STARTING_PRICING).price.value.toFixed(2))
    expect(text).not.toMatch(/margin|overhead| h \d/)
  })
})

describe('stock as a table', () => {
  const aStock: fc.Arbitrary<Stock> = fc.record({
    item: fc.uuid(),
    name: fc.string({ minLength: 1, maxLength: 20 }).map((name) => name.trim() || 'thing'),
    shelf: fc.constantFrom('paper', 'wire', 'accent'),
    kind: fc.constantFrom('count', 'volume', 'mass', 'length'),
    onHand: fc.integer({ min: 0, max: 900 }),
    pack: fc.integer({ min: 1, max: 500 }),
    packPrice: fc.option(fc.integer({ min: 0, max: 90 })),
  })
  it('comes back as it went out', () =>
    fc.assert(
      fc.property(fc.uniqueArray(aStock, { minLength: 1, maxLength: 8, selector: ({ item }) => item }), (stock) => {
        const written = writeStockCsv(stock)
        expect(valueOf(readStockCsv(written))).toEqual(stock)
        // No cell is worked out by the spreadsheet that opens it.
        for (const cell of Papa.parse<string[]>(written).data.flat())
          if (/^[=+@\t\r-]/.test(cell)) expect(Number(cell)).not.toBeNaN()
      }),
    ))
  it.each([
    ['item,name\na,b', 1, /shelf/],
    ['item,name,shelf,kind,onHand,pack,packPrice\na,b,attic,count,1,1,', 2, /shelf/],
    ['item,name,shelf,kind,onHand,pack,packPrice\na,b,wire,count,many,1,', 2, /onHand/],
    ['item,name,shelf,kind,onHand,pack,packPrice\na,b,wire,count,1,1,\na,b,wire,count,1,1,', 3, /twice/],
    ['item,name,name,shelf,kind,onHand,pack\na,b,c,wire,count,1,1', 1, /“name” twice/],
  ])('refuses %j whole, with the line', (text, line, say) => {
    const read = readStockCsv(text)
    expect(read).toMatchObject({ ok: false, error: { line } })
    if (!read.ok) expect(read.error.say).toMatch(say)
  })
  it('takes semicolons and decimal commas', () =>
    expect(
      valueOf(readStockCsv('item;name;shelf;kind;onHand;pack;packPrice\ntape;tape;wire;length;1200,5;27000;3,20')),
    ).toMatchObject([{ onHand: 1200.5, packPrice: 3.2 }]))
})
