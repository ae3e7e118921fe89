import { coveringOf } from '../material'
import { derive, found, starting, sumOf, typed, type Working } from '../quantity'
import { areaMm2 } from './shape'
import { surfacesOf, type Surfaces } from './side'
import type { StandingTier } from './standing'

/**
 * What a tier takes of its covering, with the crumb coat below and how far estimates stray; grams. `lobes` is the part of
 * it that builds up the lobes of a scalloped tier round its core: in the coat where that is spread, else in the crumb coat.
 */
export type CoveringAmount = {
  readonly coat: Working
  readonly crumbCoat: Working | null
  readonly lobes: Working | null
  readonly spreadShare: number
}

/** Hands spread thicker or thinner: estimates of a coat stray by about this share. */
const COAT_SPREAD = 0.2
const CRUMB_COAT_G_PER_ML = 0.95
const CRUMB_COAT_WASTE = 0.15
const MM2_PER_DM2 = 10000

/** What is spread: how thick, how heavy, how much more for bowl and tools. */
type Spread = { readonly thicknessMm: number; readonly gramsPerMl: number; readonly wasteShare: number }

/** Between the round core, as wide as its marks, and the lobes drawn along the guides, dm²; none on other shapes. */
function lobesBeside({ shape }: StandingTier): Working | null {
  if (shape.kind !== 'scalloped') return null
  return derive(
    'lobes beside the core',
    'area',
    'lobes less the round core',
    '{lobes} − π × ( {marks} ÷ 2 )²',
    {
      lobes: found('within the lobes', areaMm2(shape) / MM2_PER_DM2, 'area', 'drawn by its cutter'),
      marks: typed('across marks', shape.marksMm, 'length', 'Tiers'),
    },
    (v) => v.lobes - (Math.PI * (v.marks / 2) ** 2) / MM2_PER_DM2,
  )
}

/** Grams that build up lobes over a tier's height. */
function lobesOf(beside: Working, { topMm, footMm }: StandingTier, { gramsPerMl, wasteShare }: Spread): Working {
  return derive(
    'built up in the lobes',
    'mass',
    'lobes by area and height',
    '{beside} × {height} × {density} × (1 + {waste})',
    {
      beside,
      height: typed('height', topMm - footMm, 'length', 'Tiers'),
      density: starting('weight of a millilitre in g', gramsPerMl, 'ratio', 'usual'),
      waste: starting('trimmed and left in the bowl', wasteShare, 'share', 'usual'),
    },
    (v) => v.beside * 10 * v.height * v.density * (1 + v.waste),
  )
}

/** Grams of a coat over side and top; over the top alone where lobes reach to the guides. */
function coatOf(
  label: string,
  { side, top }: Pick<Surfaces, 'top'> & Partial<Pick<Surfaces, 'side'>>,
  { thicknessMm, gramsPerMl, wasteShare }: Spread,
): Working {
  return derive(
    label,
    'mass',
    'a coat by area and thickness',
    `${side ? '( {side} + {top} )' : '{top}'} × {thickness} × {density} × (1 + {waste})`,
    {
      ...(side && { side }),
      top,
      thickness: starting('thickness', thicknessMm, 'length', 'usual'),
      density: starting('weight of a millilitre in g', gramsPerMl, 'ratio', 'usual'),
      waste: starting('trimmed and left in the bowl', wasteShare, 'share', 'usual'),
    },
    (v) => ((v.side ?? 0) + v.top) * 10 * v.thickness * v.density * (1 + v.waste),
  )
}

/**
 * Covering of side and top, each tier covered before stacking. Null for a bare dummy. @see area × thickness, usual
 * practice
 *
 * By hand: 12 lobes on marks 240 mm across, 100 mm high, in set buttercream: within the lobes 6.16 dm², the core 4.52 dm²,
 * 1.63 dm² beside it; × 100 mm × 0.95 g × 1.15 = 1.8 kg.
 */
export function coveringAmount(tier: StandingTier): CoveringAmount | null {
  const covering = coveringOf(tier.covering)
  if (covering.thicknessMm === 0) return null
  const surfaces = surfacesOf(tier)
  const crumb = { thicknessMm: covering.crumbCoatMm, gramsPerMl: CRUMB_COAT_G_PER_ML, wasteShare: CRUMB_COAT_WASTE }
  const beside = tier.isDummy ? null : lobesBeside(tier)
  const lobes = beside && lobesOf(beside, tier, covering.rolled ? crumb : covering)
  // What fills the lobes reaches to the guides: there is no other coat of it on the side.
  const withLobes = (label: string, spread: Spread, isOwn: boolean): Working =>
    lobes && isOwn
      ? sumOf(label, 'mass', 'top and lobes', [coatOf('on top', { top: surfaces.top }, spread), lobes])
      : coatOf(label, surfaces, spread)
  const name = covering.name.toLowerCase()
  const hasCrumbCoat = covering.crumbCoatMm > 0 && !tier.isDummy
  return {
    coat: withLobes(name, covering, !covering.rolled),
    crumbCoat: hasCrumbCoat ? withLobes('crumb coat', crumb, covering.rolled === true) : null,
    lobes,
    spreadShare: COAT_SPREAD,
  }
}
