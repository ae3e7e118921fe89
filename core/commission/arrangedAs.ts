/** A decoration arranged in another way, with what was set kept as far as the other way has it. */
import { compositionOf, type Composition, type Standing } from '../compose'
import type { Tier } from '../cake'
import type { CompositionKind } from '../technique'
import { fitting, startingComposition } from './beginnings'
import type { Decoration } from './commission'

type Fields = Readonly<Record<string, unknown>>

/** Shared by all of them and never set as a field, or told by another field. */
const NOT_KEPT = ['kind', 'seed', 'fromAngleDeg', 'toAngleDeg', 'fromHeightMm', 'toHeightMm']

/** What a field is called on its form. */
const labelOf = (kind: CompositionKind, key: string): string =>
  (compositionOf(kind).schema.shape[key]?.meta() as { readonly label?: string } | undefined)?.label ?? key

/** Fields of a composition that were set: those that differ from how it begins. A sweep’s ends tell an arc. */
function setFields(composition: Composition, beginning: Composition): Fields {
  const [own, began] = [composition as Fields, beginning as Fields]
  const set = Object.keys(own).filter((key) => !NOT_KEPT.includes(key) && own[key] !== began[key])
  const fields = Object.fromEntries(set.map((key) => [key, own[key]]))
  if (composition.kind !== 'sweep' || beginning.kind !== 'sweep') return fields
  const { fromAngleDeg, toAngleDeg } = composition
  if (fromAngleDeg === beginning.fromAngleDeg && toAngleDeg === beginning.toAngleDeg) return fields
  return {
    ...fields,
    middleDeg: (fromAngleDeg + toAngleDeg) / 2,
    spanDeg: Math.abs(toAngleDeg - fromAngleDeg),
  }
}

/** An arc as the ends of a sweep. */
const asEnds = ({ middleDeg, spanDeg }: Fields, { fromAngleDeg, toAngleDeg }: Fields): Fields => {
  const middle = typeof middleDeg === 'number' ? middleDeg : ((fromAngleDeg as number) + (toAngleDeg as number)) / 2
  const span = typeof spanDeg === 'number' ? spanDeg : (toAngleDeg as number) - (fromAngleDeg as number)
  return { fromAngleDeg: middle - span / 2, toAngleDeg: middle + span / 2 }
}

/**
 * A composition of another kind for a decoration, with the names of the fields that were kept, and of those that were
 * set and have no place in it.
 * @param known how it was arranged in this way before, if it was
 * @param standing what stands on the cake before it
 */
export function arrangedAs(
  decoration: Decoration,
  kind: CompositionKind,
  tiers: readonly Tier[],
  known: Composition | null = null,
  standing: readonly Standing[] = [],
): { readonly composition: Composition; readonly kept: readonly string[]; readonly lost: readonly string[] } {
  const { technique, parameters, composition } = decoration
  const begin = (of: CompositionKind): Composition => {
    const begun = startingComposition(of, technique, parameters, tiers, composition.seed)
    return fitting({ ...decoration, composition: begun } as Decoration, tiers, standing).composition
  }
  const base = known ?? begin(kind)
  const set = setFields(composition, begin(composition.kind))
  const { shape } = compositionOf(kind).schema
  const fits = (key: string): boolean => shape[key]?.safeParse(set[key]).success === true
  const arcAsEnds = kind === 'sweep' && ('middleDeg' in set || 'spanDeg' in set)
  const isKept = (key: string): boolean => fits(key) || (arcAsEnds && (key === 'middleDeg' || key === 'spanDeg'))
  const kept = Object.keys(set).filter(isKept)
  const values = Object.fromEntries(kept.filter(fits).map((key) => [key, set[key]]))
  return {
    composition: { ...base, ...values, ...(arcAsEnds && asEnds(set, base as Fields)) } as Composition,
    kept: kept.map((key) => labelOf(fits(key) ? kind : composition.kind, key)),
    lost: Object.keys(set)
      .filter((key) => !isKept(key))
      .map((key) => labelOf(composition.kind === 'sweep' && key === 'spanDeg' ? 'band' : composition.kind, key)),
  }
}
