/** The papers that go along: placing guide, packing plan, checklist, removal list, care card, cautions, hand-over. */
import { chosenOption, type Commission } from '../commission'
import type { Bench } from '../ledger'
import { coveringOf, paperOf } from '../material'
import { type Plan } from '../plan'
import { dateClockText, dayClockText, parseMoment, printQuantity, valueOf, type Moment } from '../quantity'
import { elevation, standingOf } from './elevation'
import { repairKitOf, type Packing } from './packing'
import { table, under, type About, type Block, type Paper } from './paper'
import { runsOf, STAGE_WORDS, type Placing } from './placing'

const tierName = (tier: number, tiers: number): string =>
  tiers === 1 ? 'the tier' : tier === 0 ? 'bottom tier' : tier === tiers - 1 ? 'top tier' : `tier ${tier + 1}`

/** Front and back with numbers, and for every number where, how fixed, how held. */
function placingGuide({ plan, commission, units }: About, placings: readonly Placing[]): Paper {
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
        pictures: (['front', 'back'] as const).map((side) => ({
          picture: elevation(plan.stack, cake.board, standing, side),
          says: side === 'front' ? 'The front, numbered' : 'The back, numbered',
        })),
      },
      {
        kind: 'lines',
        lines: [
          'In order: focal point, then the large ones, then fill. The clock is seen from ' +
            'above, front at six; heights are of the foot, above the board.',
          ...(dressed.length > 0
            ? [
                `Already on: ${[...new Set(dressed.map(({ name }) => name))].join(', ')}, ` +
                  `numbers ${runsOf(dressed.map(({ number }) => number))}.`,
              ]
            : []),
        ],
      },
      table(
        ['no.', 'what', 'order', 'where', 'clock', 'foot at', 'tall'],
        open.map((each) => [
          String(each.number),
          each.name,
          STAGE_WORDS[each.stage],
          `${tierName(each.tier, cake.tiers.length)}, ${each.on}`,
          each.clock,
          each.on === 'top' ? `${length(each.outMm)} from the middle` : length(each.heightMm),
          length(each.seenHeightMm),
        ]),
        [0],
      ),
      { kind: 'heading', text: 'Fix and hold' },
      table(['numbers', 'what', 'fix with', 'hold'], fixings(open)),
      { kind: 'heading', text: 'By covering' },
      {
        kind: 'lines',
        lines: cake.tiers.map(
          ({ covering }, at) =>
            `${tierName(at, cake.tiers.length)}: ${coveringOf(covering).name.toLowerCase()}, ` +
            `${coveringOf(covering).glue}; ready when ${coveringOf(covering).readyWhen}.`,
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

function packingPlan({ plan, commission, units }: About, packing: Packing): Paper {
  const length = (mm: number): string => printQuantity(mm, 'length', units)
  const rows = packing.boxes.flatMap(({ box, number, layers, missing }) =>
    layers.map(({ items, highMm }, at) => {
      const names = [...new Set(items.map(({ many }) => many))].map((many) => {
        const own = items.filter((item) => item.many === many)
        return `${own.length} ${own.length === 1 ? own[0]!.name : many}`
      })
      return [
        `${number}`,
        `${box.name}${missing ? ' (to get)' : ''}, ${length(box.lengthMm)} × ${length(box.widthMm)} × ${length(box.heightMm)}`,
        `${at + 1} of ${layers.length}`,
        names.join(', '),
        length(highMm),
      ]
    }),
  )
  return {
    id: 'packing',
    title: 'Packing plan',
    under: under(commission),
    blocks: [
      {
        kind: 'lines',
        lines: [
          packing.rides.length > 0 ? `On the cake: ${packing.rides.join(', ')}.` : 'Nothing rides on the cake.',
          `The cake in its box: ${plan.fit.fits ? 'it fits' : 'it does not fit as planned, see Tiers'}, ` +
            `${length(plan.fit.clearance.high.value)} free above.`,
        ],
      },
      table(['box', 'which', 'layer, from below', 'what', 'high'], rows, [0], true),
      ...(packing.tooLarge.length > 0
        ? [
            {
              kind: 'note',
              text:
                `Fits in no box there is: ` +
                packing.tooLarge
                  .map(
                    ({ name, ...size }) =>
                      `${name}, ${length(size.lengthMm)} × ${length(size.widthMm)} × ${length(size.highMm)}`,
                  )
                  .join('; ') +
                `. Add a larger box.`,
            } satisfies Block,
          ]
        : []),
      {
        kind: 'lines',
        lines: [
          'Soft paper below, between and above each layer; wired things upright in foam.',
          `A bag of food-safe desiccant in each box, ${packing.boxes.length} in all; boxes closed until placing.`,
        ],
      },
      { kind: 'heading', text: 'Repair kit' },
      table(
        ['many', 'what'],
        repairKitOf(plan, commission).map(({ many, name }) => [String(many), name]),
        [0],
        true,
      ),
    ],
  }
}

/** A thing to do on the way and at the venue, with its hour. */
export type ChecklistLine = { readonly id: string; readonly at: Moment | null; readonly text: string }

export function checklistOf({ plan, commission }: Omit<About, 'units'>): readonly ChecklistLine[] {
  const { brief } = commission
  if (!plan.timetable.ok) return []
  const { slots, leaveAt, atVenueBy } = plan.timetable.value
  const hour = (kind: string): Moment | null => slots.find((slot) => slot.kind === kind)?.from ?? null
  const eventAt = valueOf(parseMoment(brief.eventAt))
  const opensAt = Math.floor(eventAt / 1440) * 1440 + brief.venueOpensMin
  const atVenue = brief.completion === 'atVenue'
  return [
    { id: 'boxes', at: hour('pack'), text: 'All boxes packed and closed, repair kit on top' },
    { id: 'counted-in', at: hour('pack'), text: 'What is not food counted in, list signed' },
    {
      id: 'car',
      at: hour('loadCar'),
      text: `Car ${brief.transport.coolCar ? 'cooled' : 'aired'}, floor level, non-slip mat`,
    },
    { id: 'papers', at: hour('loadCar'), text: 'Placing guide, removal list and care card printed' },
    {
      id: 'leave',
      at: leaveAt,
      text: `Leave; ${brief.driveMin} min on the road${brief.stops.length > 0 ? ` and ${brief.stops.length} stops` : ''}`,
    },
    {
      id: 'arrive',
      at: Math.max(atVenueBy, opensAt),
      text: 'At the venue: table level, out of sun, away from kitchen and doors',
    },
    {
      id: 'climate',
      at: Math.max(atVenueBy, opensAt),
      text:
        `Air about ${Math.round(brief.venue.humidity * 100)} % and ` +
        `${Math.round(brief.venue.airC)} °C; if damper, place as late as you can`,
    },
    ...(plan.cake.slowest && atVenue
      ? [{ id: 'warm', at: hour('warm'), text: 'Cake warmed through and dry before paper goes on' }]
      : []),
    ...(atVenue ? [{ id: 'place', at: hour('place'), text: 'Everything placed, holding picks out and counted' }] : []),
    { id: 'look', at: hour('photograph'), text: 'Looked at from the front at arm’s length, photographed' },
    { id: 'handed', at: hour('photograph'), text: 'Removal list and care card handed over and signed' },
  ]
}

const checklist = (about: About): Paper => ({
  id: 'checklist',
  title: 'Venue checklist',
  under: under(about.commission),
  blocks: [
    table(
      ['hour', 'what'],
      checklistOf(about).map(({ at, text }) => [at === null ? '' : dayClockText(at), text]),
      [],
      true,
    ),
  ],
})

/** Everything that is not food, in and out; what stays is for whoever cuts the cake. */
function removalList({ plan, commission }: About, bench: Bench): Paper {
  const rows = plan.inedible.map(({ id, name, count, where }) => [
    String(count.value),
    name,
    where,
    String(bench.wentIn[id] ?? ''),
    String(bench.cameOut[id] ?? ''),
  ])
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
        ? table(['many', 'what', 'where', 'in', 'out'], rows, [0, 3, 4], true)
        : { kind: 'lines', lines: ['Nothing that is not food is left in this cake.'] },
      { kind: 'note', text: 'If a count is short, search before serving. Keep small parts from children.' },
    ],
  }
}

const carePaper = ({ plan, commission }: About): Paper => ({
  id: 'care',
  title: 'Care card',
  under: `${under(commission)}. For whoever keeps, cuts and serves the cake.`,
  blocks: [
    { kind: 'heading', text: 'Keeping' },
    { kind: 'lines', lines: plan.careCard.keep },
    { kind: 'heading', text: 'Cutting and eating' },
    { kind: 'lines', lines: plan.careCard.eat },
    { kind: 'heading', text: 'To take out first' },
    table(
      ['many', 'what', 'where'],
      plan.careCard.remove.filter(({ stays }) => stays).map(({ name, count, where }) => [String(count), name, where]),
      [0],
      true,
    ),
    { kind: 'heading', text: 'Before serving' },
    { kind: 'lines', lines: plan.careCard.ask },
    { kind: 'heading', text: 'In this cake' },
    { kind: 'lines', lines: contentsOf(plan, commission) },
  ],
})

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
