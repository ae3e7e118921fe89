import { readFileSync } from 'node:fs'
import ICAL from 'ical.js'
import { PDFDocument } from 'pdf-lib'
import { produce } from 'immer'
import { STARTING_CUTTING, STARTING_TOOLS } from '../cut'
import { chosenOption, startingDecoration, type Commission } from '../commission'
import type { Workshop } from '../workshop'
import { freshBench } from '../ledger'
import { describe, expect, it } from 'vitest'
import {
  fileSentence,
  planSummary,
  planText,
  readCommissionFile,
  writeCalendar,
  writeCommissionFile,
  writeSvg,
} from '.'
import { commissionFileJsonSchema } from './published'
import { tilesFor, writePdf } from './pdf/drawings'
import { demoCommission, demoWorkshop } from '../demo'
import { cutSheetPicture } from '../draw'
import { derivePlan } from '../plan'
import { TECHNIQUES } from '../technique'
import { parseMoment, valueOf } from '../quantity'
import { inOneBreath } from '../schedule'

const now = valueOf(parseMoment('2026-11-24T09:00'))
const file = { commission: demoCommission(now), workshop: demoWorkshop() }
const plan = derivePlan({ ...file, now, units: 'metric' })
const text = writeCommissionFile(file)
/** A file as version 5 wrote it, on 27 November 2026. */
const five = readFileSync('core/format/files/version5.json', 'utf8')
type Content = Record<string, unknown> & {
  commission: { brief?: Record<string, unknown>; options: { cake: { board: Record<string, unknown> } }[] }
}
const changed = (change: (content: Content) => void): string => {
  const content = JSON.parse(text) as Content
  change(content)
  return JSON.stringify(content)
}

describe('a commission file', () => {
  it('round-trips exactly', () => {
    const read = valueOf(readCommissionFile(text))
    expect(read).toEqual(file)
    expect(writeCommissionFile(read)).toBe(text)
  })
  it.each([
    ['nothing', '', 'empty', 'empty'],
    ['not JSON', '{"format":', 'not-json', 'damaged'],
    ['a picture', '\u0089PNG', 'not-json', 'damaged'],
    ['another program’s file', '{"name":"cake"}', 'foreign', 'not a file of Lamellon'],
    ['a list', '[1,2]', 'foreign', 'not a file of Lamellon'],
    ['a later version', changed((content) => Object.assign(content, { version: 13 })), 'newer', 'version 12'],
    [
      'a missing brief',
      changed((content) => {
        delete content.commission.brief
      }),
      'fields',
      'commission → brief',
    ],
    [
      'a wrong number',
      changed(({ commission }) => {
        commission.options[0]!.cake.board.acrossMm = 'wide'
      }),
      'fields',
      'options → 0 → cake → board → acrossMm',
    ],
    ['an unknown field', changed((content) => Object.assign(content.commission, { extra: 1 })), 'fields', 'extra'],
    [
      'an impossible day',
      changed(({ commission }) => {
        commission.brief!.eventAt = '2026-02-31T10:00'
      }),
      'fields',
      'eventAt',
    ],
    [
      'a choice of no option',
      changed((content) => Object.assign(content.commission, { chosen: 'z' })),
      'fields',
      'chosen',
    ],
    ['too much', ' '.repeat(20_000_001) + '1', 'too-large', 'too large'],
  ])('refuses %s whole, with the reason', (_, content, code, words) => {
    const result = readCommissionFile(content)
    expect(result).toMatchObject({ ok: false, error: { code } })
    if (!result.ok) expect(fileSentence(result.error)).toContain(words)
  })
  it('of version 2 is brought up: it is cut by hand as before, nothing is locked, tools are those of a new workshop', () => {
    const older = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(older)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .filter(
                  ([name]) =>
                    ![
                      'cutting',
                      'keptSheets',
                      'ownPieces',
                      'tools',
                      'remnants',
                      'sheetEach',
                      'dyes',
                      'dyeTrials',
                    ].includes(name),
                )
                .map(([name, each]) => [name, older(each)]),
            )
          : value
    const read = readCommissionFile(JSON.stringify({ ...(older(JSON.parse(five)) as object), version: 2 }))
    if (!read.ok) throw new Error(fileSentence(read.error))
    expect(read.value.workshop).toMatchObject({ tools: STARTING_TOOLS, remnants: [], prices: { sheetEach: 0.5 } })
    for (const option of read.value.commission.options) {
      expect(option.keptSheets).toEqual([])
      for (const { cutting, technique } of option.decorations)
        if (technique !== 'soakedSail') expect(cutting).toEqual({ ...STARTING_CUTTING, way: 'boxes', sizes: 10 })
    }
  })
  it('of version 3 is brought up: what was cut and locked is cut and locked as before', () => {
    const content = JSON.parse(five) as {
      commission: { options: { paperwork: { cutting: object }[]; keptSheets: object[] }[] }
      workshop: { remnants: object[]; dyes?: unknown; dyeTrials?: unknown }
    }
    const lock = {
      paper: 'thinWafer',
      format: 'a4',
      way: 'template',
      placements: [{ part: 'a/0', x: 1, y: 2, rotationDeg: 3, mirrored: false }],
    }
    const rest = {
      id: 'rest',
      name: 'rest',
      paper: 'thinWafer',
      outline: [
        [0, 0],
        [90, 0],
        [0, 90],
      ],
      from: 'another',
    }
    for (const option of content.commission.options as ((typeof content.commission.options)[number] & {
      ownPieces?: unknown
    })[]) {
      delete option.ownPieces
      option.keptSheets = [lock]
      for (const each of option.paperwork) each.cutting = { way: 'template', plies: 3 }
    }
    content.workshop.remnants = [rest]
    delete content.workshop.dyes
    delete content.workshop.dyeTrials
    const { commission, workshop } = valueOf(readCommissionFile(JSON.stringify({ ...content, version: 3 })))
    expect(workshop.remnants).toEqual([{ ...rest, colour: null }])
    expect([workshop.dyes.length, workshop.dyeTrials]).toEqual([6, []])
    for (const { keptSheets, ownPieces, decorations } of commission.options) {
      const { format, ...kept } = lock
      expect(format).toBe('a4')
      const shape = { kind: 'rect', widthMm: 210, heightMm: 297 }
      expect([keptSheets, ownPieces]).toEqual([[{ ...kept, shape, plies: 1, colour: null }], []])
      for (const { cutting, technique } of decorations)
        if (technique !== 'soakedSail')
          expect(cutting).toEqual({ way: 'template', plies: 3, layers: 1, colouredWhole: false, sizes: 10 })
    }
  })
  it('of version 4 is brought up: nothing was done at the bench yet, nothing is logged', () => {
    const content = JSON.parse(five) as { commission: { bench?: unknown }; workshop: Record<string, unknown> }
    delete content.commission.bench
    for (const name of ['pricing', 'stock', 'pieceBoxes', 'room', 'learnFrom', 'shrinkTrials', 'dryingTrials', 'runs'])
      delete content.workshop[name]
    const { commission, workshop } = valueOf(readCommissionFile(JSON.stringify({ ...content, version: 4 })))
    expect(commission.bench).toEqual(freshBench())
    expect(workshop).toMatchObject({ runs: [], learnFrom: 3, room: 'workroom' })
    expect(workshop.stock.every(({ shelf }) => shelf === 'paper')).toBe(true)
  })
  it('of version 5 is brought up: sails stand beside the other decorations, and what is made and mixed is what it was', () => {
    const read = valueOf(readCommissionFile(five))
    const brought = derivePlan({ ...read, now: valueOf(parseMoment('2026-11-27T14:21')), units: 'metric' })
    const sails = brought.decorations.find(({ technique }) => technique === 'soakedSail')!
    const discs = brought.groups.find(({ way }) => way === 'sectors')!
    const [bath] = brought.dishes.baths
    const figure = (id: string): number => brought.tally.find((each) => each.id === id)!.working!.value
    expect([sails.count.value, sails.pieces.value, discs.sheets.value]).toEqual([11, 15, 9])
    // Strips are cut edge to edge along a ruler since, and torn from the very edge: 11 sheets where it were 13.
    expect(figure('paper')).toBe(9 + 11)
    expect([bath!.steps.length, Math.round(bath!.totalDrops.value)]).toEqual([4, 353])
    expect(bath!.startMl.value).toBeCloseTo(591.736, 3)
    expect(read.workshop.stock.filter(({ item }) => item.startsWith('sheet riceFilm disc'))).toHaveLength(3)
  })
  it('of version 7 is brought up: what dried before a fan unasked still does, sheets and trials get a thickness', () => {
    const content = JSON.parse(text) as { commission: Commission; workshop: Workshop }
    const { commission, workshop } = content
    const { tiers } = chosenOption(commission).cake
    const decorations = (['formedWrap', 'openBloom', 'soakedSail'] as const).map((technique, at) =>
      startingDecoration(`one-${at}`, technique, tiers),
    )
    for (const each of decorations) if (each.technique !== 'soakedSail') each.drying.way = 'room'
    chosenOption(commission).decorations = decorations
    const without = <Held extends object>(held: Held, ...names: readonly (keyof Held)[]): Partial<Held> =>
      Object.fromEntries(Object.entries(held).filter(([name]) => !names.includes(name as keyof Held))) as Partial<Held>
    const older = {
      ...without(workshop, 'desiccantG'),
      moulds: without(workshop.moulds, 'rack', 'dryRoom'),
      papers: workshop.papers.map((each) => without(each, 'thicknessMm')),
      dryingTrials: workshop.dryingTrials.map((each) => without(each, 'thicknessMm')),
    }
    const read = valueOf(readCommissionFile(JSON.stringify({ ...content, workshop: older, version: 7 })))
    expect(chosenOption(read.commission).decorations.map(({ drying }) => drying.way)).toEqual(['fan', 'room', 'mat'])
    expect(read.workshop).toEqual(workshop)
  })
  it('of version 8 is brought up: as many as filled it still do, in one row, and crowns overlap as they did', () => {
    const content = JSON.parse(text) as { commission: Commission; workshop: Workshop }
    const { tiers } = chosenOption(content.commission).cake
    const wanted = [
      startingDecoration('globes', 'foldedGlobe', tiers, 'crown'),
      startingDecoration('sails', 'soakedSail', tiers, 'crown'),
      startingDecoration('lace', 'stripScroll', tiers, 'band'),
      startingDecoration('moths', 'butterfly', tiers, 'sweep'),
    ]
    const older = wanted.map(({ sizes: _, composition, ...rest }) => {
      const { overlap, count, rows: __, ...own } = composition as unknown as Record<string, unknown>
      const isCrown = composition.kind === 'crown'
      return { ...rest, composition: { ...own, ...(isCrown ? { count } : { overlap }) } }
    })
    const { punchesMm: ___, ...tools } = content.workshop.tools
    const text8 = JSON.stringify({
      ...content,
      version: 8,
      workshop: { ...content.workshop, tools },
      commission: { ...content.commission, options: [{ ...chosenOption(content.commission), decorations: older }] },
    })
    const read = valueOf(readCommissionFile(text8))
    const { decorations } = chosenOption(read.commission)
    expect(decorations.map(({ composition }) => composition)).toMatchObject([
      { kind: 'crown', overlap: 0.2 },
      { kind: 'crown', overlap: 0.6 },
      { kind: 'band', count: null, rows: 1 },
      { kind: 'sweep', count: null },
    ])
    expect(decorations.map(({ sizes }) => sizes)).toEqual([[], [], [], []])
    expect(read.workshop).toEqual(content.workshop)
  })
  it('whose decoration is dried in a way that its technique does not allow is refused, and the field named', () => {
    const problem = readCommissionFile(
      changed(({ commission }) => {
        const [option] = commission.options as unknown as Commission['options']
        option!.decorations.find(({ technique }) => technique === 'openBloom')!.drying.way = 'oven'
      }),
    )
    if (problem.ok) throw new Error('It was taken.')
    expect(fileSentence(problem.error)).toMatch(/drying.*not dried in this way/)
  })
  it('of version 9 is brought up: every tier stands on the one below it, as it did', () => {
    const content = JSON.parse(text) as { commission: { options: { cake: { tiers: Record<string, unknown>[] } }[] } }
    for (const { cake } of content.commission.options) for (const tier of cake.tiers) delete tier.stands
    expect(JSON.stringify(content)).not.toContain('"stands"')
    expect(valueOf(readCommissionFile(JSON.stringify({ ...content, version: 9 }))).commission).toEqual(file.commission)
  })
  it('of version 10 is brought up: prices were guessed in euro', () => {
    const content = JSON.parse(text) as { workshop: { prices: Record<string, unknown> } }
    delete content.workshop.prices.currency
    expect(valueOf(readCommissionFile(JSON.stringify({ ...content, version: 10 }))).workshop).toEqual(file.workshop)
  })
  it('of version 11 is brought up: papers for the venue are told as the studio measures', () => {
    const content = JSON.parse(text) as { commission: { brief: Record<string, unknown> } }
    delete content.commission.brief.venueUnits
    const read = valueOf(readCommissionFile(JSON.stringify({ ...content, version: 11 })))
    expect(read.commission).toEqual(file.commission)
    expect(read.commission.brief.venueUnits).toBeNull()
  })
  it('of version 1 is brought up: its cake becomes the one option, its tiers round', () => {
    const {
      commission: {
        options: [option],
        chosen,
        brief: { name, occasion, eventAt, driveMin, completion, venueOpensMin, workroom, venue, box },
        palette,
        ...commission
      },
      workshop: { fridgeC, prices, petals, dyes, dyeTrials, ...workshop },
    } = JSON.parse(five)
    const first = {
      format: 'lamellon-commission',
      version: 1,
      workshop,
      commission: {
        ...commission,
        brief: { name, occasion, eventAt, driveMin, completion, venueOpensMin, workroom, venue, box },
        palette: palette.map(({ role, ...each }: Record<string, unknown>) => each),
        decorations: option.decorations,
        cake: {
          boardDiameterMm: 340,
          boardThicknessMm: 12,
          tiers: [{ id: 'a', diameterMm: 200, heightMm: 90, covering: 'ganache', colour: null }],
        },
      },
    }
    const { commission: read } = valueOf(readCommissionFile(JSON.stringify(first)))
    expect(read.options).toMatchObject([
      {
        cake: {
          board: { outline: 'round', acrossMm: 340, thicknessMm: 12 },
          tiers: [{ shape: { kind: 'round', acrossMm: 200 }, heightMm: 90, covering: 'ganache', taperDeg: 0 }],
        },
      },
    ])
    expect(read.brief).toMatchObject({ name, driveMin, keeping: 'roomTemperature' })
    expect(
      readCommissionFile(JSON.stringify({ ...first, commission: { ...first.commission, cake: 7 } })),
    ).toMatchObject({ ok: false, error: { code: 'fields' } })
  })
  it('has a bound for every number, and a length for every text and list', () => {
    type Node = Readonly<Record<string, unknown>>
    const MOST = 1e13
    const isBetween = (low: unknown, high: unknown): boolean =>
      typeof low === 'number' && typeof high === 'number' && low >= -MOST && high <= MOST
    const unbounded: string[] = []
    const look = (node: unknown, path: string): void => {
      if (typeof node !== 'object' || node === null) return
      const { type, minimum, exclusiveMinimum, maximum, exclusiveMaximum, ...rest } = node as Node
      const isSeed = maximum === Number.MAX_SAFE_INTEGER && type === 'integer'
      const isFixed = ['const', 'enum', 'pattern'].some((name) => name in rest)
      const isBounded =
        isFixed ||
        isSeed ||
        (((type !== 'number' && type !== 'integer') ||
          isBetween(minimum ?? exclusiveMinimum, maximum ?? exclusiveMaximum)) &&
          (type !== 'string' || 'maxLength' in rest) &&
          (type !== 'array' || 'maxItems' in rest || 'prefixItems' in rest))
      if (!isBounded) unbounded.push(path)
      for (const [name, inner] of Object.entries(node)) look(inner, `${path}/${name}`)
    }
    look(commissionFileJsonSchema(), '')
    expect(unbounded).toEqual([])
  })
  it.each([0, 99, 1899, 2200])('is refused with an event in the year %d, which is named', (year) => {
    const content = changed(({ commission }) => {
      commission.brief!.eventAt = `${String(year).padStart(4, '0')}-06-05T18:30`
    })
    expect(readCommissionFile(content)).toMatchObject({ ok: false, error: { code: 'fields' } })
  })
  it('with as many pictures as can be kept is read again', () => {
    const dataUrl = `data:image/png;base64,${'A'.repeat(600_000 - 22)}`
    const picture = (at: number) => ({ id: `p${at}`, name: 'a picture', dataUrl, widthPx: 9, heightPx: 9 })
    const full = produce(file, ({ commission }) => {
      commission.brief.photos = Array.from({ length: 8 }, (_, at) => picture(at))
      commission.bench.photos = Array.from({ length: 8 }, (_, at) => picture(at))
      commission.bench.stepPhotos = Array.from({ length: 8 }, (_, at) => ({ task: `t${at}`, photo: picture(at) }))
    })
    expect(readCommissionFile(writeCommissionFile(full)).ok).toBe(true)
  })
  it('is described by a schema that is short enough to be read, and names every technique', () => {
    const schema = JSON.stringify(commissionFileJsonSchema(), null, 2)
    expect(schema.length).toBeLessThan(250_000)
    for (const { id } of TECHNIQUES) expect(schema).toContain(`"${id}"`)
  })
})

describe('cuts on paper', () => {
  const discs = plan.groups.find(({ way }) => way === 'sectors')!
  const sheets = discs.layout.sheets.map((sheet) => cutSheetPicture(sheet, 'disc'))
  it('SVG says its size in millimetres and draws a disc at its radius', () => {
    const svg = writeSvg(sheets.slice(0, 1), 'A & B')
    expect(svg).toContain('width="280mm"')
    expect(svg).toContain('<title>A &amp; B</title>')
    expect(svg).toMatch(/A140 140 0 /)
  })
  it('PDF tiles a disc larger than the page, at true size', async () => {
    const font = new Uint8Array(readFileSync('node_modules/@fontsource/figtree/files/figtree-latin-400-normal.woff'))
    const bytes = await writePdf(sheets.slice(0, 1), 'Cuts', 'A4', { plain: font, bold: font })
    const pages = (await PDFDocument.load(bytes)).getPages()
    expect(pages).toHaveLength(tilesFor(sheets[0]!, 'A4').length)
    expect(pages[0]!.getWidth()).toBeCloseTo((210 / 25.4) * 72, 3)
  })
  it('tiles cover the whole picture and overlap', () => {
    for (const [widthMm, heightMm] of [
      [100, 100],
      [296, 322],
      [500, 900],
    ] as const) {
      const tiles = tilesFor({ widthMm, heightMm }, 'A4')
      expect(Math.max(...tiles.map(({ xMm }) => xMm + 194))).toBeGreaterThanOrEqual(widthMm)
      expect(Math.min(...tiles.map(({ yMm }) => yMm))).toBeLessThanOrEqual(0)
      expect(Math.max(...tiles.map(({ yMm }) => yMm + 281))).toBeGreaterThanOrEqual(heightMm)
    }
    expect(tilesFor({ widthMm: 194, heightMm: 281 }, 'A4')).toHaveLength(1)
    expect(tilesFor({ widthMm: 195, heightMm: 281 }, 'A4')).toHaveLength(2)
  })
})

describe('the calendar', () => {
  it('has every task by hand at its hour, with a reminder, and the event', () => {
    const slots = valueOf(plan.timetable).slots
    const calendar = new ICAL.Component(ICAL.parse(writeCalendar(slots, 'quillfinch', 'Quillfinch Press', now)))
    const events = calendar.getAllSubcomponents('vevent')
    const byHand = inOneBreath(slots).filter(({ hands }) => hands)
    expect(events).toHaveLength(byHand.length + 1)
    expect(events.filter((event) => event.getFirstSubcomponent('valarm'))).toHaveLength(byHand.length)
    expect(new Set(events.map((event) => event.getFirstPropertyValue('uid'))).size).toBe(events.length)
    const starts = events.map((event) => new ICAL.Event(event).startDate.toString().slice(0, 16)).sort()
    expect(starts).toEqual(
      [...byHand.map(({ from }) => from), slots.at(-1)!.from]
        .map((from) => new Date(from * 60000).toISOString().slice(0, 16))
        .sort(),
    )
  })
})

describe('a calendar of a commission whose name stands on several lines', () => {
  it('has no entry and no property that is not Lamellon’s', () => {
    const slots = plan.timetable.ok ? plan.timetable.value.slots : []
    const name = 'Cake\r\nEND:VEVENT\nBEGIN:VEVENT\u2028ATTACH:http://elsewhere'
    const written = writeCalendar(slots, 'id\nATTENDEE:somebody', name, now)
    const plain = writeCalendar(slots, 'id', 'Cake', now)
    const kinds = (text: string): readonly string[] =>
      text.split('\r\n').flatMap((line) => (/^[A-Z-]+[:;]/.test(line) ? [line.split(/[:;]/)[0]!] : []))
    expect(kinds(written)).toEqual(kinds(plain))
  })
})

describe('a plan in words', () => {
  it('has every figure of the tally and the timetable', () => {
    const words = planText('Quillfinch Press', plan, 'metric')
    for (const { label } of plan.tally) expect(words).toContain(label)
    expect(words).toContain('soak and drape, load 1')
    expect(words).toContain('shade 4')
  })
  it('as data has the same figures', () =>
    expect(planSummary(plan)).toMatchObject({
      tally: Object.fromEntries(
        plan.tally.flatMap(({ id, working }) => (id === 'startBy' ? [] : [[id, { value: working!.value }]])),
      ),
      baths: plan.dishes.baths.map(({ startMl }) => ({ startMl: startMl.value })),
    }))
})
