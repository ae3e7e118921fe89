/** Wires, tape, patches and holders of everything that stands on wires. */
import { cutWires, type WireCuts, type WireDemand } from '../../assembly'
import { outlineAreaMm2 } from '../../geometry'
import { paperOf } from '../../material'
import { derive, found, starting, sumOf, type Working } from '../../quantity'
import { GAUGES, STOCK_WIRE_MM, type Gauge } from '../../technique'
import { wiresOf, type PlannedDecoration } from '../../decoration'

/** Wires of one gauge: how many stock wires are opened and what is cut from each. */
type GaugeWork = { readonly gauge: Gauge; readonly stock: Working; readonly cuts: WireCuts }

/** What has to be bought and cut to wire a cake. */
export type WireWork = {
  readonly gauges: readonly GaugeWork[]
  readonly tape: readonly Working[]
  readonly patches: Working | null
  readonly holders: Working | null
  /** Places in foam that are taken while everything wired dries. */
  readonly foam: Working | null
  readonly loads: readonly WireLoad[]
}

/** What the biggest element of a decoration weighs against what the wire of its stem holds up. */
type WireLoad = {
  readonly decoration: string
  readonly name: string
  readonly gauge: Gauge
  readonly weight: Working
  readonly holds: Working
}

const MM2_PER_DM2 = 10000

/** What a wire of a gauge holds upright at a hand's length, g; guidance, to be tried. */
const HOLDS_G: Readonly<Record<Gauge, number>> = { 26: 4, 24: 9, 22: 18, 20: 40 }
/** Glue, colour and tape on top of the paper. */
const BESIDES = 0.35

/** The weight of the biggest element, from the paper in it, and what the heaviest of its wires holds. */
function loadOf({ id, name, paper, classes, wiring }: PlannedDecoration): WireLoad | null {
  const [biggest] = wiring
  const [first] = classes
  if (!biggest || !first) return null
  const gauge = biggest.wiring.wires.reduce<Gauge>(
    (heaviest, wire) => (wire.gauge < heaviest ? wire.gauge : heaviest),
    26,
  )
  const own = classes.filter(({ members }) => members[0] === first.members[0])
  const dm2 = own.reduce(
    (sum, { outline, needed, members }) =>
      sum + ((Math.abs(outlineAreaMm2(outline)) / MM2_PER_DM2) * needed.value) / members.length,
    0,
  )
  return {
    decoration: id,
    name,
    gauge,
    weight: derive(
      `one of ${name.toLowerCase()} weighs`,
      'mass',
      'paper by its area',
      '{paper} × {grams} × ( 1 + {besides} )',
      {
        paper: found('paper in the biggest', dm2, 'area', 'of its pieces'),
        grams: starting('g for a dm²', paperOf(paper).gramsPerDm2, 'ratio', 'guess'),
        besides: starting('glue, colour and tape', BESIDES, 'share', 'guess'),
      },
      (v) => v.paper * v.grams * (1 + v.besides),
    ),
    holds: starting(`gauge ${gauge} holds`, HOLDS_G[gauge], 'mass', 'guess'),
  }
}

/** Pieces of wire of a gauge, those alike of one decoration together. */
const demandsOf = (gauge: Gauge, decorations: readonly PlannedDecoration[]): readonly WireDemand[] =>
  decorations.flatMap(({ name, wiring }) =>
    wiresOf(wiring)
      .filter((each) => each.gauge === gauge)
      .map(({ name: carries, lengthMm, count }) => ({ name: `${carries} of ${name.toLowerCase()}`, lengthMm, count })),
  )

function gaugeWork(gauge: Gauge, decorations: readonly PlannedDecoration[]): GaugeWork | null {
  const demands = demandsOf(gauge, decorations)
  if (demands.length === 0) return null
  const cuts = cutWires(demands, STOCK_WIRE_MM)
  const pieces = demands.reduce((sum, { count }) => sum + count, 0)
  const total = demands.reduce((sum, { count, lengthMm }) => sum + count * lengthMm, 0)
  return {
    gauge,
    cuts,
    stock: derive(
      `wires of gauge ${gauge}`,
      'count',
      'wires cut from stock',
      `{pieces} pieces, {total} together, cut from wires of {stock}${cuts.fewest ? '; fewer cannot do' : ''}`,
      {
        pieces: found('pieces of wire', pieces, 'count', 'of all elements'),
        total: found('length', total, 'length', 'of all pieces'),
        stock: starting('stock wire', STOCK_WIRE_MM, 'length', 'usual'),
      },
      () => cuts.wires,
    ),
  }
}

/** Amounts that each element takes, added up over a cake; none where none is taken. */
function addedUp(
  label: string,
  kind: 'length' | 'count',
  decorations: readonly PlannedDecoration[],
  of: (each: PlannedDecoration['wiring'][number]['wiring']) => Working | null,
): Working | null {
  const parts = decorations.flatMap(({ name, wiring }) =>
    wiring.flatMap(({ wiring: each, count }) => {
      const one = of(each)
      return one && one.value > 0
        ? [
            derive(
              `${label}, ${name.toLowerCase()}`,
              kind,
              'elements of a size',
              '{elements} × {one}',
              { elements: found('elements', count, 'count', 'of this size'), one },
              (v) => v.elements * v.one,
            ),
          ]
        : []
    }),
  )
  return parts.length > 0 ? sumOf(label, kind, 'decorations added up', parts) : null
}

/** Everything that follows for wires from what stands on a cake. */
export function wireStage({ decorations }: { readonly decorations: readonly PlannedDecoration[] }): WireWork {
  const tape = (['full', 'half'] as const).map((width) =>
    addedUp(`tape, ${width} width`, 'length', decorations, (each) => {
      const of = each.tape.filter((need) => need.width === width)
      return of.length > 0
        ? sumOf(
            'of one',
            'length',
            'tape added up',
            of.map(({ length }) => length),
          )
        : null
    }),
  )
  return {
    gauges: GAUGES.flatMap((gauge) => gaugeWork(gauge, decorations) ?? []),
    tape: tape.filter((each) => each !== null),
    patches: addedUp('patches from offcuts', 'count', decorations, ({ patches }) =>
      found('in one', patches, 'count', 'by its technique'),
    ),
    foam: addedUp('places in foam while drying', 'count', decorations, ({ wires }) =>
      found(
        'in one',
        wires.filter(({ name }) => name !== 'stem').reduce((sum, { perElement }) => sum + perElement, 0),
        'count',
        'by its technique',
      ),
    ),
    loads: decorations.flatMap((each) => loadOf(each) ?? []),
    holders: addedUp('holders in the cake', 'count', decorations, ({ holders }) =>
      found('for one', holders, 'count', 'by its technique'),
    ),
  }
}
