/** Papers for packing and the road: what goes in which box, what must be with you. */
import { counted, dayClockText, parseMoment, printQuantity, valueOf, type Moment } from '../quantity'
import { repairKitOf, type Packing } from './packing'
import { table, tableUnder, under, type About, type Block, type Paper } from './paper'

/** What goes into which box, in which order. */
export function packingPlan({ plan, commission, units }: About, packing: Packing): Paper {
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
      ...tableUnder(null, ['box', 'which', 'layer, from below', 'what', 'high'], rows, [0], true),
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
      ...tableUnder(
        'Repair kit',
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

/** What must be done and be with you, by the hour. */
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
      text: `Leave; ${brief.driveMin} min on the road${brief.stops.length > 0 ? ` and ${counted(brief.stops.length, 'stop')}` : ''}`,
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
    {
      id: 'look',
      at: hour('photograph') ?? hour('handOver'),
      text: 'Looked at from the front at arm’s length, photographed',
    },
    { id: 'handed', at: hour('handOver'), text: 'Removal list and care card handed over and signed' },
  ]
}

/** The checklist as a paper. */
export function checklist(about: About): Paper {
  const rows = checklistOf(about).map(({ at, text }) => [at === null ? '' : dayClockText(at), text])
  return {
    id: 'checklist',
    title: 'Venue checklist',
    under: under(about.commission),
    blocks:
      rows.length > 0
        ? [table(['hour', 'what'], rows, [], true)]
        : [{ kind: 'lines', lines: ['There are no hours for this job yet; Timetable says why.'] }],
  }
}
