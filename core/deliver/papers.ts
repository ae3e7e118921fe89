/** The papers that go along: placing guide, packing plan, checklist, removal list, care card, cautions, hand-over. */
import { tierWords } from '../cake'
import { chosenOption } from '../commission'
import { coveringOf, glueOf } from '../material'
import { printQuantity } from '../quantity'
import { numberedView, standingOf } from './elevation'
import { tableUnder, under, type About, type Paper } from './paper'
import { runsOf, STAGE_WORDS, type Placing } from './placing'

const SIDES = [
  { side: 'front', says: 'The front, numbered' },
  { side: 'back', says: 'The back, numbered' },
  { side: 'above', says: 'From above, numbered' },
] as const

/** Front and back with numbers, and for every number where, how fixed, how held. */
export function placingGuide({ plan, commission, units }: About, placings: readonly Placing[]): Paper {
  const { cake } = chosenOption(commission)
  const length = (mm: number): string => printQuantity(mm, 'length', units)
  const open = placings.filter(({ stage }) => stage !== 'dressed')
  const dressed = placings.filter(({ stage }) => stage === 'dressed')
  const standing = standingOf(plan, commission, placings)
  return {
    id: 'placing',
    title: 'Placing guide',
    under: under(commission),
    blocks: [
      {
        kind: 'pictures',
        pictures: SIDES.flatMap(({ side, says }) => {
          const picture = numberedView(plan.stack, cake.board, standing, side)
          return picture ? [{ picture, says }] : []
        }),
      },
      {
        kind: 'lines',
        lines: [
          ...(open.length > 0
            ? [
                'In order: focal point, then the large ones, then fill. The clock is seen from ' +
                  'above, front at six; heights are of the foot, above the board.',
              ]
            : []),
          ...(dressed.length > 0
            ? [
                `Already on: ${[...new Set(dressed.map(({ name }) => name))].join(', ')}, ` +
                  `numbers ${runsOf(dressed.map(({ number }) => number))}.`,
              ]
            : []),
        ],
      },
      ...tableUnder(
        null,
        ['no.', 'what', 'order', 'where', 'clock', 'foot at', 'tall'],
        open.map((each) => [
          String(each.number),
          each.name,
          STAGE_WORDS[each.stage],
          `${tierWords(plan.stack, each.tier)}, ${each.on}`,
          each.clock,
          each.on === 'top' ? `${length(each.outMm)} from the middle` : length(each.heightMm),
          length(each.seenHeightMm),
        ]),
        [0],
      ),
      ...tableUnder('Fix and hold', ['numbers', 'what', 'fix with', 'hold'], fixings(open)),
      { kind: 'heading', text: 'By covering' },
      {
        kind: 'lines',
        lines: cake.tiers.map(
          ({ covering }, at) =>
            `${tierWords(plan.stack, at)}: ${coveringOf(covering).name.toLowerCase()}, ` +
            `holds ${coveringOf(covering)
              .glues.map((id) => glueOf(id).name)
              .join(', ')}; ready when ${coveringOf(covering).readyWhen}.`,
        ),
      },
    ],
  }
}

/** How elements are fixed and held, those alike together. */
function fixings(open: readonly Placing[]): readonly (readonly string[])[] {
  const ways = new Map<string, Placing[]>()
  for (const each of open) {
    const key = `${each.decoration} ${each.fix} ${each.hold}`
    ways.set(key, [...(ways.get(key) ?? []), each])
  }
  return [...ways.values()].map((same) => [
    runsOf(same.map(({ number }) => number)),
    same[0]!.name,
    same[0]!.fix,
    same[0]!.hold,
  ])
}
