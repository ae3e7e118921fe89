/** Papers of the bench: its steps, and the job looked back at. */
import type { Review, StepCard } from '../make'
import { clockText, dateText, dayOf } from '../quantity'
import { table, tableUnder, under, type About, type Block, type Paper } from './paper'

/** Picks and the like that hold something while it sets: they are counted out before the cake leaves the bench. */
function benchCounts({ plan }: About): readonly Block[] {
  const rows = plan.inedible
    .filter(({ stays }) => !stays)
    .map(({ name, count, where }) => [String(count.value), name, where])
  return tableUnder('Out before it leaves', ['many', 'what', 'where'], rows, [0], true)
}

/** Every step by hand on paper, for a bench without a screen. */
export function workPaper(about: About, cards: readonly StepCard[]): Paper {
  const { commission } = about
  const days = [...new Set(cards.map(({ from }) => dayOf(from)))]
  return {
    id: 'work',
    title: 'Steps',
    under: under(commission),
    blocks: [
      ...days.flatMap((day): readonly Block[] => [
        { kind: 'heading', text: dateText(day) },
        table(
          ['hour', 'step', 'amounts', 'mind'],
          cards
            .filter(({ from }) => dayOf(from) === day)
            .map(({ from, name, amounts, cautions }) => [
              clockText(from),
              name,
              amounts
                .slice(0, 3)
                .map(({ label, text }) => `${label} ${text}`)
                .join('; '),
              cautions.join(' '),
            ]),
          [],
          true,
        ),
      ]),
      ...benchCounts(about),
    ],
  }
}

/** A job looked back at. */
export const reviewPaper = ({ commission }: About, { lines, lessons }: Review): Paper => ({
  id: 'review',
  title: 'Looking back',
  under: under(commission),
  blocks: [
    table(
      ['what', 'planned', 'came out', 'off by'],
      lines.map(({ what, planned, actual, off }) => [
        what,
        planned,
        actual,
        off === null ? '' : `${off > 0 ? '+' : ''}${Math.round(off * 100)} %`,
      ]),
      [3],
    ),
    ...(lessons.length > 0
      ? [
          { kind: 'heading', text: 'What to change' } satisfies Block,
          {
            kind: 'lines',
            lines: lessons.map(({ words, because }) => (because ? `${words} (${because})` : words)),
          } satisfies Block,
        ]
      : []),
    ...(commission.bench.review?.change
      ? [{ kind: 'note', text: commission.bench.review.change } satisfies Block]
      : []),
  ],
})
