import type { GlueId } from './glue'

/** What a tier is covered with, and what that means for paper standing on it. */
export type Covering = {
  readonly id: string
  readonly name: string
  /** What fixes set paper on it, the usual first. */
  readonly glues: readonly GlueId[]
  /** Whether a foot of set film keeps its stiffness on it for hours, softens slowly, or softens in minutes. */
  readonly wetness: 'dry' | 'moist' | 'wet'
  /** Water activity at its face, from the driest to the moistest recipe. */
  readonly activity: readonly [number, number]
  /**
   * Water it passes on to paper that lies on it, g/dm² an hour for a whole step of activity, from the tightest to the
   * loosest. Guesses.
   */
  readonly passesGdm2h: readonly [number, number]
  /** Usual thickness of the finished coat, mm, and what a cubic centimetre of it weighs, g. */
  readonly thicknessMm: number
  readonly gramsPerMl: number
  /** Share of the coat that is needed on top: trimmed edges, bowl and tools. */
  readonly wasteShare: number
  /** Rolled out and laid on; others are spread, and fill what is drawn along a guide. */
  readonly rolled?: true
  /** Crumb coat under it, mm; 0 where it needs none. */
  readonly crumbCoatMm: number
  /** What a crumb coat is spread from where that is not the covering itself. */
  readonly crumbCoatOf?: 'freshButtercream'
  /** Minutes after covering until paper may go on. */
  readonly readyMin: number
  /** What to wait for, in words. */
  readonly readyWhen: string
  /** A tier is covered with it no earlier than so many minutes before the event. Usual practice. */
  readonly keepsMin: number
  /** How light lies on it: the share of a highlight, and what comb or palette knife leave. */
  readonly gloss: number
  readonly texture: 'smooth' | 'combed' | 'rough'
  /** How it looks, CSS colour, unless the user gives the tier a colour. */
  readonly colour: string
}

const DAY_MIN = 1440

export const COVERINGS = [
  {
    id: 'fondant',
    name: 'Fondant',
    glues: ['pipingGel', 'edibleGlue', 'water', 'whiteChocolate'],
    wetness: 'dry',
    activity: [0.65, 0.8],
    passesGdm2h: [0.1, 0.6],
    thicknessMm: 3.5,
    gramsPerMl: 1.4,
    wasteShare: 0.3,
    rolled: true,
    crumbCoatMm: 2,
    crumbCoatOf: 'freshButtercream',
    readyMin: 120,
    readyWhen: 'its skin is dry to the touch',
    keepsMin: 3 * DAY_MIN,
    gloss: 0.24,
    texture: 'smooth',
    colour: '#f7f1e8',
  },
  {
    id: 'ganache',
    name: 'Ganache',
    glues: ['meltedChocolate', 'pipingGel', 'whiteChocolate'],
    wetness: 'moist',
    activity: [0.78, 0.9],
    passesGdm2h: [0.08, 0.5],
    thicknessMm: 4,
    gramsPerMl: 1.15,
    wasteShare: 0.15,
    crumbCoatMm: 2,
    readyMin: 480,
    readyWhen: 'it has set firm, best overnight',
    keepsMin: 3 * DAY_MIN,
    gloss: 0.4,
    texture: 'smooth',
    colour: '#6b4634',
  },
  {
    id: 'setButtercream',
    name: 'Set buttercream',
    glues: ['buttercream', 'pipingGel', 'whiteChocolate'],
    wetness: 'moist',
    activity: [0.72, 0.86],
    passesGdm2h: [0.05, 0.4],
    thicknessMm: 6,
    gramsPerMl: 0.95,
    wasteShare: 0.15,
    crumbCoatMm: 2,
    readyMin: 60,
    readyWhen: 'it has crusted or is firm from the cold and dry again',
    keepsMin: 2 * DAY_MIN,
    gloss: 0.16,
    texture: 'combed',
    colour: '#f6ecd6',
  },
  {
    id: 'freshButtercream',
    name: 'Fresh buttercream',
    glues: ['itself', 'buttercream'],
    wetness: 'wet',
    activity: [0.8, 0.93],
    passesGdm2h: [0.3, 2],
    thicknessMm: 6,
    gramsPerMl: 0.9,
    wasteShare: 0.15,
    crumbCoatMm: 2,
    readyMin: 0,
    readyWhen: 'at once, as late as you can',
    keepsMin: DAY_MIN,
    gloss: 0.14,
    texture: 'rough',
    colour: '#faf2df',
  },
  {
    id: 'whippedCream',
    name: 'Whipped cream',
    glues: ['itself'],
    wetness: 'wet',
    activity: [0.96, 0.985],
    passesGdm2h: [2, 12],
    thicknessMm: 9,
    gramsPerMl: 0.5,
    wasteShare: 0.15,
    crumbCoatMm: 0,
    readyMin: 0,
    readyWhen: 'only at the last minute',
    keepsMin: DAY_MIN / 2,
    gloss: 0.08,
    texture: 'rough',
    colour: '#fffdf7',
  },
  {
    id: 'modellingChocolate',
    name: 'Modelling chocolate',
    glues: ['meltedChocolate', 'pipingGel', 'edibleGlue', 'whiteChocolate'],
    wetness: 'dry',
    activity: [0.5, 0.7],
    passesGdm2h: [0.01, 0.1],
    thicknessMm: 3,
    gramsPerMl: 1.3,
    wasteShare: 0.3,
    rolled: true,
    crumbCoatMm: 2,
    crumbCoatOf: 'freshButtercream',
    readyMin: 60,
    readyWhen: 'it has firmed up',
    keepsMin: 3 * DAY_MIN,
    gloss: 0.3,
    texture: 'smooth',
    colour: '#f1e3d0',
  },
  {
    id: 'dummy',
    name: 'Bare dummy',
    glues: ['pipingGel', 'edibleGlue', 'meltedChocolate', 'whiteChocolate', 'water'],
    wetness: 'dry',
    activity: [0, 0],
    passesGdm2h: [0, 0],
    thicknessMm: 0,
    gramsPerMl: 0,
    wasteShare: 0,
    crumbCoatMm: 0,
    readyMin: 0,
    readyWhen: 'at once',
    keepsMin: 14 * DAY_MIN,
    gloss: 0.05,
    texture: 'smooth',
    colour: '#fbf9f4',
  },
] as const satisfies readonly Covering[]

export type CoveringId = (typeof COVERINGS)[number]['id']

export const coveringIds = COVERINGS.map(({ id }) => id) as [CoveringId, ...CoveringId[]]

/** @throws for an id that no covering has: files are checked before they come this far */
export function coveringOf(id: CoveringId): Covering {
  const covering = COVERINGS.find((each) => each.id === id)
  if (!covering) throw new Error(`Expected a covering id of ${coveringIds.join(', ')}, got ${id}.`)
  return covering
}
