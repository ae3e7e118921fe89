/**
 * Pieces of a job as they are counted at the bench: how many are needed, cut, good and broken, and what to cut when
 * there are too few.
 */
import { boxOf, shareDiscs } from '../cut'
import { cornersAlong } from '../geometry'
import type { Bench } from '../ledger'
import { formatOf, paperOf } from '../material'
import { sailPart, withRecuts } from '../piece'
import { several } from '../quantity'
import type { Plan } from '../plan'

/** Pieces of one kind and size. `of` is the decoration they make. */
export type Part = {
  readonly id: string
  readonly of: string
  readonly name: string
  readonly needed: number
  readonly cut: number
  readonly colour: string
}

/**
 * A part with what came of it so far: how many can still be used, and how many of these are to spare; fewer than none
 * is a shortage.
 */
export type CountedPart = Part & {
  readonly good: number
  readonly broken: number
  readonly left: number
  readonly toSpare: number
}

type Planned = Pick<Plan, 'cutList' | 'paperwork' | 'bath' | 'groups' | 'discs'>

/** Every part of a job. */
export function partsOf({ cutList, paperwork, bath }: Planned, { recuts }: Pick<Bench, 'recuts'>): readonly Part[] {
  const again = (id: string): number => recuts.reduce((sum, { part, many }) => sum + (part === id ? many : 0), 0)
  const sails = cutList.sizeClasses.map(({ portion, discMm, needed, spares }): Part => {
    const id = sailPart({ portion, discMm })
    const like = cutList.pieces.find((piece) => sailPart(piece) === id)
    return {
      id,
      of: 'sails',
      name:
        portion === 'whole'
          ? `whole discs of ${discMm} mm`
          : `${portion === 'half' ? 'halves' : 'quarters'} of ${discMm} mm`,
      needed: needed.value,
      cut: needed.value + spares.value + again(id),
      colour: bath?.steps[like?.shade ?? 0]?.predictedHex ?? '#efece2',
    }
  })
  const paper = paperwork.flatMap(({ id: of, classes }) =>
    classes.map(({ name, needed, spares, colour, seenWidth }, at): Part => {
      const id = `${of}/${at}`
      const alike = classes.filter((each) => each.name === name)
      return {
        id,
        of,
        name:
          alike.length > 1
            ? `${several(name)}, size ${alike.findIndex((each) => each === classes[at]) + 1}, ${Math.round(seenWidth.value)} mm`
            : several(name),
        needed: needed.value,
        cut: needed.value + spares.value + again(id),
        colour,
      }
    }),
  )
  return [...sails, ...paper]
}

/** Parts with their counts. */
export const countedParts = (plan: Planned, bench: Pick<Bench, 'recuts' | 'counts'>): readonly CountedPart[] =>
  partsOf(plan, bench).map((part) => {
    const { good, broken } = bench.counts[part.id] ?? { good: 0, broken: 0 }
    const left = part.cut - broken
    return { ...part, good, broken, left, toSpare: left - part.needed }
  })

/** Pieces that are missing, how many to cut so that some are to spare again, and from where. */
export type Shortage = {
  readonly part: CountedPart
  readonly missing: number
  readonly many: number
  readonly from: string
}

/** Of pieces cut again as many break as of the others. */
const AGAIN_SPARE = 0.25
/** Curves as chords so near to them, mm. */
const CHORD_MM = 0.5

/** What is short, the worst first. */
export function shortages(plan: Planned, bench: Pick<Bench, 'recuts' | 'counts'>): readonly Shortage[] {
  return countedParts(plan, bench)
    .filter(({ toSpare }) => toSpare < 0)
    .map((part): Shortage => {
      const missing = -part.toSpare
      const many = missing + Math.ceil(missing * AGAIN_SPARE)
      return {
        part,
        missing,
        many,
        from: part.of === 'sails' ? fromDiscs(plan, part, many) : fromSheets(plan, part, many),
      }
    })
    .sort((one, other) => other.missing - one.missing)
}

const listed = (numbers: readonly number[]): string =>
  numbers.length === 1 ? String(numbers[0]) : `${numbers[0]}–${numbers.at(-1)}`

/** Which discs sectors cut again come from: what is left of those that were begun, then fresh ones. */
function fromDiscs({ cutList, discs }: Planned, { id }: Part, many: number): string {
  const { again } = withRecuts(cutList, [{ part: id, many }])
  const [pieces = []] = again
  const numbers = new Set(pieces.map(({ number }) => number))
  const on = shareDiscs(pieces, discs).filter(({ sectors }) => sectors.some(({ piece }) => numbers.has(piece.number)))
  const fresh = on.filter(({ number }) => number > discs.length)
  const begun = on.filter(({ number }) => number <= discs.length)
  return (
    [
      ...(begun.length > 0 ? [`what is left of disc ${begun.map(({ number }) => number).join(', ')}`] : []),
      ...(fresh.length > 0
        ? [
            `${fresh.length === 1 ? 'a fresh disc' : `${fresh.length} fresh discs`} of ` +
              `${fresh[0]!.diameterMm} mm, disc ${listed(fresh.map(({ number }) => number))}`,
          ]
        : []),
    ].join(' and ') + `: ${many === 1 ? 'piece' : 'pieces'} ${listed(pieces.map(({ number }) => number))}`
  )
}

/** Which sheets pieces cut again come from: the first rest that holds one, else as many fresh sheets as they take. */
function fromSheets({ groups, paperwork }: Planned, { id, of }: Part, many: number): string {
  const group = groups.find(({ parts }) => parts.some((part) => part.id === id))
  const part = group?.parts.find((each) => each.id === id)
  if (!group || !part) return 'a fresh sheet'
  const { widthMm, heightMm } = boxOf(cornersAlong(part.outline, CHORD_MM))
  const fits = (wide: number, high: number): boolean =>
    (widthMm <= wide && heightMm <= high) || (heightMm <= wide && widthMm <= high)
  const piecesCut = group.parts.reduce((sum, { quantity }) => sum + quantity, 0)
  const numbers = Array.from({ length: many }, (_, at) => piecesCut + at + 1)
  const rest = group.remainders.find(({ left }) => fits(left.widthMm, left.heightMm))
  const onSheet =
    paperwork.find((made) => made.id === of)?.classes[Number(id.slice(id.lastIndexOf('/') + 1))]?.onSheet ?? 1
  const sheets = Math.ceil(many / Math.max(1, onSheet))
  const next = group.layout.sheets.length + 1
  const fresh =
    `${sheets === 1 ? 'a fresh sheet' : `${sheets} fresh sheets`}, ${formatOf(group.format).name} ` +
    `of ${paperOf(group.paper).name}, sheet ${listed(Array.from({ length: sheets }, (_, at) => next + at))}`
  return (
    `${rest ? `the rest of sheet ${rest.sheet + 1}, and when that is used up ` : ''}${fresh}: ` +
    `${many === 1 ? 'piece' : 'pieces'} ${listed(numbers)}`
  )
}
