/** Commissions and workshops as earlier versions of the file wrote them, brought up to this one. */
import { STARTING_WORKSHOP } from '../workshop'
import { STARTING_BRIEF, startingColouring } from '../commission'
import { untouched, type Quiet } from '../compose'
import { STARTING_CUTTING } from '../cut'
import { freshBench } from '../ledger'
import { PAPERS } from '../material'
import { TECHNIQUES } from '../technique'
import { STARTING_COLOURING, type Colouring } from '../tint'
import { roundTier } from '../cake'
import { filled, isRecord, recordsOf, type Loose } from './looseRecords'

const STARTING_QUIET: Quiet = { others: false, seams: false, back: false, places: [] }

/** What a tier did not have in version 1 and is now asked. */
const { id, shape, heightMm, covering, colour, ...plainTier } = roundTier('', 200, 100)

/**
 * Version 1 had one cake of round tiers, and palettes without roles. What it holds is moved, nothing is checked: the
 * schema of this version does that.
 */
export function commissionFrom1(commission: unknown): unknown {
  if (!isRecord(commission)) return commission
  const { cake, decorations, brief, palette, ...kept } = commission
  const old = isRecord(cake) ? cake : {}
  const { boardDiameterMm, boardThicknessMm, tiers, ...foreign } = old
  return {
    ...kept,
    brief: isRecord(brief) ? { ...STARTING_BRIEF, ...brief } : brief,
    palette: Array.isArray(palette)
      ? palette.map((each: unknown) => (isRecord(each) ? { role: 'accent', ...each } : each))
      : palette,
    options: [
      {
        id: 'a',
        name: 'Option A',
        paperwork: [],
        bouquets: [],
        accents: [],
        tiersApart: 0,
        decorations: Array.isArray(decorations)
          ? decorations.map((each: unknown) =>
              isRecord(each) ? { quiet: STARTING_QUIET, byHand: untouched(), ...each } : each,
            )
          : decorations,
        cake: {
          ...foreign,
          board: { outline: 'round', acrossMm: boardDiameterMm, thicknessMm: boardThicknessMm },
          tiers: recordsOf(tiers).map(({ diameterMm, ...tier }) => ({
            ...plainTier,
            ...tier,
            shape: { kind: 'round', acrossMm: diameterMm },
          })),
        },
      },
    ],
    chosen: 'a',
  }
}

/**
 * Anything of version 2 with what version 3 asks besides: how a decoration is cut, sheets that were locked, the
 * workshop's tools, remnants and the price of a sheet.
 */
export const from2 = (value: unknown): unknown =>
  filled(value, (own) => ({
    ...('parameters' in own && 'format' in own && { cutting: { way: 'boxes', plies: STARTING_CUTTING.plies } }),
    ...('tiersApart' in own && 'cake' in own && { keptSheets: [] }),
    ...('ovenPlaces' in own && 'pace' in own && { tools: STARTING_WORKSHOP.tools, remnants: [] }),
    ...('discEach' in own && { sheetEach: STARTING_WORKSHOP.prices.sheetEach }),
  }))

/** How a decoration is usually coloured, by its technique and paper. */
function usualColouring({ technique, paper }: Loose): Colouring {
  const definition = TECHNIQUES.find(({ id }) => id === technique)
  const made = PAPERS.find(({ id }) => id === paper)
  return definition && made ? startingColouring(definition, made.id) : STARTING_COLOURING
}

/**
 * Anything of version 3 with what version 4 asks besides: how it is coloured, folded strips, sheets coloured whole,
 * pieces from own drawings, how many sheets a locked one stands for, dyes on the shelf and their trials, moulds,
 * people and hours when they cannot, tasks put at an hour by hand.
 */
export const from3 = (value: unknown): unknown =>
  filled(value, (own) => ({
    ...('parameters' in own && 'format' in own && { colouring: usualColouring(own) }),
    ...('way' in own &&
      'plies' in own && { layers: STARTING_CUTTING.layers, colouredWhole: STARTING_CUTTING.colouredWhole }),
    ...('placements' in own && 'way' in own && { plies: 1, colour: null }),
    ...('outline' in own && 'from' in own && 'paper' in own && { colour: null }),
    ...('keptSheets' in own && 'cake' in own && { ownPieces: [], pins: {} }),
    ...('drapeMin' in own && {
      coverMin: STARTING_WORKSHOP.pace.coverMin,
      stackMin: STARTING_WORKSHOP.pace.stackMin,
      photographMin: STARTING_WORKSHOP.pace.photographMin,
      aheadMin: STARTING_WORKSHOP.pace.aheadMin,
    }),
    ...('ovenPlaces' in own &&
      'pace' in own && {
        dyes: STARTING_WORKSHOP.dyes,
        dyeTrials: [],
        moulds: STARTING_WORKSHOP.moulds,
        people: 1,
        busy: [],
      }),
  }))

/**
 * Anything of version 4 with what version 5 asks besides: what happened at the bench; stock, boxes, pricing, trials
 * and runs of a workshop.
 */
export const from4 = (value: unknown): unknown =>
  filled(value, (own) => ({
    ...('brief' in own && 'options' in own && { bench: freshBench() }),
    ...('ovenPlaces' in own &&
      'pace' in own &&
      (({ pricing, pieceBoxes, room, learnFrom, shrinkTrials, dryingTrials, runs }) => ({
        pricing,
        stock: [],
        pieceBoxes,
        room,
        learnFrom,
        shrinkTrials,
        dryingTrials,
        runs,
      }))(STARTING_WORKSHOP)),
  }))

/** Version 1 knew neither the refrigerator nor prices nor petals. */
export const workshopFrom1 = (workshop: unknown): unknown =>
  isRecord(workshop)
    ? {
        ...workshop,
        fridgeC: STARTING_WORKSHOP.fridgeC,
        prices: STARTING_WORKSHOP.prices,
        petals: STARTING_WORKSHOP.petals,
      }
    : workshop
