import { startingAccent } from '../accent'
import { roundTier, type Cake } from '../cake'
import { startingBouquet, type Bouquet, type BouquetRole } from '../compose'
import { STARTING_CUTTING } from '../cut'
import { freshBench } from '../ledger'
import { demoLedger } from './lanternRow'
import {
  gatheredIn,
  STARTING_BRIEF,
  STARTING_PALETTE,
  STARTING_TRAY,
  startingDecoration,
  type Commission,
  type Decoration,
} from '../commission'
import { disc } from '../material'
import { paperStock } from '../supply'
import { STARTING_WORKSHOP, type Workshop } from '../workshop'
import { dayOf, MINUTES_PER_DAY, momentText, weekdayOf, type Moment } from '../quantity'

const SATURDAY = 6

/** The Saturday between nine and fifteen days from a moment, at half past six in the evening. */
export function demoEvent(now: Moment): Moment {
  const earliest = dayOf(now) + 9 * MINUTES_PER_DAY
  return earliest + ((SATURDAY - weekdayOf(earliest) + 7) % 7) * MINUTES_PER_DAY + 18 * 60 + 30
}

const threeTiers: Cake = {
  board: { outline: 'round', acrossMm: 340, thicknessMm: 12 },
  tiers: [
    { ...roundTier('bottom', 260, 110), colour: '#f6efe4' },
    {
      ...roundTier('middle', 196, 150),
      shape: { kind: 'polygon', sides: 6, acrossFlatsMm: 196, cornerMm: 4 },
      covering: 'setButtercream',
      colour: '#343a63',
      chilled: true,
    },
    { ...roundTier('top', 128, 118), covering: 'ganache', colour: '#f3e4cd' },
  ],
}

/** Taller, with a scalloped tier: it stands too high for the box. */
const fourTiers: Cake = {
  board: { outline: 'round', acrossMm: 360, thicknessMm: 12 },
  tiers: [
    { ...roundTier('bottom', 280, 110), colour: '#f6efe4' },
    {
      ...roundTier('second', 220, 120),
      shape: { kind: 'scalloped', lobes: 12, marksMm: 208, cutterMm: 54 },
      colour: '#f3dfc2',
    },
    {
      ...roundTier('third', 164, 130),
      shape: { kind: 'polygon', sides: 6, acrossFlatsMm: 160, cornerMm: 4 },
      covering: 'setButtercream',
      colour: '#343a63',
      chilled: true,
    },
    { ...roundTier('top', 110, 120), covering: 'ganache', colour: '#f3e4cd', taperDeg: 4 },
  ],
}

/** Sails from the bottom's front left up to the top's right, persimmon at their heart to cream at their tail. */
function climbing({ tiers }: Cake, parameters: object = {}, composition: object = {}): Decoration {
  const base = startingDecoration('sails', 'soakedSail', tiers)
  return {
    ...base,
    parameters: { ...base.parameters, seenMm: 118, ...parameters },
    composition: {
      kind: 'sweep',
      count: null,
      fromAngleDeg: -50,
      fromHeightMm: 22,
      toAngleDeg: 62,
      toHeightMm: 338,
      overlap: 0.6,
      taper: 0.52,
      heart: 0.45,
      irregularity: 0.6,
      seed: 30,
      ...composition,
    },
    colour: { heart: '#d9572b', tail: '#f3dfc2', steps: 4 },
  } as Decoration
}

/** A torn collar at the foot, lace on the top tier, moths on the hexagon, globes on top. */
function onSides({ tiers }: Cake): readonly Decoration[] {
  const begin = (id: string, technique: Decoration['technique']): Decoration => startingDecoration(id, technique, tiers)
  const [moths, globes] = [begin('moths', 'butterfly'), begin('globes', 'foldedGlobe')]
  return [
    begin('collar', 'tornRuffle'),
    begin('lace', 'stripScroll'),
    {
      ...moths,
      cutting: { ...STARTING_CUTTING, way: 'machine', plies: 1 },
      finishes: [{ finish: 'edgeGilding', colour: '#c9a24b', share: 0.6 }],
      composition: { ...moths.composition, seed: 24 },
    } as Decoration,
    {
      ...globes,
      // No punch of that size is in the drawer.
      cutting: { ...STARTING_CUTTING, way: 'boxes' },
      parameters: { ...globes.parameters, seenMm: 36 },
      composition: { ...globes.composition, spanDeg: 200, reach: 0.62 },
    } as Decoration,
  ]
}

/** Quince blossoms with ginkgo on the first ledge, to the right of where the sails climb. */
const quince: Bouquet = {
  ...startingBouquet('quince', 3, 5),
  name: 'Quince and ginkgo',
  place: 'ledge',
  tier: 0,
  middleDeg: 44,
  spanDeg: 84,
  outMm: 46,
  highMm: 66,
  full: 0.7,
  movement: 0.35,
}

function gathered({ tiers }: Cake): readonly Decoration[] {
  const begin = (
    id: string,
    technique: Decoration['technique'],
    role: BouquetRole,
    parts: number,
    parameters: object,
  ): Decoration => ({
    ...gatheredIn('quince', id, technique, role, parts, tiers, parameters),
    cutting: { ...STARTING_CUTTING, way: 'template', plies: 1 },
  })
  return [
    begin('blossoms', 'openBloom', 'focal', 6, {
      acrossMm: 36,
      small: 3,
      smallMost: 3,
      medium: 4,
      mediumMost: 4,
      large: 5,
      largeMost: 5,
      stamens: 12,
    }),
    begin('ginkgo', 'laminatedLeaf', 'leaf', 3, { lengthMm: 96, leafMm: 28 }),
    begin('buds', 'bud', 'bud', 5, { acrossMm: 13 }),
  ]
}

/** The commission that a new studio opens with. */
export function demoCommission(now: Moment): Commission {
  return {
    id: 'quillfinch-press',
    brief: {
      ...STARTING_BRIEF,
      name: 'Quillfinch Press',
      occasion: 'Supper for its thirtieth year',
      eventAt: momentText(demoEvent(now)),
      driveMin: 40,
      completion: 'atVenue',
      venueOpensMin: 15 * 60 + 30,
      venueUnits: null,
      workroom: { airC: 21, humidity: 0.58 },
      venue: { airC: 22, humidity: 0.55 },
      transport: { airC: 18, humidity: 0.5, coolCar: true },
      box: { widthMm: 420, depthMm: 420, heightMm: 460 },
      limits: { ...STARTING_BRIEF.limits, noGelatine: true },
      portions: 70,
      notes: 'The sweep should read as pages lifting off a pile, turning paler as they go up.',
    },
    palette: STARTING_PALETTE,
    options: [
      {
        id: 'a',
        name: 'Three tiers',
        cake: threeTiers,
        decorations: [climbing(threeTiers), ...gathered(threeTiers), ...onSides(threeTiers)],
        bouquets: [quince],
        accents: [{ ...startingAccent('pearls', 'pearl', 'sails'), sizeMm: 5, perElement: 1.5 }],
        keptSheets: [],
        ownPieces: [],
        tray: { ...STARTING_TRAY },
        pins: {},
        tiersApart: 0,
      },
      {
        id: 'b',
        name: 'Four, taller',
        cake: fourTiers,
        decorations: [climbing(fourTiers, { seenMm: 124 }, { toHeightMm: 440, toAngleDeg: 70 })],
        bouquets: [],
        accents: [],
        keptSheets: [],
        ownPieces: [],
        tray: { ...STARTING_TRAY },
        pins: {},
        tiersApart: 0,
      },
    ],
    chosen: 'a',
    bench: freshBench(),
  }
}

const DEMO_DYE_ML = 30

/** The workshop of the demo: a small studio with two mats, paper and dyes, and a few things in its ledger. */
export const demoWorkshop = (now: Moment = 0): Workshop => ({
  ...STARTING_WORKSHOP,
  stock: [disc(160), disc(220), disc(280)].map((shape) => paperStock('riceFilm', shape, 10, 10)),
  dyes: STARTING_WORKSHOP.dyes.map((dye) => ({ ...dye, onHandMl: DEMO_DYE_ML })),
  ...demoLedger(now),
})
