/** Papers that stay with whoever keeps the cake: what comes out before it is cut, its care, what it contains. */
import { chosenOption, type Commission } from '../commission'
import type { Bench } from '../ledger'
import { coveringOf, paperOf } from '../material'
import { type Plan } from '../plan'
import { dateClockText } from '../quantity'
import { type Packing } from './packing'
import { linesUnder, table, tableUnder, under, type About, type Block, type Paper } from './paper'
import { type Placing } from './placing'
import { packingPlan, checklist } from './packingPapers'
import { placingGuide } from './papers'

/**
 * What is not food and still in the cake, for whoever cuts it: what was counted in and not out again; before anything
 * is counted, what is planned to stay.
 */
function removalList({ plan, commission }: About, bench: Bench): Paper {
  const rows = plan.inedible.flatMap(({ id, name, count, where, stays }) => {
    const wentIn = bench.wentIn[id]
    const stillIn = wentIn === undefined ? (stays ? count.value : 0) : wentIn - (bench.cameOut[id] ?? 0)
    return stillIn > 0 ? [[String(stillIn), name, where]] : []
  })
  return {
    id: 'removal',
    title: 'Removal list',
    under: under(commission),
    blocks: [
      {
        kind: 'lines',
        lines: ['For whoever cuts the cake. None of this is food. Take it out and count it before anybody is served.'],
      },
      rows.length > 0
        ? table(['many', 'what', 'where'], rows, [0], true)
        : { kind: 'lines', lines: ['Nothing that is not food is left in this cake.'] },
      { kind: 'note', text: 'If a count is short, search before serving. Keep small parts from children.' },
    ],
  }
}

function carePaper({ plan, commission }: About): Paper {
  const { keep, eat, remove, ask } = plan.careCard
  const staying = remove.filter(({ stays }) => stays).map(({ name, count, where }) => [String(count), name, where])
  return {
    id: 'care',
    title: 'Care card',
    under: `${under(commission)}. For whoever keeps, cuts and serves the cake.`,
    blocks: [
      ...linesUnder('Keeping', keep),
      ...linesUnder('Cutting and eating', eat),
      ...tableUnder('To take out first', ['many', 'what', 'where'], staying, [0], true),
      ...linesUnder('Before serving', ask),
      ...linesUnder('In this cake', contentsOf(plan, commission)),
    ],
  }
}

/** What is in the cake that somebody may have to know: papers, colours, mixtures, coverings. */
function contentsOf(plan: Plan, commission: Commission): readonly string[] {
  const { cake, decorations } = chosenOption(commission)
  const dyes = plan.dyeUses.map(({ ml }) => ml.label)
  const holds = new Set([
    ...plan.decorations.filter(({ elements }) => elements.length > 0).flatMap(({ contains }) => contains),
    ...plan.mixtures.flatMap(({ parts }) =>
      parts
        .map(({ name }) => name)
        .filter((name) => name.includes('alcohol'))
        .map(() => 'alcohol' as const),
    ),
  ])
  const kinds = new Set(decorations.map(({ paper }) => paperOf(paper).kind))
  const starch = [...(kinds.has('wafer') ? ['Wafer paper'] : []), ...(kinds.has('film') ? ['Rice film'] : [])]
  return [
    ...(starch.length > 0 ? [`${starch.join(' and ')}: potato, rice or tapioca starch; packets tell of traces.`] : []),
    ...(dyes.length > 0 ? [`Food colours: ${dyes.join(', ')}. Some are restricted in some countries.`] : []),
    `Coverings: ${[...new Set(cake.tiers.map(({ covering }) => coveringOf(covering).name.toLowerCase()))].join(', ')}.`,
    ...([...holds].length > 0 ? [`Contains ${[...holds].join(', ')}.`] : []),
    'Labels of all products and local food rules come before this card.',
  ]
}

function signOff({ commission }: About, bench: Bench): Paper {
  const handed = bench.handedOver
  return {
    id: 'signOff',
    title: 'Hand-over',
    under: under(commission),
    blocks: [
      {
        kind: 'lines',
        lines: [
          'Handed over in good order: cake, removal list, care card, counts of what is not food.',
          ...(handed
            ? [
                `Handed over ${dateClockText(handed.at)} by ${handed.by || '—'} to ${handed.to || '—'}.`,
                ...(handed.notes ? [handed.notes] : []),
              ]
            : []),
        ],
      },
      ...(bench.photos.length > 0 ? [{ kind: 'photos', photos: bench.photos } satisfies Block] : []),
      { kind: 'signature', lines: ['Handed over by', 'Taken over by', 'Day and hour'] },
    ],
  }
}

/** Cautions that apply to this job, for those who work on it. */
const cautionPaper = ({ plan, commission }: About): Paper => ({
  id: 'cautions',
  title: 'Mind',
  under: under(commission),
  blocks: [
    {
      kind: 'lines',
      lines: [
        ...new Set([
          ...plan.cautions.map(({ say }) => say),
          ...plan.decorations
            .filter(({ elements }) => elements.length > 0)
            .flatMap(({ cautions }) => cautions.map(({ say }) => say)),
        ]),
      ],
    },
  ],
})

/** The pack that goes along, in the order it is used. */
export const handoverPack = (
  about: About,
  placings: readonly Placing[],
  packing: Packing,
  bench: Bench,
): readonly Paper[] => [
  placingGuide(about, placings),
  packingPlan(about, packing),
  checklist(about),
  removalList(about, bench),
  carePaper(about),
  cautionPaper(about),
  signOff(about, bench),
]
