import type { Workshop } from '#core/workshop'
import { stepKey } from '#core/decoration'
import {
  breakageOf,
  DRY_STATES,
  dryingFactor,
  dryingForetold,
  handsFactor,
  handsForetold,
  learnedDye,
  limitOf,
  limitShift,
  plannedShrink,
  shrinkBelief,
  SHRINK_WAYS,
  SHRINK_WORDS,
  type Foretold,
} from '#core/learn'
import { paperIds, paperOf } from '#core/material'
import { printNumber } from '#core/quantity'
import { STRIPS } from '#core/tint'
import { paceSchema, type Pace } from '#core/schedule'
import { TECHNIQUES, techniqueOf, type TechniqueId } from '#core/technique'

/**
 * Something that trials say: in words, of how many trials, whether plans go by it, and how well each trial was
 * foretold.
 */
export type Known = {
  readonly id: string
  readonly group: 'shrink' | 'drying' | 'hands' | 'breakage' | 'colour'
  readonly name: string
  readonly says: string
  readonly began: string
  readonly trials: number
  readonly isUsed: boolean
  readonly foretold: readonly Foretold[]
}

const percent = (share: number): string => `${printNumber(share * 100, share < 0.1 ? 1 : 0)} %`
const times = (factor: number): string =>
  Math.abs(factor - 1) < 0.03
    ? 'as long as planned at first'
    : factor > 1
      ? `${percent(factor - 1)} longer`
      : `${percent(1 - factor)} less time`

/** What a step is called, by what the ledger calls it. */
export function stepName(step: string): string {
  if (step in paceSchema.shape) return paceSchema.shape[step as keyof Pace].meta()!.label as string
  for (const { id, name, steps } of TECHNIQUES) {
    const own = steps.find((each) => stepKey(id, each.id) === step)
    if (own) return `${name}: ${own.name.toLowerCase()}`
  }
  return step
}

const spareOf = (technique: string): number => techniqueOf(technique as TechniqueId).spareShare.value
const nameOf = (technique: string): string => techniqueOf(technique as TechniqueId).name

/** Everything a workshop's trials and runs say. */
export function knowledgeOf({
  shrinkTrials,
  dryingTrials,
  runs,
  room,
  learnFrom,
  dyes,
  dyeTrials,
}: Workshop): readonly Known[] {
  const limit = limitOf(room, dryingTrials)
  const shift = limitShift(limit.trials >= learnFrom ? limit : null)
  const shrink = SHRINK_WAYS.flatMap((way): readonly Known[] => {
    const [belief, began] = [shrinkBelief(way, shrinkTrials), shrinkBelief(way, [])]
    if (belief.trials === 0) return []
    const seen = shrinkTrials.filter((trial) => trial.way === way && !trial.odd)
    return [
      {
        id: `shrink ${way}`,
        group: 'shrink',
        name: SHRINK_WORDS[way],
        trials: belief.trials,
        isUsed: belief.trials >= learnFrom,
        says:
          `shrinks about ${percent(1 - Math.exp(belief.own))} ± ${percent(belief.ownDeviation)}` +
          (belief.trials >= learnFrom
            ? `; plans allow ${percent(plannedShrink(way, belief).value)}, so that four pieces in five are large enough`
            : ''),
        began: percent(1 - Math.exp(began.mean)),
        foretold: seen.map(({ beforeMm, afterMm }, at) => ({
          byStart: afterMm / beforeMm / Math.exp(began.mean),
          byTrials: afterMm / beforeMm / Math.exp(shrinkBelief(way, seen.slice(0, at)).mean),
        })),
      },
    ]
  })
  const drying = paperIds.flatMap((paper) =>
    DRY_STATES.flatMap((state): readonly Known[] => {
      const { median, deviation, sightings } = dryingFactor(paper, state, room, dryingTrials, shift)
      if (sightings === 0) return []
      return [
        {
          id: `drying ${paper} ${state}`,
          group: 'drying',
          name: `${paperOf(paper).name}${state === 'handle' ? ', to be handled' : ', to stand'}, in ${room}`,
          trials: sightings,
          isUsed: sightings >= learnFrom,
          says: `takes ${times(median)} to dry, nine in ten within ${printNumber(median * Math.exp(1.2816 * deviation), 2)} of the curve`,
          began: `nine in ten within ${printNumber(Math.exp(1.2816 * 0.55), 2)}`,
          foretold: dryingForetold(paper, state, dryingTrials, shift),
        },
      ]
    }),
  )
  const hands = [...new Set(runs.filter(({ odd }) => !odd).map(({ step }) => step))].map((step): Known => {
    const { median, deviation, sightings } = handsFactor(step, runs)
    return {
      id: `hands ${step}`,
      group: 'hands',
      name: stepName(step),
      trials: sightings,
      isUsed: sightings >= learnFrom,
      says: `takes ${times(median)}, ± ${percent(Math.exp(deviation) - 1)}`,
      began: '',
      foretold: handsForetold(step, runs),
    }
  })
  const breakage = [
    ...new Set(runs.filter(({ technique, odd }) => technique !== '' && !odd).map(({ technique }) => technique)),
  ].map((technique): Known => {
    const began = spareOf(technique)
    const { share, deviation, runs: count, pieces } = breakageOf(technique, began, runs)
    return {
      id: `breakage ${technique}`,
      group: 'breakage',
      name: nameOf(technique),
      trials: count,
      isUsed: count >= learnFrom,
      says: `${percent(share)} ± ${percent(deviation)} break, of ${pieces} pieces`,
      began: `${percent(began)} spare`,
      foretold: [],
    }
  })
  const colour = dyes.flatMap((dye) =>
    (['film', 'wafer'] as const).flatMap((kind): readonly Known[] => {
      const { strength, spread, trials } = learnedDye(dye, dyeTrials, STRIPS[kind])
      // A strip tells more than a guess from the first on.
      return trials === 0
        ? []
        : [
            {
              id: `colour ${dye.id} ${kind}`,
              group: 'colour',
              name: `${dye.name} on ${kind === 'film' ? 'rice film' : 'wafer'}`,
              says: `is ${printNumber(strength, 2)} times as strong as begun with, ± ${percent(spread)}`,
              began: '',
              trials,
              isUsed: true,
              foretold: [],
            },
          ]
    }),
  )
  return [...shrink, ...drying, ...hands, ...breakage, ...colour]
}
