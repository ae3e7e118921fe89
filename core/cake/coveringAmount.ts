import { coveringOf } from '../material'
import { derive, starting, type Working } from '../quantity'
import { surfacesOf } from './side'
import type { StandingTier } from './standing'

/** What a tier takes of its covering, with the crumb coat below and how far estimates stray; grams. */
export type CoveringAmount = {
  readonly coat: Working
  readonly crumbCoat: Working | null
  readonly spreadShare: number
}

/** Hands spread thicker or thinner: estimates of a coat stray by about this share. */
const COAT_SPREAD = 0.2
const CRUMB_COAT_G_PER_ML = 0.95

/**
 * Covering of side and top, each tier covered before stacking. Null for a bare dummy. @see area × thickness, usual
 * practice
 */
export function coveringAmount(tier: StandingTier): CoveringAmount | null {
  const covering = coveringOf(tier.covering)
  if (covering.thicknessMm === 0) return null
  const { side, top } = surfacesOf(tier)
  const name = covering.name.toLowerCase()
  const grams = (label: string, thicknessMm: number, gramsPerMl: number, wasteShare: number): Working =>
    derive(
      label,
      'mass',
      'a coat by area and thickness',
      '( {side} + {top} ) × {thickness} × {density} × (1 + {waste})',
      {
        side,
        top,
        thickness: starting('thickness', thicknessMm, 'length', 'usual'),
        density: starting('weight of a millilitre in g', gramsPerMl, 'ratio', 'usual'),
        waste: starting('trimmed and left in the bowl', wasteShare, 'share', 'usual'),
      },
      (v) => (v.side + v.top) * 10 * v.thickness * v.density * (1 + v.waste),
    )
  return {
    coat: grams(name, covering.thicknessMm, covering.gramsPerMl, covering.wasteShare),
    crumbCoat:
      covering.crumbCoatMm > 0 && covering.id !== 'whippedCream' && !tier.isDummy
        ? grams('crumb coat', covering.crumbCoatMm, CRUMB_COAT_G_PER_ML, 0.15)
        : null,
    spreadShare: COAT_SPREAD,
  }
}
