/** The cake from the front, the back and above, to scale: everything as it stands, what is to be placed with its number. */
import { chosenOption, type Commission } from '../commission'
import type { Board, StandingTier } from '../cake'
import { paperStand, wholePart, type OnPaper, type Picture, type Shape, type Side } from '../draw'
import { circle, polyline, type Point } from '../geometry'
import { drawnElements, type Plan } from '../plan'
import type { Placing } from './placing'
import { spreadTags } from './tags'

const LINE = '#2a1c2c'
const TAGS: Readonly<Record<Placing['stage'], string>> = {
  dressed: '#efe3cf',
  focal: '#f3c566',
  large: '#ffffff',
  fill: '#d9ebe4',
}
const MOST_TAGS = 90

/** Something that is placed, as it is drawn. */
type PlacedAsDrawn = Pick<Placing, 'number' | 'stage' | 'angleDeg' | 'on'> & Pick<OnPaper, 'colour' | 'parts'>

/** Everything that is placed, as it stands in space. */
export function standingOf(plan: Plan, commission: Commission, placings: readonly Placing[]): readonly PlacedAsDrawn[] {
  const drawn = new Map(
    chosenOption(commission).decorations.map((decoration) => [decoration.id, drawnElements(decoration, plan)]),
  )
  return placings.map(({ number, stage, angleDeg, on, decoration, index }) => {
    const { mesh, colour } = drawn.get(decoration)![index]!
    return { number, stage, angleDeg, on, colour, parts: [wholePart(mesh)] }
  })
}

/** What lies on a top is seen from front and back; what is on a side from its own. What is dressed has no number. */
function shownFrom(side: Side, { on, angleDeg, stage }: PlacedAsDrawn): OnPaper['shown'] {
  if (side === 'above') return on === 'side' || stage === 'dressed' ? 'pale' : 'strong'
  if (on !== 'top' && Math.abs(angleDeg) <= 90 !== (side === 'front')) return 'hidden'
  return stage === 'dressed' ? 'pale' : 'strong'
}

/** Numbers at places of a picture, led to where they had to give way. */
function marksAt(
  numbered: readonly (Pick<PlacedAsDrawn, 'number' | 'stage'> & { readonly place: Point })[],
  radius: number,
  paper: Pick<Picture, 'widthMm' | 'heightMm'>,
): readonly Shape[] {
  const places = numbered.map(({ place }) => place)
  return spreadTags(places, radius, paper).flatMap(({ wants, at: put }, index): readonly Shape[] => [
    ...(Math.hypot(put.x - wants.x, put.y - wants.y) > radius
      ? [{ kind: 'outline', outline: polyline([put, wants]), stroke: LINE, strokeMm: 0.35 } satisfies Shape]
      : []),
    { kind: 'outline', outline: circle(put, radius), fill: TAGS[numbered[index]!.stage], stroke: LINE, strokeMm: 0.35 },
    {
      kind: 'label',
      at: put,
      text: String(numbered[index]!.number),
      sizeMm: radius * 1.05,
      colour: LINE,
      anchor: 'middle',
      bold: true,
    },
  ])
}

/** The cake from a side, with a number on all that is placed there; null from above where nothing stands up there. */
export function numberedView(
  stack: readonly StandingTier[],
  board: Board,
  standing: readonly PlacedAsDrawn[],
  side: Side,
): Picture | null {
  const shown = standing.map((each) => ({ ...each, shown: shownFrom(side, each) }))
  if (side === 'above' && shown.every((each) => each.shown !== 'strong')) return null
  const { widthMm, heightMm, shapes, middles } = paperStand(stack, board, shown, side)
  // What has no outline from this side has no place for a number either.
  const numbered = shown
    .flatMap((each, index) => (middles[index] ? [{ ...each, place: middles[index] }] : []))
    .filter((each) => each.shown === 'strong')
    .slice(0, MOST_TAGS)
  const marks = marksAt(numbered, Math.max(5, widthMm / 62), { widthMm, heightMm })
  return { widthMm, heightMm, shapes: [...shapes, ...marks] }
}
