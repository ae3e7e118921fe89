/** Commissions and workshops as earlier versions of the file wrote them, brought up to this one. */
import { untouched, type Quiet } from '../compose'
import { STARTING_BRIEF, STARTING_WORKSHOP } from '../plan'
import { roundTier } from '../cake'

type Loose = Readonly<Record<string, unknown>>

const isRecord = (value: unknown): value is Loose => typeof value === 'object' && value !== null && !Array.isArray(value)
const recordsOf = (value: unknown): readonly Loose[] => Array.isArray(value) ? value.filter(isRecord) : []

const STARTING_QUIET: Quiet = { others: false, seams: false, back: false, places: [] }

/** What a tier did not have in version 1 and is now asked. */
const { id, shape, heightMm, covering, colour, ...plainTier } = roundTier('', 200, 100)

/** Version 1 had one cake of round tiers, and palettes without roles. What it holds is moved, nothing is checked: the schema of this version does that. */
export function commissionFrom1(commission: unknown): unknown {
  if (!isRecord(commission)) return commission
  const { cake, decorations, brief, palette, ...kept } = commission
  const old = isRecord(cake) ? cake : {}
  const { boardDiameterMm, boardThicknessMm, tiers, ...foreign } = old
  return {
    ...kept,
    brief: isRecord(brief) ? { ...STARTING_BRIEF, ...brief } : brief,
    palette: Array.isArray(palette) ? palette.map((each: unknown) => isRecord(each) ? { role: 'accent', ...each } : each) : palette,
    options: [{
      id: 'a', name: 'Option A', paperwork: [], bouquets: [], accents: [], tiersApart: 0,
      decorations: Array.isArray(decorations) ? decorations.map((each: unknown) => isRecord(each) ? { quiet: STARTING_QUIET, byHand: untouched(), ...each } : each) : decorations,
      cake: { ...foreign, board: { outline: 'round', acrossMm: boardDiameterMm, thicknessMm: boardThicknessMm }, tiers: recordsOf(tiers).map(({ diameterMm, ...tier }) => ({ ...plainTier, ...tier, shape: { kind: 'round', acrossMm: diameterMm } })) },
    }],
    chosen: 'a',
  }
}

/** Version 1 knew neither the refrigerator nor prices nor petals. */
export const workshopFrom1 = (workshop: unknown): unknown =>
  isRecord(workshop) ? { ...workshop, fridgeC: STARTING_WORKSHOP.fridgeC, prices: STARTING_WORKSHOP.prices, petals: STARTING_WORKSHOP.petals } : workshop
