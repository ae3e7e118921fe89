/**
 * Two tiers with four groups of soaked sails: a sweep up the side for the oven, three halves standing on the top to
 * dry on mats, a gilded pair on tier one, one whole lying single. Two and two of them have the same run of shades.
 */
import { roundTier, type Tier } from '../../core/cake'
import { newCommission, startingDecoration, type Commission, type Decoration } from '../../core/commission'
import { disc } from '../../core/material'

const tiers = [roundTier('low', 260, 120), roundTier('high', 200, 120)]
const warm = { heart: '#d9572b', tail: '#f3dfc2', steps: 4 }
const cool = { heart: '#7f9a9c', tail: '#dfe6e2', steps: 3 }

/** A commission for the venue with these decorations on two round tiers. */
export const onTwoTiers = (decorations: readonly Decoration[], now: number): Commission =>
  onTiers(tiers, decorations, now)

/** A commission for the venue with these decorations on some tiers. */
export function onTiers(own: readonly Tier[], decorations: readonly Decoration[], now = 0): Commission {
  const base = newCommission('any', now)
  const cake = { board: { outline: 'round' as const, acrossMm: 340, thicknessMm: 12 }, tiers: [...own] }
  return {
    ...base,
    brief: { ...base.brief, completion: 'atVenue', box: { widthMm: 700, depthMm: 700, heightMm: 900 } },
    options: [{ ...base.options[0]!, cake, decorations: [...decorations] }],
  }
}

export const aDecoration = (
  id: string,
  technique: Decoration['technique'],
  kind?: Decoration['composition']['kind'],
): Decoration => startingDecoration(id, technique, tiers, kind)

/** The four groups. */
export function fourGroups(): readonly Decoration[] {
  const sail = (id: string, kind: Decoration['composition']['kind'], change: object, parameters: object = {}) => {
    const base = aDecoration(id, 'soakedSail', kind)
    return { ...base, ...change, parameters: { ...base.parameters, ...parameters } } as Decoration
  }
  const sweep = sail('sweep', 'sweep', { colour: warm })
  const crown = aDecoration('crown', 'soakedSail', 'crown')
  return [
    { ...sweep, drying: { ...sweep.drying, way: 'oven' } },
    sail(
      'crown',
      'crown',
      { colour: cool, stock: [disc(220)], composition: { ...crown.composition, count: 3, spanDeg: 200, reach: 1 } },
      { sizing: 'asItComes', whole: 0, half: 1, quarter: 0, skewered: true },
    ),
    sail('pair', 'pair', { colour: warm, finishes: [{ finish: 'edgeGilding', colour: '#c9a24b', share: 1 }] }),
    sail('single', 'single', { colour: cool }, { sizing: 'asItComes', whole: 1, half: 0, quarter: 0 }),
  ]
}
