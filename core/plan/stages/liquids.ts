/** Mixtures that decorations take, once it is known which sheets they are cut from: what is coated whole is counted whole. */
import { extentOf, type Gluing, type PlannedDecoration } from '../../decoration'
import { shapeDm2 } from '../../material'
import type { MixtureUse } from '../../mixture'
import { derive, found, starting, sumOf, type Working } from '../../quantity'
import { techniqueOf, type LiquidUse } from '../../technique'
import type { Dish } from '../../tint'
import type { CutGroup } from './cutting/group'
import { shareIn } from './cutting/share'

/** A mixture that a step of a decoration takes; `at` is the step’s own id, or none where it is glued on the cake. */
export type StepLiquid = MixtureUse & { readonly at: string | null }

/** Mixtures of each decoration, by its id. */
export type Liquids = Readonly<Record<string, readonly StepLiquid[]>>

type Groups = readonly Pick<CutGroup, 'parts' | 'needs'>[]

type LiquidInputs = {
  readonly decorations: readonly Pick<
    PlannedDecoration,
    'id' | 'technique' | 'classes' | 'wholes' | 'gluings' | 'cast' | 'steps'
  >[]
  readonly groups: Groups
}

/** Whole sheets that a decoration is cut from, one face of each; its share by pieces where others are cut from them too. */
function sheetAreaOf(groups: Groups, decoration: string): Working {
  const areas = groups.flatMap(({ parts, needs }) => {
    const own = parts.filter((part) => part.decoration === decoration)
    const count = (of: typeof parts): number => of.reduce((sum, { quantity }) => sum + quantity, 0)
    if (own.length === 0) return []
    return needs.map(({ shape, needed }) => {
      const whole = derive(
        needed.label,
        'area',
        'whole sheets',
        '{sheets} × {each}',
        { sheets: needed, each: found('a sheet', shapeDm2(shape), 'area', 'its size') },
        (v) => v.sheets * v.each,
      )
      return shareIn(whole, count(own), count(parts))
    })
  })
  return sumOf('whole sheets', 'area', 'sheets added up', areas)
}

const GRAMS_PER_ML = 1

/** What is brushed, dipped or dabbed at a step. */
function useOf(
  { mixture, at, per, ml, faces = 1, plies = 1, bowlMl = 0 }: LiquidUse,
  { technique, classes, wholes, id }: LiquidInputs['decorations'][number],
  groups: Groups,
): StepLiquid {
  const { steps } = techniqueOf(technique)
  const label = steps.find((step) => step.id === at)!.name.toLowerCase()
  const inputs = {
    of: per === 'piece' ? wholes : per === 'dm2' ? extentOf(classes).area : sheetAreaOf(groups, id),
    each: starting(per === 'piece' ? 'for a piece' : 'for a dm² and face', ml, 'volume', 'guess'),
    ...(faces > 1 && { faces: found('faces', faces, 'count', 'both are wetted') }),
    ...(plies > 1 && { plies: found('plies', plies, 'count', 'wetted once, laid on each other') }),
    ...(bowlMl > 0 && { bowl: starting('least in the bowl', bowlMl, 'volume', 'usual') }),
  }
  const sum = `{of} × {each}${faces > 1 ? ' × {faces}' : ''}${plies > 1 ? ' ÷ {plies}' : ''}`
  const rule = per === 'piece' ? 'a dab for each' : per === 'dm2' ? 'faces wetted' : 'sheets coated whole'
  return {
    mixture,
    at,
    ml: derive(label, 'volume', rule, bowlMl > 0 ? `${sum}, at least {bowl}` : sum, inputs, () =>
      Math.max(bowlMl, (inputs.of.value * ml * faces) / plies),
    ),
  }
}

/** Edible glue on the cake is mixed with the rest of it. */
const gluedWith = (gluings: readonly Gluing[]): readonly StepLiquid[] =>
  gluings
    .filter(({ glue, grams }) => glue === 'edibleGlue' && grams.value > 0)
    .map(({ grams }) => ({
      mixture: 'edibleGlue',
      at: null,
      ml: derive(
        'on the cake',
        'volume',
        'glue by volume',
        '{grams} ÷ {weight}',
        { grams, weight: starting('weight of a ml in g', GRAMS_PER_ML, 'ratio', 'usual') },
        (v) => v.grams / v.weight,
      ),
    }))

/** Slurry of what is cast, at the step where it is coloured. */
const castFrom = ({ cast, steps }: LiquidInputs['decorations'][number]): readonly StepLiquid[] =>
  cast ? [{ mixture: 'slurry', at: steps.find(({ colours }) => colours)?.id ?? steps[0]!.id, ml: cast.slurry }] : []

/** The same with as much conditioner as is mixed with colour: a little more, where whole drops need it. */
export const asColoured = (liquids: Liquids, dishes: readonly Pick<Dish, 'uses' | 'colouring'>[]): Liquids =>
  Object.fromEntries(
    Object.entries(liquids).map(([id, own]) => {
      const more = dishes
        .filter(({ colouring }) => colouring.carrier === 'conditioner')
        .flatMap(({ uses }) => uses.flatMap(({ decoration, moreMl }) => (decoration === id ? (moreMl ?? []) : [])))
      const at = own.findIndex(({ mixture }) => mixture === 'conditioner')
      if (at === -1 || more.length === 0) return [id, own]
      const ml = sumOf(own[at]!.ml.label, 'volume', 'and more for its colours', [own[at]!.ml, ...more])
      return [id, own.map((each, index) => (index === at ? { ...each, ml } : each))]
    }),
  )

/** Mixtures of every decoration that is on the cake. */
export const liquidsStage = ({ decorations, groups }: LiquidInputs): Liquids =>
  Object.fromEntries(
    decorations.map((made) => [
      made.id,
      [
        ...(techniqueOf(made.technique).liquids ?? []).map((use) => useOf(use, made, groups)),
        ...castFrom(made),
        ...gluedWith(made.gluings),
      ],
    ]),
  )
