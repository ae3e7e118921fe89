import { describe, expect, it } from 'vitest'
import { careCard, judge, type Facts } from '.'

const fine: Facts = {
  now: 0,
  eventAt: 20000,
  units: 'metric',
  clearanceMm: { wide: 10, deep: 10, high: 10 },
  neededBoxMm: { wide: 400, deep: 400, high: 450 },
  boxShift: null,
  tiers: 3,
  unfitPapers: [],
  unwantedIngredients: [],
  strayAccents: [],
  forShow: [],
  showOnEaten: [],
  largerThanSheet: [],
  notPlaced: [],
  fewerFit: [],
  narrowLedge: null,
  overhang: null,
  boardTooSmall: false,
  lobesApart: [],
  leansTooFar: [],
  tall: false,
  chilled: null,
  keeping: 'roomTemperature',
  coolCar: false,
  roadMin: 40,
  softens: null,
  dairyCoverings: [],
  aboveTop: [],
  shortReach: [],
  noSheets: [],
  feetOnWet: [],
  feetOnMoist: [],
  sheetsShort: [],
  outOfReach: [],
  notMixed: [],
  unsuitedColours: [],
  bathDays: 1,
  tooBigForFormer: 0,
  former: 'mat',
  inOven: false,
  roomHumidity: 0.45,
  isSoaked: true,
  isColoured: true,
  isCut: true,
  setting: { chance: 0.99, atAll: true },
  paperNeverDry: [],
  laidTooEarly: [],
  venueHumidity: 0.5,
  timetableProblem: null,
  startBy: 10000,
  unsure: null,
  atVenueBy: 19000,
  venueOpensAt: 18900,
}
const codes = (change: Partial<Facts>, severity?: string) =>
  judge({ ...fine, ...change })
    .filter((caution) => (severity === undefined ? caution.severity !== 'note' : caution.severity === severity))
    .map(({ code }) => code)

describe('judging a plan', () => {
  it('finds nothing to look at where all is well, and still says how to be safe', () => {
    expect(codes({})).toEqual([])
    expect(codes({}, 'note')).toEqual(expect.arrayContaining(['sticky', 'blade', 'food-colour']))
  })
  it.each<[string, Partial<Facts>]>([
    ['start-passed', { startBy: -1 }],
    ['start-soon', { startBy: 600 }],
    ['unsure', { unsure: { chance: 0.7, wanted: 0.9, help: ['a second pair of hands'] } }],
    ['no-timetable', { timetableProblem: 'none', startBy: null }],
    ['venue-closed', { atVenueBy: 18000 }],
    ['box-too-small', { clearanceMm: { wide: 10, deep: 10, high: -3 } }],
    ['show-on-eaten', { showOnEaten: ['toppers'] }],
    ['overhang', { overhang: { tier: 2, byMm: 12 } }],
    ['narrow-ledge', { narrowLedge: { bouquet: 'Orchard', mm: 6 } }],
    ['board', { boardTooSmall: true }],
    ['sweep-above', { aboveTop: [{ id: 'a', name: 'sail', byMm: 12 }] }],
    ['no-sheets', { noSheets: ['rice film'] }],
    ['short-reach', { shortReach: [{ id: 'a', called: 'sails', count: 2, byMm: 9 }] }],
    ['sheets-short', { sheetsShort: [{ name: 'rice film, 220 mm disc', missing: 3 }] }],
    ['colour-miss', { outOfReach: ['soaked sail'] }],
    ['colour-stops', { unsuitedColours: [{ id: 'a', name: 'Moths', severity: 'stop', say: 'It spits.' }] }],
    ['colour-unsuited', { unsuitedColours: [{ id: 'a', name: 'Moths', severity: 'look', say: 'It sinks.' }] }],
    ['bath-life', { bathDays: 4 }],
    ['former-too-small', { tooBigForFormer: 1 }],
    ['never-sets', { setting: { chance: 0.1, atAll: false }, roomHumidity: 0.75 }],
    ['slow-set', { setting: { chance: 0.8, atAll: true } }],
    ['paper-never-dry', { paperNeverDry: ['pan sail'] }],
    ['softens-in-room', { inOven: true, roomHumidity: 0.75 }],
    ['venue-softens', { softens: { names: ['soaked sail'], roadMin: null, venueMin: 100 } }],
    ['laid-too-early', { laidTooEarly: [{ id: 'a', name: 'torn ruffle', covering: 'whipped cream', from: 600 }] }],
    ['feet-wet', { feetOnWet: ['whipped cream'] }],
    ['lobes-apart', { lobesApart: [2] }],
    ['leans-too-far', { leansTooFar: [1] }],
    ['tall', { tall: true }],
    ['dairy', { dairyCoverings: ['ganache'] }],
    ['event-past', { eventAt: -10 }],
    ['road-softens', { softens: { names: ['soaked sail'], roadMin: 30, venueMin: null } }],
    ['unfit-paper', { unfitPapers: [{ id: 'a', because: 'Rice film does not tear.' }] }],
    ['unwanted-ingredient', { unwantedIngredients: [{ id: 'a', name: 'fabric bow', ingredients: ['gelatine'] }] }],
    ['stray-accents', { strayAccents: ['pearls'] }],
    ['not-placed', { notPlaced: [{ id: 'a', name: 'butterfly' }] }],
    ['fewer-fit', { fewerFit: [{ id: 'a', name: 'Folded globe', asked: 4, fit: 3, ways: ['move them to the rim'] }] }],
    ['larger-than-sheet', { largerThanSheet: [{ name: 'torn ruffle', why: 'A strip is larger than the sheet.' }] }],
    ['never-warm', { chilled: { tiers: [1], warmMin: null, dewGdm2: 0.4, dewC: 21 }, coolCar: true }],
    [
      'dew-on-paper',
      { chilled: { tiers: [1], warmMin: 90, dewGdm2: 0.4, dewC: 14 }, keeping: 'chilledSealed', coolCar: true },
    ],
    ['warm-car', { chilled: { tiers: [1], warmMin: 90, dewGdm2: 0.1, dewC: 12 } }],
  ])('says %s and nothing else', (code, change) => expect(codes(change)).toEqual([code]))
  it('names numbers and what to do', () => {
    expect(judge({ ...fine, clearanceMm: { wide: 10, deep: 10, high: -3 } })[0]).toMatchObject({
      severity: 'stop',
      leaf: 'tiers',
      say: expect.stringContaining('400 mm × 400 mm × 450 mm'),
    })
    expect(judge({ ...fine, sheetsShort: [{ name: 'rice film, 220 mm disc', missing: 3 }] })[0]!.say).toContain(
      '3 more of rice film, 220 mm disc',
    )
    expect(
      judge({ ...fine, shortReach: [{ id: 'a', called: 'sails', count: 1, byMm: 25.4 }], units: 'imperial' })[0]!.say,
    ).toContain('1 in')
  })
  it('tells of paper last where a tier is chilled, and of the risk where it is kept chilled', () => {
    const chilled = { tiers: [2], warmMin: 95, dewGdm2: 0.3, dewC: 12.6 }
    expect(judge({ ...fine, chilled, coolCar: true }).find(({ code }) => code === 'paper-last')!.say).toContain(
      '1 h 35',
    )
    expect(
      judge({ ...fine, chilled, keeping: 'chilledSealed', coolCar: true }).find(({ code }) => code === 'dew-on-paper')!
        .say,
    ).toContain('0.30 g/dm²')
    expect(codes({ chilled: { ...chilled, dewGdm2: 0.1 }, keeping: 'chilledSealed', coolCar: true })).toEqual([])
  })
  it('names what is for show only', () =>
    expect(judge({ ...fine, forShow: ['toppers'] }).find(({ code }) => code === 'for-show')!.say).toContain('toppers'))
  it('puts what stops the plan first', () =>
    expect(
      judge({ ...fine, startBy: -1, bathDays: 5 })
        .map(({ severity }) => severity)
        .slice(0, 2),
    ).toEqual(['stop', 'look']))
  it('speaks of soaking, colour and blades only where there are any', () => {
    const without = codes({ isSoaked: false, isColoured: false, isCut: false, setting: null }, 'note')
    for (const code of ['sticky', 'warm-water', 'blade', 'food-colour']) expect(without).not.toContain(code)
  })
  it('warns of hot trays only where there are any', () => {
    expect(codes({}, 'note')).not.toContain('hot-oven')
    expect(codes({ inOven: true }, 'note')).toContain('hot-oven')
  })
})

describe('the care card', () => {
  const card = careCard({
    decorations: [
      { name: 'soaked sail', called: 'sails', count: 11, isFilm: true, isWired: false },
      { name: 'strip scroll', called: 'scrolls', count: 10, isFilm: false, isWired: false },
      { name: 'open bloom', called: 'blooms', count: 6, isFilm: false, isWired: true },
    ],
    glues: ['piping gel'],
    venueHumidity: 0.8,
    venueSoftMin: 100,
    inedible: [
      { id: 'skewers', name: 'wooden skewers', count: 11, where: 'one in the foot of each sail', stays: true },
    ],
    accents: [
      { many: 'pearls', count: 18, edible: true },
      { many: 'toppers', count: 1, edible: false },
    ],
    dummyTiers: ['Tier 1 from the bottom'],
    finishes: [{ name: 'Gilded edges', on: ['globes', 'moths'] }],
  })
  it('tells of paint and dust, and that its label comes first', () =>
    expect(card.eat.find((line) => line.startsWith('Gilded edges'))).toMatch(/globes, moths.*label/))
  it('lists all that was put in and is not food', () =>
    expect(card.remove).toMatchObject([{ name: 'wooden skewers', count: 11, where: 'one in the foot of each sail' }]))
  it('never has anything on wires cut through: off whole before, other paper as it is', () => {
    expect(card.eat.find((line) => line.includes('open bloom'))).toMatch(/^On wires.*whole.*before cutting/)
    expect(card.eat.find((line) => line.includes('Cut through'))).toBe(
      'Edible paper: strip scroll. Cut through it, or lift it off.',
    )
  })
  it('tells accents that are eaten from those for show', () => expect(card.eat.join(' ')).toMatch(/18 pearls/))
  it('calls its hours an estimate and names dummies and labels', () => {
    expect(card.keep[0]).toMatch(/1 h 40.*estimate/)
    expect(card.eat.join(' ')).toContain('Tier 1 from the bottom is a dummy')
    expect(card.ask.join(' ')).toMatch(/labels/)
  })
})
