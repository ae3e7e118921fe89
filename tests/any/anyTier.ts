/** Tiers at random, for properties that must hold of all of them. */
import fc from 'fast-check'
import { chordMm, roundTier, type Shape, type Tier } from '../../core/cake'

const size = fc.integer({ min: 80, max: 500 })
const corner = fc.integer({ min: 0, max: 40 })

/** Any shape a person may build. */
export const anyShape: fc.Arbitrary<Shape> = fc.oneof(
  size.map((acrossMm): Shape => ({ kind: 'round', acrossMm })),
  fc.tuple(size, corner).map(([sideMm, cornerMm]): Shape => ({ kind: 'square', sideMm, cornerMm })),
  fc
    .tuple(size, size, corner)
    .map(([widthMm, depthMm, cornerMm]): Shape => ({ kind: 'rectangle', widthMm, depthMm, cornerMm })),
  fc
    .tuple(fc.integer({ min: 3, max: 12 }), size, corner)
    .map(([sides, acrossFlatsMm, cornerMm]): Shape => ({ kind: 'polygon', sides, acrossFlatsMm, cornerMm })),
  fc.tuple(size, size).map(([widthMm, depthMm]): Shape => ({ kind: 'oval', widthMm, depthMm })),
  fc
    .tuple(fc.integer({ min: 5, max: 24 }), size, fc.double({ min: 1, max: 6, noNaN: true }))
    .map(([lobes, marksMm, wider]): Shape => ({
      kind: 'scalloped',
      lobes,
      marksMm,
      cutterMm: chordMm({ lobes, marksMm }) * wider,
    })),
)

/** Any tier that a person may build. */
export const anyTier: fc.Arbitrary<Tier> = fc
  .record({
    shape: anyShape,
    heightMm: fc.integer({ min: 30, max: 250 }),
    taperDeg: fc.integer({ min: -10, max: 15 }),
    turnDeg: fc.integer({ min: -180, max: 180 }),
    offset: fc.record({ rightMm: fc.integer({ min: -40, max: 40 }), backMm: fc.integer({ min: -40, max: 40 }) }),
    spacer: fc.option(
      fc.record({ heightMm: fc.integer({ min: 10, max: 80 }), acrossMm: fc.integer({ min: 60, max: 200 }) }),
    ),
  })
  .map((varied) => ({ ...roundTier('tier', 200, 100), ...varied }))
