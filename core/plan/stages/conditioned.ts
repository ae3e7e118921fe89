/** Conditioned paper: when it is dry to the touch here. */
import type { PlannedDecoration } from '../../decoration'
import { paperSheet, type Climate, type conditionedTouchMin } from '../../dry'
import { paperOf } from '../../material'
import { glycerinShare, mixtureOf, withoutAny } from '../../mixture'
import { found, type Working } from '../../quantity'
import { techniqueOf, type Ingredient } from '../../technique'

/** Paper of a decoration that was brushed with a mixture of glycerin: when it is dry to the touch, null for never. */
export type Conditioned = { readonly decoration: string; readonly name: string; readonly touch: Working | null }

type ConditionedInputs = {
  readonly decorations: readonly Pick<
    PlannedDecoration,
    'id' | 'name' | 'technique' | 'paper' | 'thicknessMm' | 'elements'
  >[]
  readonly unwanted: readonly Ingredient[]
  readonly room: Climate
}

/**
 * Every decoration of conditioned paper, by its own paper and the recipe's own share of glycerin.
 * @param touchMin when paper is dry to the touch, which may be remembered
 */
export const conditionedStage =
  (touchMin: typeof conditionedTouchMin) =>
  ({ decorations, unwanted, room }: ConditionedInputs): readonly Conditioned[] =>
    decorations.flatMap(({ id, name, technique, paper, thicknessMm, elements }) => {
      const { kind } = paperOf(paper)
      const brushed = (techniqueOf(technique).liquids ?? []).flatMap(({ mixture, per, ml, plies = 1 }) => {
        const share = glycerinShare(withoutAny(mixtureOf(mixture), unwanted))
        return per !== 'piece' && share > 0 ? [{ ml: ml / plies, share }] : []
      })[0]
      if (!brushed || elements.length === 0) return []
      const sheet = paperSheet(kind, thicknessMm)
      const minutes = touchMin({ sheet, mlPerDm2: brushed.ml, glycerinShare: brushed.share, room })
      const how =
        `walk of the drying curve: ${brushed.ml} ml for each dm², ${Math.round(brushed.share * 100)} % of it glycerin, ` +
        'on a mat, a fan on it'
      return [
        { decoration: id, name, touch: minutes === null ? null : found('dry to the touch', minutes, 'duration', how) },
      ]
    })
