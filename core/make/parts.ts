/**
 * Pieces of a job as they are counted at the bench: how many are needed, cut, good and broken, and what to cut when
 * there are too few.
 */
import { shareDiscs } from '../cut'
import type { Bench } from '../ledger'
import { paperOf, shapeName } from '../material'
import type { CutGroup, Plan } from '../plan'
import { several } from '../quantity'

/** Pieces of one kind, size and shade. `of` is the decoration they make. */
type Part = {
  readonly id: string
  readonly size: string
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
type CountedPart = Part & {
  readonly good: number
  readonly broken: number
  readonly left: number
  readonly toSpare: number
}

type Planned = Pick<Plan, 'decorations' | 'dishes' | 'groups'>

/** What tells pieces of one name apart: the disc of a sector, else how large they are seen; and the shade. */
function nameOf(
  piece: Plan['decorations'][number]['classes'][number],
  all: Plan['decorations'][number]['classes'],
): string {
  const alike = all.filter(({ name }) => name === piece.name)
  const sizes = new Set(alike.map(({ seenWidth }) => Math.round(seenWidth.value)))
  const size = piece.sector
    ? ` of ${piece.sector.discMm} mm`
    : sizes.size > 1
      ? `, ${Math.round(piece.seenWidth.value)} mm`
      : ''
  const shades = new Set(alike.map(({ shade }) => shade))
  return `${several(piece.name)}${size}${shades.size > 1 ? `, shade ${piece.shade + 1}` : ''}`
}

/** Every part of a job. */
export function partsOf({ decorations, dishes }: Planned, { recuts }: Pick<Bench, 'recuts'>): readonly Part[] {
  const again = (id: string): number => recuts.reduce((sum, { part, many }) => sum + (part === id ? many : 0), 0)
  return decorations.flatMap(({ id: of, classes }) =>
    classes.map((piece): Part => ({
      id: piece.id,
      size: piece.size,
      of,
      name: nameOf(piece, classes),
      needed: piece.needed.value,
      cut: piece.needed.value + piece.spares.value + again(piece.id),
      colour: dishes.foretold[of]?.[piece.shade] ?? piece.colour,
    })),
  )
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

/**
 * What is short, the worst first. Spares of a size serve all its shades, so a size is short only when all of it is.
 */
export function shortages(plan: Planned, bench: Pick<Bench, 'recuts' | 'counts'>): readonly Shortage[] {
  const parts = countedParts(plan, bench)
  const spareIn = new Map<string, number>()
  for (const { size, toSpare } of parts) spareIn.set(size, (spareIn.get(size) ?? 0) + toSpare)
  return parts
    .filter(({ size, toSpare }) => toSpare < 0 && spareIn.get(size)! < 0)
    .map((part): Shortage => {
      const missing = Math.min(-part.toSpare, -spareIn.get(part.size)!)
      const many = missing + Math.ceil(missing * AGAIN_SPARE)
      return { part, missing, many, from: whereFrom(plan, bench, part.id, many) }
    })
    .sort((one, other) => other.missing - one.missing)
}

const listed = (numbers: readonly number[]): string =>
  numbers.length === 1 ? String(numbers[0]) : `${numbers[0]}–${numbers.at(-1)}`

/** Which sheets or discs pieces cut again come from: what is left of those that were begun, then fresh ones. */
function whereFrom({ groups }: Planned, { recuts }: Pick<Bench, 'recuts'>, part: string, many: number): string {
  const group = groups.find(({ parts }) => parts.some(({ id }) => id === part))
  if (!group) return 'a fresh sheet'
  return group.way === 'sectors' ? fromDiscs(group, recuts, part, many) : fromSheets(group, part, many)
}

function fromDiscs({ parts }: CutGroup, recuts: Bench['recuts'], part: string, many: number): string {
  const before = shareDiscs(parts, recuts).sheets
  const after = shareDiscs(parts, [...recuts, { part, many }]).sheets
  const cutBefore = before.reduce((sum, { pieces }) => sum + pieces.length, 0)
  const fresh = after.slice(before.length)
  const begun = after
    .slice(0, before.length)
    .flatMap(({ pieces }, at) => (pieces.some(({ number }) => number > cutBefore) ? [at + 1] : []))
  const numbers = Array.from({ length: many }, (_, at) => cutBefore + at + 1)
  const opened = fresh.map((_, at) => before.length + at + 1)
  return (
    [
      ...(begun.length > 0 ? [`what is left of disc ${begun.join(', ')}`] : []),
      ...(fresh.length > 0
        ? [
            `${fresh.length === 1 ? 'a fresh disc' : `${fresh.length} fresh discs`}, ${shapeName(fresh[0]!.shape)}, disc ${listed(opened)}`,
          ]
        : []),
    ].join(' and ') + `: ${many === 1 ? 'piece' : 'pieces'} ${listed(numbers)}`
  )
}

function fromSheets({ paper, shapes, layout, remainders }: CutGroup, part: string, many: number): string {
  const on = layout.sheets.map(({ pieces }) => pieces.filter((piece) => piece.part.id === part).length)
  const sheets = Math.max(1, Math.ceil(many / Math.max(1, ...on)))
  const cut = layout.sheets.reduce((sum, { pieces }) => sum + pieces.length, 0)
  const next = layout.sheets.length
  const [rest] = remainders
  const fresh = sheets === 1 ? 'a fresh sheet' : `${sheets} fresh sheets`
  const numbers = listed(Array.from({ length: sheets }, (_, at) => next + at + 1))
  const pieces = listed(Array.from({ length: many }, (_, at) => cut + at + 1))
  return (
    (rest ? `the rest of sheet ${rest.sheet + 1} where one fits, else ` : '') +
    `${fresh}, ${shapeName(shapes[0]!)} of ${paperOf(paper).name}, sheet ${numbers}: ` +
    `${many === 1 ? 'piece' : 'pieces'} ${pieces}`
  )
}
