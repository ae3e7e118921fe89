/** How a decoration is fixed on the cake: with what, on which covering, how much of it, how long till it holds. */
import type { StandingTier } from '../cake'
import type { Decoration } from '../commission'
import { coveringOf, glueOf, type CoveringId, type Glue, type GlueId, type Ingredient } from '../material'
import { derive, found, starting, sumOf, type Working } from '../quantity'
import type { AnyTechnique, Fixing, PlacedElement } from '../technique'
import { faceDm2 } from './extent'
import type { PieceClass } from './pieces'

/** A glue on a covering, for the elements that stand on it; `grams` is none where nothing is bought or mixed for it. */
export type Gluing = {
  readonly glue: GlueId
  readonly covering: CoveringId
  readonly count: number
  readonly grams: Working
}

/** Whether clients who want some things left out may have a glue. */
const isWanted = ({ contains }: Glue, unwanted: readonly Ingredient[]): boolean =>
  contains.every((each) => !unwanted.includes(each))

/**
 * Glues that hold on a covering and that a client may have, the usual one for the technique first; all that hold where
 * the client may have none of them.
 */
export function gluesFor(
  { gluedWith = [] }: Pick<AnyTechnique, 'gluedWith'>,
  covering: CoveringId,
  unwanted: readonly Ingredient[],
): readonly GlueId[] {
  const holding = coveringOf(covering).glues
  const usual = [...gluedWith.filter((id) => holding.includes(id)), ...holding.filter((id) => !gluedWith.includes(id))]
  const wanted = usual.filter((id) => isWanted(glueOf(id), unwanted))
  return wanted.length > 0 ? wanted : usual
}

/** Backs of the pieces of some elements, one face each, spares aside. */
const backsOf = (classes: readonly PieceClass[]): Working =>
  sumOf(
    'backs',
    'area',
    'pieces added up',
    classes.map((piece) =>
      derive(
        piece.name,
        'area',
        'pieces on the cake',
        '{needed} × {each}',
        { needed: piece.needed, each: found('face of one', faceDm2(piece), 'area', 'of its outline') },
        (v) => v.needed * v.each,
      ),
    ),
  )

/** Grams of a glue for some of the elements of a decoration. */
function gramsOf(glue: Glue, fixing: Fixing, count: number, of: number, classes: readonly PieceClass[]): Working {
  const elements = found('elements', count, 'count', 'on this covering')
  switch (fixing.by) {
    case 'wire':
      return found(glue.name, 0, 'mass', 'its wire stands in a holder')
    case 'back':
      return derive(
        glue.name,
        'mass',
        'glue on backs',
        count === of ? '{backs} × {share} × {perDm2}' : '{backs} × {elements} ÷ {all} × {share} × {perDm2}',
        {
          backs: backsOf(classes),
          ...(count !== of && { elements, all: found('elements in all', of, 'count', 'of the decoration') }),
          share: starting('glued, of the back', fixing.share, 'share', 'usual'),
          perDm2: starting('for a dm²', glue.gramsPerDm2, 'mass', 'usual'),
        },
        () =>
          (count / of) *
          fixing.share *
          glue.gramsPerDm2 *
          classes.reduce((sum, each) => sum + each.needed.value * faceDm2(each), 0),
      )
    case 'foot':
    case 'dot': {
      const each = fixing.by === 'foot' ? glue.gramsPerFoot : glue.gramsPerDot
      return derive(
        glue.name,
        'mass',
        fixing.by === 'foot' ? 'feet set in a line' : 'dots',
        '{elements} × {joints} × {each}',
        {
          elements,
          joints: found(fixing.by === 'foot' ? 'feet' : 'dots', fixing.joints, 'count', 'of one, by its technique'),
          each: starting(fixing.by === 'foot' ? 'for a foot' : 'for a dot', each, 'mass', 'guess'),
        },
        (v) => v.elements * v.joints * v.each,
      )
    }
  }
}

/**
 * With what a decoration is fixed on each covering it stands on: what was chosen, where it holds there and a client may
 * have it, else the usual.
 */
export function gluingsOf(
  technique: AnyTechnique,
  { glue, parameters }: Pick<Decoration, 'glue' | 'parameters'>,
  elements: readonly PlacedElement[],
  classes: readonly PieceClass[],
  stack: readonly StandingTier[],
  unwanted: readonly Ingredient[],
): readonly Gluing[] {
  const fixing = technique.fixed(parameters)
  if (fixing.by === 'wire') return []
  const coverings = [...new Set(elements.map(({ tier }) => stack[tier]!.covering))]
  return coverings.map((covering): Gluing => {
    const choices = gluesFor(technique, covering, unwanted)
    const id = glue && choices.includes(glue) ? glue : choices[0]!
    const count = elements.filter(({ tier }) => stack[tier]!.covering === covering).length
    return { glue: id, covering, count, grams: gramsOf(glueOf(id), fixing, count, elements.length, classes) }
  })
}

/** Minutes until the slowest of some glues holds. */
export const setMinOf = (gluings: readonly Pick<Gluing, 'glue'>[]): number =>
  Math.max(0, ...gluings.map(({ glue }) => glueOf(glue).setMin))
