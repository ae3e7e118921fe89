import { between, derive, found, seededStream, seedFor, type Working } from '../../quantity'
import type { StandingTier } from '../../cake'
import type { Layout, PlacedElement } from '../../technique'
import { isOnTop, type Bouquet } from './define'
import { lineOf, type Line } from './line'
import { recipeCounts, type Member, type Wanted } from './recipe'
import { awayFromHeart, directionOf, faceOf, heartAlong, turnsOf, type Aim } from './room'
import { angleRound, clearOfCake } from './solid'
import { TOUCHES_MM, standing, roomLeft, type Ball, type Standing } from './standing'

/**
 * A bouquet packed: what each member's elements are and how many, how many of each were wanted, the face that was
 * covered.
 */
export type Packed = {
  readonly layouts: ReadonlyMap<string, Layout>
  readonly wanted: ReadonlyMap<string, number>
  readonly face: Working
}
/**
 * How far along the line from the heart focal blooms stand: the first near it, more of them further, as a share of the
 * line.
 */
const FOCAL_NEAR = 0.12
const FOCAL_MORE = 0.4
const TRIES = 44
const MOST = 160
/** Elements grow smaller from the heart outwards, to this share. */
const SMALLEST = 0.7
const SIZE_STEPS = 10
/** Sprays come in two sizes only: each is many leaves, and every size is cut apart. */
const SPRAY_SIZES = { large: 1, small: 0.8, from: 0.86 } as const

/** A size as it is cut: blooms in tenths, sprays large or small. */
const sizeStep = ({ form }: Member, size: number): number =>
  form.kind === 'bloom'
    ? Math.round(size * SIZE_STEPS) / SIZE_STEPS
    : size >= SPRAY_SIZES.from
      ? SPRAY_SIZES.large
      : SPRAY_SIZES.small

/** An aim for the next element: near the heart for what is focal, spread by a share of the line each for the rest. */
function aimFor({ role }: Member, bouquet: Bouquet, line: Line, share: number, stream: () => number): Aim {
  const [from, to] = turnsOf(bouquet)
  if (bouquet.place === 'top')
    return {
      along: (share + between(stream, -0.2, 0.2) + 1) % 1,
      roundDeg:
        role === 'focal'
          ? between(stream, 26, 90)
          : (Math.asin(between(stream, Math.sin((from * Math.PI) / 180), 1)) * 180) / Math.PI,
      lean: 0,
    }
  const heart = heartAlong(bouquet)
  const focal = role === 'focal'
  const raw =
    focal && !line.closed
      ? heart + between(stream, -1, 1) * (FOCAL_NEAR + FOCAL_MORE * share) * (1 - 0.4 * Math.abs(bouquet.movement))
      : focal
        ? share + between(stream, -0.08, 0.08)
        : between(stream, 0, 1)
  const along = line.closed ? (raw + 1) % 1 : Math.min(1, Math.max(0, raw))
  const towardsEnd = line.closed
    ? bouquet.movement
    : along < heart
      ? -awayFromHeart(along, heart, false)
      : awayFromHeart(along, heart, false)
  const leaves = role === 'leaf' ? 1.5 : 0.7
  return {
    along,
    roundDeg: focal ? between(stream, Math.max(from, 5), Math.min(to, 62)) : between(stream, from, to),
    lean: leaves * towardsEnd + between(stream, -0.3, 0.3),
  }
}

/**
 * Fills a bouquet: the count of each from its face and recipe, then one after the other, large first, each where of
 * many tries it leaves the most room and stands in nothing.
 * The same seed gives the same bouquet.
 * @param mostTopMm how high anything may reach above the board; null when it does not matter
 */
export function packBouquet(
  bouquet: Bouquet,
  members: readonly Member[],
  stack: readonly StandingTier[],
  mostTopMm: number | null,
): Packed {
  const line = lineOf(bouquet, stack)
  const face = faceOf(bouquet, line)
  const distance = clearOfCake(stack)
  const balls: Ball[] = []
  const layouts = new Map<string, Layout>()
  const counts = recipeCounts(bouquet, face, members)
  const isFree = ({ rim, balls: own }: Standing, role: Member['role']): boolean =>
    rim.every((point) => distance(point) >= -TOUCHES_MM) &&
    own.every(
      ({ at, radiusMm }) =>
        distance(at) >= (role === 'focal' || role === 'secondary' ? radiusMm * 0.3 : 0) &&
        (mostTopMm === null || at[2] + radiusMm <= mostTopMm),
    )
  counts.forEach((wanted, order) => {
    const elements: PlacedElement[] = []
    for (let each = 0; each < Math.min(MOST, wanted.count.value); each += 1) {
      const found = placeFor(wanted, each, order)
      if (!found) continue
      const index = elements.length
      elements.push(found.element(index))
      balls.push(...found.balls)
    }
    layouts.set(wanted.member.id, { elements, count: countOf(wanted, elements.length) })
  })
  return { layouts, wanted: new Map(counts.map(({ member: { id }, count }) => [id, count.value])), face }

  function placeFor(
    { member, count }: Wanted,
    each: number,
    order: number,
  ): { readonly element: (index: number) => PlacedElement; readonly balls: readonly Ball[] } | null {
    const seed = seedFor(bouquet.seed, 1000 * (order + 1) + each)
    const stream = seededStream(seed)
    let best: { readonly stands: Standing; readonly size: number; readonly score: number } | null = null
    for (let attempt = 0; attempt < TRIES; attempt += 1) {
      const aim = aimFor(member, bouquet, line, (each + 0.5) / count.value, stream)
      const nearHeart = 1 - (1 - SMALLEST) * directionOf(bouquet, line, aim).away
      const size = sizeStep(member, (line.closed ? 1 : nearHeart) * between(stream, 0.9, 1.04))
      const stands = standing(
        member,
        size,
        bouquet,
        line,
        aim,
        member.form.kind === 'bloom' ? between(stream, 0.82, 1) : between(stream, 0.85, 1.05),
      )
      const room = roomLeft(stands, balls)
      if (room < 0 || !isFree(stands, member.role)) continue
      // Blooms sit together and crowd to the heart; what fills goes where there is most room.
      const score =
        member.role === 'focal'
          ? -Math.min(room, 60) - 40 * stands.away
          : Math.min(room, 30) - (member.role === 'secondary' ? 18 : 6) * stands.away + between(stream, 0, 5)
      if (!best || score > best.score) best = { stands, size, score }
    }
    if (!best) return null
    const { stands, size } = best
    const { pose, balls: own, away, tier } = stands
    const on = stack[tier]!
    const [middle] = own
    const mirrored = between(stream, 0, 1) < 0.5
    const rollDeg = member.form.kind === 'bloom' ? between(stream, -180, 180) : between(stream, -40, 40)
    return {
      balls: own,
      element: (index) => ({
        index,
        tier,
        on: isOnTop(bouquet) && !stack[tier]!.carries ? 'top' : 'side',
        angleDeg: angleRound(on, middle!.at),
        spanDeg: 0,
        heightMm: middle!.at[2] - middle!.radiusMm,
        outMm: Math.hypot(middle!.at[0] - on.middle.x, middle!.at[1] - on.middle.y),
        size,
        rollDeg,
        row: 0,
        away,
        mirrored,
        pose,
        seed,
      }),
    }
  }
}

/** How many stand, with why fewer than wanted found a place. */
function countOf({ member, count }: Wanted, placed: number): Working {
  if (placed === count.value) return count
  return derive(
    member.name,
    'count',
    'a face covered',
    'of {wanted}, those that find a place',
    { wanted: count, full: found('no place left for', count.value - placed, 'count', 'each tried in many places') },
    () => placed,
  )
}
