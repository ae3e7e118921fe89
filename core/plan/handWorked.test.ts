/**
 * What each technique takes, worked out with paper and pencil from the rates of the craft: glue by joints or backs, mixtures
 * by pieces, faces or whole sheets, what is used up, wires. Each on a tier 260 × 120 mm in fondant.
 */
import { describe, expect, it } from 'vitest'
import { onTiers } from '../../tests/any/fourGroups'
import { roundTier, type Tier } from '../cake'
import { startingDecoration, type Decoration } from '../commission'
import { TECHNIQUES, type CompositionKind, type TechniqueId } from '../technique'
import { STARTING_WORKSHOP } from '../workshop'
import { createPlanner } from '.'

const planner = createPlanner()
const round = roundTier('tier', 260, 120)
const square: Tier = { ...round, shape: { kind: 'square', sideMm: 180, cornerMm: 0 } }
/** Four alike all round the top, where a technique can be arranged so. */
const FOUR = { count: 4, taper: 1, irregularity: 0, spanDeg: 360, reach: 1 }
const A4_DM2 = 2.1 * 2.97
const GEL_G_PER_DM2 = 4

function taken(technique: TechniqueId) {
  const { compositions } = TECHNIQUES.find(({ id }) => id === technique)!
  const kinds = compositions as readonly CompositionKind[]
  const kind = kinds.includes('crown') ? 'crown' : kinds[0]!
  const tier = technique === 'boxPanels' ? square : round
  const begun = startingDecoration('it', technique, [tier], kind)
  const composition = kind === 'crown' ? { ...begun.composition, ...FOUR } : begun.composition
  const plan = planner({
    commission: onTiers([tier], [{ ...begun, composition } as Decoration]),
    workshop: STARTING_WORKSHOP,
    now: 0,
    units: 'metric',
  })
  const [made] = plan.decorations
  const ml = (mixture: string): number =>
    (plan.liquids.it ?? []).filter((each) => each.mixture === mixture).reduce((sum, each) => sum + each.ml.value, 0)
  const used = (supply: string): number =>
    made!.used.filter((each) => each.supply === supply).reduce((sum, { amount }) => sum + amount.value, 0)
  return {
    count: made!.count.value,
    pieces: made!.pieces.value,
    glue: made!.gluings.reduce((sum, { grams }) => sum + grams.value, 0),
    sheets: plan.groups.reduce((sum, { sheets }) => sum + sheets.value, 0),
    wires: made!.wiring.flatMap(({ wiring, count }) =>
      wiring.wires.map(({ gauge, length, perElement }) => [gauge, Math.round(length.value), count * perElement]),
    ),
    ml,
    used,
    wholes: made!.wholes.value,
    placing: plan.work.making[0]!.place.value,
    hands: (step: string): number =>
      plan.work.making[0]!.steps.find(({ id }) => id === step)!.turns.reduce((sum, { hands }) => sum + hands.value, 0),
  }
}

describe('glue by joints: a foot in a line takes 0.8 g of piping gel, a dot 0.2 g', () => {
  it.each([
    ['soakedSail', 4, 4 * 0.8],
    ['formedSail', 4, 4 * 0.8],
    ['panSail', 4, 4 * 0.8],
    ['steamedSpire', 4, 4 * 0.8],
    ['silhouette', 4, 4 * 0.8],
    ['foldedGlobe', 4, 4 * 3 * 0.2],
    ['puff', 4, 4 * 0.2],
  ] as const)('%s: %d of them, %d g', (technique, count, grams) => {
    const it = taken(technique)
    expect(it.count).toBe(count)
    expect(it.glue).toBeCloseTo(grams, 6)
  })
  it.each([
    ['gatheredFan', 0.8],
    ['stripScroll', 2 * 0.2],
    ['castMesh', 3 * 0.2],
    ['butterfly', 0.2],
    ['fabricBow', 0.8],
  ] as const)('%s: as many as its band or scatter holds, %d g each', (technique, grams) => {
    const it = taken(technique)
    expect(it.glue).toBeCloseTo(it.count * grams, 6)
  })
  it('what stands on wires takes none: its foot is in a holder', () => {
    for (const technique of ['openBloom', 'cuppedBloom', 'mouldedBloom', 'bud', 'floretDome', 'fillerSprig'] as const)
      expect(taken(technique).glue).toBe(0)
    for (const technique of ['patchedLeaf', 'laminatedLeaf', 'freeLeafStem'] as const)
      expect(taken(technique).glue).toBe(0)
  })
})

describe('glue over backs: 4 g of piping gel for a dm²', () => {
  it('flat panels all over: 3 × 287 × 123 mm', () =>
    expect(taken('flatPanel').glue).toBeCloseTo(3 * 2.87 * 1.23 * GEL_G_PER_DM2, 1))
  it('box panels all over: four 180 × 124 mm, one 180 × 180 mm, twelve accents of half a square of 26 mm', () =>
    expect(taken('boxPanels').glue).toBeCloseTo(
      (4 * 1.8 * 1.24 + 1.8 * 1.8 + (12 * 0.26 * 0.26) / 2) * GEL_G_PER_DM2,
      1,
    ))
  it('a wrap here and there, over a third: 4 sheets of 287 mm, 120 × 1.15 ÷ 0.98 = 141 mm high', () =>
    expect(taken('formedWrap').glue).toBeCloseTo(4 * 2.87 * ((1.2 * 1.15) / 0.98) * 0.35 * GEL_G_PER_DM2, 1))
})

describe('mixtures', () => {
  it.each([
    ['openBloom', 'edibleGlue', 0.04],
    ['cuppedBloom', 'edibleGlue', 0.06],
    ['mouldedBloom', 'edibleGlue', 0.08],
    ['bud', 'edibleGlue', 0.04],
    ['floretDome', 'edibleGlue', 0.05],
    ['fillerSprig', 'edibleGlue', 0.02],
    ['patchedLeaf', 'edibleGlue', 0.05],
    ['freeLeafStem', 'edibleGlue', 0.06],
    ['stripScroll', 'edibleGlue', 0.02],
    ['layeredWings', 'edibleGlue', 0.15],
    ['foldedGlobe', 'edibleGlue', 0.1],
    ['fabricBow', 'edibleGlue', 0.1],
  ] as const)('%s: a dab of %s for each piece, spares too, %d ml', (technique, mixture, each) => {
    const it = taken(technique)
    expect(it.ml(mixture)).toBeCloseTo(it.pieces * each, 6)
  })
  it('a bow’s film goes over whole sheets, both faces, 5 ml for a dm²', () => {
    const it = taken('fabricBow')
    expect(it.ml('gelatineFilm')).toBeCloseTo(it.sheets * A4_DM2 * 2 * 5, 6)
  })
  it('fans are sponged as whole sheets, one face, 0.47 ml for a dm²', () => {
    const it = taken('gatheredFan')
    expect(it.ml('conditioner')).toBeCloseTo(it.sheets * A4_DM2 * 0.47, 6)
  })
  it('wraps are conditioned piece by piece: five of 287 × 141 mm, 0.47 ml for a dm²', () =>
    expect(taken('formedWrap').ml('conditioner')).toBeCloseTo(5 * 2.87 * ((1.2 * 1.15) / 0.98) * 0.47, 2))
  it('petals are dipped in a bowl that takes 60 ml, however few they are', () =>
    expect(taken('mouldedBloom').ml('conditioner')).toBe(60))
  it('lace: so many of 60 × 1.15 × 45 mm and a fifth for spares and edges each, 8 ml for a dm²', () => {
    const it = taken('castMesh')
    const { seenMm, highMm } = startingDecoration('it', 'castMesh', [round]).parameters as Record<string, number>
    const areaDm2 = (it.count * seenMm! * 1.15 * highMm! * 1.2 * 1.2) / 10000
    expect(it.ml('slurry')).toBeCloseTo(areaDm2 * 8, 4)
  })
})

describe('what is used up', () => {
  it.each([
    ['soakedSail', 'kitchenPaper', 7 * 0.5],
    ['openBloom', 'colouredSugar', 4 * 0.5],
    ['cuppedBloom', 'colouredSugar', 4 * 1.5],
    ['mouldedBloom', 'colouredSugar', 4 * 0.5],
    ['puff', 'fryingOil', 600],
    ['puff', 'kitchenPaper', 1],
    ['formedWrap', 'clingFilm', 1500],
    ['formedWrap', 'foodFat', 5],
    ['layeredWings', 'templateCard', 1],
    ['silhouette', 'templateCard', 1],
  ] as const)('%s: %s, %d', (technique, supply, amount) => expect(taken(technique).used(supply)).toBeCloseTo(amount, 6))
  it('alcohol to mist the pleats of fans, 0.3 ml for each piece', () => {
    const it = taken('gatheredFan')
    expect(it.used('alcohol')).toBeCloseTo(it.pieces * 0.3, 6)
  })
})

describe('wires: gauge, length, how many for four', () => {
  it.each([
    // Leaf wires are asked 56 and 67 mm long; in quarters of a wire of 360 mm they are 90. Nine leaves to a branch.
    ['patchedLeaf', [26, 360 / 4, 4 * 9]],
    ['laminatedLeaf', [26, 360 / 4, 4 * 9]],
    ['patchedLeaf', [20, 110 + 50, 4]],
    ['laminatedLeaf', [20, 120 + 50, 4]],
    ['fillerSprig', [26, 28 + 12, 4 * 9]],
  ] as const)('%s: %j', (technique, [gauge, lengthMm, many]) =>
    expect(taken(technique).wires).toContainEqual([gauge, lengthMm, many]),
  )
  it.each(['openBloom', 'cuppedBloom', 'mouldedBloom', 'bud'] as const)(
    '%s: one each, hooked 12 mm, 50 mm held',
    (technique) => {
      const [[, lengthMm, many]] = taken(technique).wires as [[number, number, number]]
      expect(many).toBe(4)
      expect(lengthMm).toBeGreaterThan(12 + 50)
    },
  )
})

describe('hands on the cake', () => {
  it.each([
    ['castMesh', 1],
    ['silhouette', 2],
    ['formedSail', 1],
    ['panSail', 1],
  ] as const)('%s: set in %d min each', (technique, each) => {
    const it = taken(technique)
    expect(it.placing).toBeCloseTo(it.count * each, 6)
  })
})

describe('hands: minutes for a piece, for an element, once to begin', () => {
  it.each([
    ['formedSail', 'wash', 5 * 2 + 10],
    ['panSail', 'pan', 5 * 3 + 15],
    ['steamedSpire', 'steam', 5 * 1.5 + 5],
    // Two shades, each dose mixed and tried in 8 min.
    ['soakedSail', 'soak', 7 * 5 + 2 * 8],
    ['formedWrap', 'press', 5 * 6 + 10],
    ['flatPanel', 'glue', 3 * 5 + 5],
    ['boxPanels', 'glue', 21 * 0.5 + 5 * 4 + 5],
    ['openBloom', 'cup', 73 * 0.35 + 5],
    ['openBloom', 'assemble', 73 * 0.35 + 4 * 2 + 5],
    ['cuppedBloom', 'lap', 104 * 0.4 + 5],
    ['cuppedBloom', 'assemble', 104 * 0.4 + 4 * 3 + 5],
    ['mouldedBloom', 'mould', 19 * 0.8 + 5],
    ['mouldedBloom', 'assemble', 19 * 0.7 + 4 * 3 + 5],
    ['bud', 'roll', 15 * 0.4 + 4 + 4],
    ['fillerSprig', 'join', 43 * 0.15 + 4 * 2 + 4],
    ['patchedLeaf', 'patch', 44 * 0.6 + 5],
    ['patchedLeaf', 'join', 44 * 0.3 + 4 * 3 + 5],
    ['laminatedLeaf', 'shape', 44 * 0.4 + 5],
    ['laminatedLeaf', 'join', 44 * 0.6 + 4 * 4 + 5],
    ['freeLeafStem', 'glue', 15 * 0.5 + 4 * 1.5 + 5],
    ['layeredWings', 'stack', 12 * 0.5 + 2 * 4],
    ['foldedGlobe', 'fold', 54 * 0.75 + 4 * 2],
    ['fabricBow', 'coat', 8 * 1.5 + 20],
    ['fabricBow', 'tie', 10],
    ['puff', 'fry', 5 * 0.5 + 15],
  ] as const)('%s, %s: %d min', (technique, step, minutes) =>
    expect(taken(technique).hands(step)).toBeCloseTo(minutes, 6),
  )
  it.each([
    ['gatheredFan', 'pleat', 2, 0, 0],
    ['tornRuffle', 'set', 0, 2.5, 5],
    ['floretDome', 'wire', 0.6, 0, 5],
    ['stripScroll', 'wind', 0, 4, 0],
    ['butterfly', 'fold', 1, 0, 3],
  ] as const)(
    '%s, %s: %d for a piece, %d for an element, %d to begin',
    (technique, step, perPiece, perElement, fixed) => {
      const it = taken(technique)
      expect(it.hands(step)).toBeCloseTo(it.wholes * perPiece + it.count * perElement + fixed, 6)
    },
  )
})
