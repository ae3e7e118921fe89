/** Hands-on work with its amounts: what the steps of the technique come to for this job. */
import type { Learned } from '../learn'
import type { CutList, Piece } from '../piece'
import { derive, found, sumOf, type Working } from '../quantity'
import type { FormerLoad } from './formerLoads'
import { paceWorking, type Pace } from './pace'

/**
 * Where the work on the cake is done: in the workshop before driving, at the venue, or by somebody else from a box
 * handed over.
 */
export const COMPLETIONS = ['beforeDriving', 'atVenue', 'handedOver'] as const
export type Completion = (typeof COMPLETIONS)[number]

/** One former's load as work: hands at the beginning, hands at the end. */
type LoadWork = { readonly load: FormerLoad; readonly drape: Working; readonly lift: Working }

/** A step of making a decoration: hands, then a rest; what it lies in meanwhile, and how many of them. */
export type MakingStep = {
  readonly id: string
  readonly name: string
  readonly hands: Working
  readonly rest: Working
  readonly hold: { readonly resource: string; readonly name: string; readonly units: number } | null
  readonly onTheCake: boolean
}

/** Making a decoration, step after step. `place` is what setting it on the cake takes. */
export type Making = {
  readonly id: string
  readonly name: string
  readonly hands: Working
  readonly place: Working
  readonly steps: readonly MakingStep[]
  readonly again: readonly MadeAgain[]
  readonly goesOff: boolean
}

/**
 * Pieces of a decoration made again in place of broken ones: all steps of making them, and the longest rest among
 * these.
 */
export type MadeAgain = { readonly id: string; readonly name: string; readonly hands: Working; readonly rest: Working }

export type Work = {
  readonly cut: Working
  readonly loads: readonly LoadWork[]
  readonly choose: Working
  readonly pack: Working
  readonly place: Working
  readonly loadCar: Working
  readonly cover: Working
  readonly stack: Working
  readonly photograph: Working
  /** Decorations made from sheets: their hands, and how long they rest before they are ready. */
  readonly making: readonly Making[]
  readonly total: Working
}

const count = (label: string, value: number, from: Working): Working =>
  derive(label, 'count', 'of the cut list', 'of {from}', { from }, () => value)

const each = (label: string, amount: Working, pace: Working): Working =>
  derive(label, 'duration', 'hands-on time', '{amount} × {pace}', { amount, pace }, (v) => v.amount * v.pace)

const NO_TIERS = found('tiers', 0, 'count', 'none to cover')
const NO_TIME = found('place', 0, 'duration', 'left to whoever receives the box')

/**
 * Minutes of work for a job.
 * @param sails how many elements go on the cake
 * @param soak minutes a piece must soak: a slow soak holds up the hands
 * @param making decorations made from sheets besides
 * @param tiers tiers to cover and stack here
 * @param hands how long these hands take, where it was timed often enough
 */
export function workFor(
  cutList: CutList,
  loads: readonly FormerLoad[],
  sails: Working,
  soak: Working,
  completion: Completion,
  pace: Pace,
  making: readonly Making[] = [],
  tiers: Working = NO_TIERS,
  hands: Learned['hands'] = {},
): Work {
  const of = (key: keyof Pace): Working => paceWorking(pace, key, hands)
  const total = cutList.total
  const dosed = new Set<Piece['shade']>()
  const loadWork = loads.map((load): LoadWork => {
    const newShades = [...new Set(load.laid.map(({ piece }) => piece.shade))].filter((shade) => !dosed.has(shade))
    newShades.forEach((shade) => dosed.add(shade))
    const pieces = count(`pieces in load ${load.number}`, load.laid.length, total)
    const draped = derive(
      `soak and drape load ${load.number}`,
      'duration',
      'hands-on time',
      '{pieces} × longer of {drape} and {soak} + {doses} × {dose}',
      { pieces, drape: of('drapeMin'), soak, doses: count('doses', newShades.length, total), dose: of('doseMin') },
      (v) => v.pieces * Math.max(v.drape, v.soak) + v.doses * v.dose,
    )
    return {
      load,
      drape: load.again
        ? derive(
            `cut, soak and drape load ${load.number}`,
            'duration',
            'hands-on time',
            '{draped} + {pieces} × {cut}',
            { draped, pieces, cut: of('cutMin') },
            (v) => v.draped + v.pieces * v.cut,
          )
        : draped,
      lift: each(`lift load ${load.number} off`, pieces, of('liftMin')),
    }
  })
  const parts = {
    cut: each(
      'cut',
      loads.some(({ again }) => again)
        ? count(
            'pieces planned',
            loads.filter(({ again }) => !again).reduce((sum, { laid }) => sum + laid.length, 0),
            total,
          )
        : total,
      of('cutMin'),
    ),
    choose: each('choose and trim', total, of('chooseMin')),
    pack: of('packMin'),
    place:
      completion === 'handedOver'
        ? NO_TIME
        : sumOf('place', 'duration', 'hands-on time', [
            each('place the sails', sails, of('placeMin')),
            ...making.map(({ place }) => place),
          ]),
    loadCar: of('loadMin'),
    cover: each('cover the tiers', tiers, of('coverMin')),
    stack: derive(
      'stack the tiers',
      'duration',
      'hands-on time',
      '( {tiers} − 1 ) × {each}',
      { tiers, each: of('stackMin') },
      (v) => Math.max(0, v.tiers - 1) * v.each,
    ),
    photograph: completion === 'handedOver' ? NO_TIME : of('photographMin'),
  }
  const all = {
    ...parts,
    ...Object.fromEntries(making.map(({ hands }, at) => [`making${at}`, hands])),
    ...Object.fromEntries(
      loadWork.flatMap(({ drape, lift }, at) => [
        [`drape${at}`, drape],
        [`lift${at}`, lift],
      ]),
    ),
  }
  const sum = derive(
    'hands-on',
    'duration',
    'tasks added up',
    Object.keys(all)
      .map((name) => `{${name}}`)
      .join(' + '),
    all,
    (v) => Object.values(v).reduce((minutes, each) => minutes + each, 0),
  )
  return { ...parts, making, loads: loadWork, total: sum }
}
