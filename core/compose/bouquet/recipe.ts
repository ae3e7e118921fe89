import { derive, found, sumOf, typed, type Working } from '../../quantity'
import type { SeenSize } from '../../technique'
import { BOUQUET_ROLES, type Bouquet, type BouquetRole } from './define'

/**
 * How an element is gathered: a bloom shows its round face; a spray runs out along its stem, so thick as a share of
 * its width.
 */
type GatheredForm = { readonly kind: 'bloom' } | { readonly kind: 'spray'; readonly girth: number }

/** A decoration gathered in a bouquet: what it is for, how many parts of the recipe, how large it is seen. */
export type Member = {
  readonly id: string
  readonly name: string
  readonly role: BouquetRole
  readonly parts: number
  readonly seen: SeenSize
  readonly form: GatheredForm
}

/** How many of a member a bouquet wants. */
export type Wanted = { readonly member: Member; readonly count: Working }

const MM2_PER_DM2 = 10000
/** A spray lies partly below blooms: so much of its length and width covers the face. */
const SPRAY_COVERS = 0.22

/** What one element covers of a bouquet's face, dm². */
function coveredBy({ name, seen: { widthMm, heightMm }, form }: Member): Working {
  return form.kind === 'bloom'
    ? found(
        `face of one of ${name}`,
        ((Math.PI / 4) * widthMm * heightMm) / MM2_PER_DM2,
        'area',
        'a disc as large as it is seen',
      )
    : found(
        `face of one of ${name}`,
        (SPRAY_COVERS * widthMm * heightMm) / MM2_PER_DM2,
        'area',
        'part of its length by its width: it lies between',
      )
}

/**
 * How many of each a bouquet takes: its face, as full as wanted, divided by what a share of the recipe covers.
 *
 * By hand: a face of 2 dm², 60 % full, of 1 part blooms of 0.20 dm² and 3 parts buds of 0.04 dm²: 2 × 0.6 ÷ ( 0.20 +
 * 3 × 0.04 ) = 3.75 shares,
 * so 4 blooms and 11 buds.
 * @returns members in the order in which they are placed, large first; none when the recipe is empty
 */
export function recipeCounts(
  bouquet: Pick<Bouquet, 'full'>,
  face: Working,
  members: readonly Member[],
): readonly Wanted[] {
  const used = members.filter(({ parts }) => parts > 0)
  if (used.length === 0) return []
  const perShare = sumOf(
    'a share covers',
    'area',
    'recipe added up',
    used.map((member) => {
      const parts = typed(`parts of ${member.name}`, member.parts, 'count', 'Arrange')
      return derive(
        `share of ${member.name}`,
        'area',
        'recipe',
        '{parts} × {each}',
        { parts, each: coveredBy(member) },
        (v) => v.parts * v.each,
      )
    }),
  )
  const shares = derive(
    'shares of the recipe',
    'ratio',
    'a face covered',
    '{face} × {full} ÷ {share}',
    { face, full: typed('full', bouquet.full, 'share', 'Arrange'), share: perShare },
    (v) => (v.face * v.full) / v.share,
  )
  return [...used]
    .sort(
      (one, other) =>
        BOUQUET_ROLES.indexOf(one.role) - BOUQUET_ROLES.indexOf(other.role) ||
        coveredBy(other).value - coveredBy(one).value,
    )
    .map((member) => ({
      member,
      count: derive(
        `wanted of ${member.name}`,
        'count',
        'a face covered',
        'round( {parts} × {shares} ), at least 1',
        { parts: typed(`parts of ${member.name}`, member.parts, 'count', 'Arrange'), shares },
        (v) => Math.max(1, Math.round(v.parts * v.shares)),
      ),
    }))
}
