import { DROP_ML, type Dye } from '../material'
import { derive, found, setting, starting, type Working } from '../quantity'
import { sheetHex, type ColouredSheet, type Dose } from './paperOptics'
import type { LadderStep } from './ladder'

/** A batch dipped at one strength of the bath. */
export type Batch = { readonly pieceCount: number; readonly areaDm2: number }

/** What to do before a batch, and what the bath holds then. Drops and millilitres. */
type BathStep = {
  readonly shade: number
  readonly batch: Batch
  /** Drops to add for each dye: exact, and in whole drops allowing for what earlier rounding left over or short. */
  readonly exactDrops: Working
  readonly wholeDrops: Dose
  readonly volumeMl: number
  /** What the bath holds then, with the whole drops, drops in 100 ml. */
  readonly inBath: Dose
  /** Dye the batch carries away, drops. */
  readonly carriedDrops: number
  readonly plannedHex: string
  /** Predicted with the whole drops. */
  readonly predictedHex: string
}

export type SteppedBath = {
  readonly startMl: Working
  readonly uptakeMl: Working
  readonly steps: readonly BathStep[]
  readonly totalDrops: Working
  readonly leftMl: Working
  /** Drops still in the bath when the last batch is out, with exact dosing. */
  readonly leftDrops: number
}

export const STARTING_TRAY = { lengthMm: 240, widthMm: 240, depthMm: 8 } as const

/** The dish the bath stands in, and how deep the bath must stand in it to cover a sheet. */
export type BathTray = { readonly lengthMm: number; readonly widthMm: number; readonly depthMm: number }

const UPTAKE_ML_PER_DM2 = 3
const RESERVE = 1.1

const sumDrops = (dose: Dose): number => Object.values(dose).reduce((sum, drops) => sum + drops, 0)

/**
 * The next addition that brings a bath to a strength, exact, allowing for what the drops themselves add to its volume.
 *
 * @param heldDrops dye in the bath now
 * @param volumeMl bath now
 * @param wantedPer100Ml strength wanted, drops in 100 ml
 */
export const addition = (heldDrops: number, volumeMl: number, wantedPer100Ml: number): number =>
  ((wantedPer100Ml * volumeMl) / 100 - heldDrops) / (1 - (wantedPer100Ml * DROP_ML) / 100)

/**
 * How much bath to begin with: what the film takes up, and enough left to cover a sheet in the tray, and a tenth more.
 */
function startVolume(
  batches: readonly Batch[],
  pieces: Working,
  tray: BathTray,
): { startMl: Working; uptakeMl: Working } {
  const area = batches.reduce((sum, { areaDm2 }) => sum + areaDm2, 0)
  const uptakeMl = derive(
    'taken up',
    'volume',
    'bath taken up',
    '{area} × {rate} each dm²',
    {
      area: derive('film to dip', 'area', 'area of the pieces', 'areas of {pieces} pieces', { pieces }, () => area),
      rate: starting('uptake', UPTAKE_ML_PER_DM2, 'volume', 'usual'),
    },
    (v) => v.area * v.rate,
  )
  const side = (label: string, key: keyof BathTray): Working =>
    setting(label, tray[key], STARTING_TRAY[key], 'length', 'usual', 'Tint')
  const startMl = derive(
    'bath to begin with',
    'volume',
    'bath in a tray',
    '1.1 × ( {uptakeMl} + {length} × {width} × {depth} )',
    { uptakeMl, length: side('tray', 'lengthMm'), width: side('tray', 'widthMm'), depth: side('depth', 'depthMm') },
    (v) => RESERVE * (v.uptakeMl + (v.length * v.width * v.depth) / 1000),
  )
  return { startMl, uptakeMl }
}

/**
 * One bath, pale first: before each batch a little more dye, allowing for the dye that earlier batches carried away.
 * Each batch of area A takes u·A ml out of the bath, and with it its share of the dye.
 *
 * @param ladder strengths from pale to deep, one for each batch
 * @param batches pieces and area dipped at each strength
 * @param pieces how many pieces there are in all, with its working
 */
export function steppedBath(
  ladder: readonly LadderStep[],
  batches: readonly Batch[],
  pieces: Working,
  tray: BathTray,
  dyes: readonly Dye[],
  sheet: ColouredSheet,
): SteppedBath {
  const { startMl, uptakeMl } = startVolume(batches, pieces, tray)
  let volumeMl = startMl.value
  let heldDrops = 0
  let heldWhole: Dose = {}
  const first = batches.findIndex(({ pieceCount }) => pieceCount > 0)
  const steps = ladder.map((step, shade): BathStep => {
    const batch = batches[shade]!
    if (batch.pieceCount === 0) return notDipped(step, shade, volumeMl, startMl)
    const wanted = sumDrops(step.dose)
    const wantedDrops = found(
      `strength of shade ${shade + 1} in 100 ml`,
      wanted,
      'drops',
      'the dye mix nearest to the heart’s colour, weakened so that shades look evenly stepped',
    )
    const exactDrops = derive(
      shade === first ? 'first dose' : 'add',
      'drops',
      'stepped bath',
      '( {wantedDrops} × {volume} ÷ 100 ml − {held} still in it ) ÷ ( 1 − strength × {drop} ÷ 100 ml )',
      {
        wantedDrops,
        volume: carriedOver('bath left', volumeMl, 'volume', startMl),
        held: carriedOver('dye', heldDrops, 'drops', startMl),
        drop: starting('one drop', DROP_ML, 'volume', 'usual'),
      },
      (v) => addition(v.held, v.volume, v.wantedDrops),
    )
    const wholeDrops = wholeAdditions(heldWhole, volumeMl, step.dose)
    heldDrops += exactDrops.value
    heldWhole = mapDose(wholeDrops, (drops, id) => drops + (heldWhole[id] ?? 0))
    volumeMl += exactDrops.value * DROP_ML
    const takenMl = Math.min(volumeMl, UPTAKE_ML_PER_DM2 * batch.areaDm2)
    const carriedDrops = (heldDrops * takenMl) / volumeMl
    const inBath = mapDose(heldWhole, (drops) => (drops / volumeMl) * 100)
    const filled: BathStep = {
      shade,
      batch,
      exactDrops,
      wholeDrops,
      volumeMl,
      inBath,
      carriedDrops,
      plannedHex: step.hex,
      predictedHex: sheetHex(inBath, dyes, sheet),
    }
    heldDrops -= carriedDrops
    heldWhole = mapDose(heldWhole, (drops) => drops * (1 - takenMl / volumeMl))
    volumeMl -= takenMl
    return filled
  })
  const totalDrops = derive(
    'colour',
    'drops',
    'doses added up',
    dippedSteps({ steps })
      .map(({ shade }) => `{step${shade}}`)
      .join(' + ') || '0',
    Object.fromEntries(dippedSteps({ steps }).map(({ shade, exactDrops }) => [`step${shade}`, exactDrops])),
    (v) => Object.values(v).reduce((sum, drops) => sum + drops, 0),
  )
  const leftMl = derive(
    'left over',
    'volume',
    'bath left over',
    '{startMl} + drops added − {uptakeMl}',
    { startMl, uptakeMl },
    () => volumeMl,
  )
  return { startMl, uptakeMl, steps, totalDrops, leftMl, leftDrops: heldDrops }
}

/** The steps at which something is dipped: at the others no dye goes in. */
export const dippedSteps = ({ steps }: Pick<SteppedBath, 'steps'>): readonly BathStep[] =>
  steps.filter(({ batch }) => batch.pieceCount > 0)

/** A shade of which there is no piece: the bath goes straight on to the next. */
const notDipped = ({ hex }: LadderStep, shade: number, volumeMl: number, startMl: Working): BathStep => ({
  shade,
  batch: { pieceCount: 0, areaDm2: 0 },
  exactDrops: carriedOver('dye for no piece', 0, 'drops', startMl),
  wholeDrops: {},
  volumeMl,
  inBath: {},
  carriedDrops: 0,
  plannedHex: hex,
  predictedHex: hex,
})

/** A figure that the steps before left behind. */
const carriedOver = (label: string, value: number, kind: Working['kind'], startMl: Working): Working =>
  derive(label, kind, 'carried over', 'what earlier steps left of {startMl}', { startMl }, () => value)

const mapDose = (dose: Dose, change: (drops: number, id: string) => number): Dose =>
  Object.fromEntries(Object.entries(dose).map(([id, drops]) => [id, change(drops, id)]))

/** Whole drops of each dye that bring the bath nearest to a dose from what it really holds; never fewer than none. */
const wholeAdditions = (held: Dose, volumeMl: number, dose: Dose): Dose =>
  mapDose(dose, (wanted, id) => Math.max(0, Math.round(addition(held[id] ?? 0, volumeMl, wanted))))
