import { z } from 'zod'
import type { CompositionKind } from '../technique'
import { band } from './band'
import { cluster } from './cluster'
import { crown } from './crown'
import type { Composition as Definition } from './define'
import { pair } from './pair'
import { scatter } from './scatter'
import { single } from './single'
import { sweep } from './sweep'

export { bandRoom, type Band } from './band'
export { footShare } from './crown'
export {
  BOUQUET_ROLE_LABELS,
  BOUQUET_ROLES,
  bouquetHandles,
  bouquetSchema,
  gatheredSchema,
  packBouquet,
  placedAt,
  pullBouquet,
  recipeCounts,
  startingBouquet,
  type Bouquet,
  type BouquetPlace,
  type BouquetRole,
  type Member,
  type Packed,
} from './bouquet'
export {
  byHandSchema,
  FIRST_ADDED,
  nextAdded,
  pinned,
  putting,
  standing,
  takingOut,
  unpinning,
  untouched,
  withByHand,
  type ByHand,
} from './byHand'
export {
  askedOf,
  keepingFree,
  overlap,
  patchOf,
  spreadOf,
  turned,
  type Ground,
  type Handle,
  type Patch,
  type Spot,
} from './define'
export { freePatches, quietSchema, type Quiet, type Standing } from './quiet'
export { distanceFromHeart, meanSize, placeAlong, pointAlong, sizeAlong, sweepPath } from './sweepPath'
export { type Sweep } from './sweepPath'
export { countSweep } from './sweep'

/** Every composition. To add one: write its file, list it here. */
export const COMPOSITIONS = [band, sweep, cluster, crown, scatter, pair, single] as const

export const compositionSchema = z.discriminatedUnion('kind', [
  band.schema,
  sweep.schema,
  cluster.schema,
  crown.schema,
  scatter.schema,
  pair.schema,
  single.schema,
])

export type Composition = z.infer<typeof compositionSchema>

type AnyComposition = Omit<Definition<z.ZodObject>, 'starting' | 'layOut' | 'handles' | 'pull'> & {
  readonly starting: (...beginning: Parameters<typeof band.starting>) => Composition
  readonly layOut: (
    values: Composition,
    ...ground: [Parameters<typeof band.layOut>[1]]
  ) => ReturnType<typeof band.layOut>
  readonly handles: (values: Composition, stack: Parameters<typeof band.handles>[1]) => ReturnType<typeof band.handles>
  readonly pull: (
    values: Composition,
    handle: string,
    to: Parameters<typeof band.pull>[2],
    stack: Parameters<typeof band.pull>[3],
  ) => Composition
}

/** The definition of a kind. @throws for a kind that is not listed: files are checked before they come this far */
export function compositionOf(kind: CompositionKind): AnyComposition {
  const found = COMPOSITIONS.find((each) => each.kind === kind)
  if (!found)
    throw new Error(`Expected a composition of ${COMPOSITIONS.map((each) => each.kind).join(', ')}, got ${kind}.`)
  return found as unknown as AnyComposition
}
