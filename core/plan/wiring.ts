/** Wires, tape, patches and holders of everything that stands on wires. */
import { cutWires, type WireCuts, type WireDemand } from '../assembly'
import { derive, found, several, starting, sumOf, type Working } from '../quantity'
import { GAUGES, type Gauge } from '../technique'
import type { Paperwork } from './paperwork'

/** Wires of one gauge: how many stock wires are opened and what is cut from each. */
export type GaugeWork = { readonly gauge: Gauge, readonly stock: Working, readonly cuts: WireCuts }

/** What has to be bought and cut to wire a cake. */
export type WireWork = { readonly gauges: readonly GaugeWork[], readonly tape: readonly Working[], readonly patches: Working | null, readonly holders: Working | null }

/** Wires are sold about so long, mm. */
const STOCK_MM = 360

/** Pieces of wire of a gauge, those alike together: same decoration, same use, same length. */
function demandsOf(gauge: Gauge, paperwork: readonly Paperwork[]): readonly WireDemand[] {
  const demands = new Map<string, WireDemand>()
  for (const { name, wiring } of paperwork) {
    for (const { wiring: { wires }, count } of wiring) {
      for (const wire of wires.filter((each) => each.gauge === gauge)) {
        const lengthMm = Math.ceil(wire.length.value)
        const key = `${name} ${wire.name} ${lengthMm}`
        const before = demands.get(key)?.count ?? 0
        demands.set(key, { name: `${wire.name} of ${name.toLowerCase()}`, lengthMm, count: before + count * wire.perElement })
      }
    }
  }
  return [...demands.values()]
}

function gaugeWork(gauge: Gauge, paperwork: readonly Paperwork[]): GaugeWork | null {
  const demands = demandsOf(gauge, paperwork)
  if (demands.length === 0) return null
  const cuts = cutWires(demands, STOCK_MM)
  const pieces = demands.reduce((sum, { count }) => sum + count, 0)
  const total = demands.reduce((sum, { count, lengthMm }) => sum + count * lengthMm, 0)
  return {
    gauge, cuts,
    stock: derive(`wires of gauge ${gauge}`, 'count', 'wires cut from stock', `{pieces} pieces, {total} together, cut from wires of {stock}${cuts.fewest ? '; fewer cannot do' : ''}`, {
      pieces: found('pieces of wire', pieces, 'count', 'of all elements'), total: found('length', total, 'length', 'of all pieces'), stock: starting('stock wire', STOCK_MM, 'length', 'usual'),
    }, () => cuts.wires),
  }
}

/** Amounts that each element takes, added up over a cake; none where none is taken. */
function addedUp(label: string, kind: 'length' | 'count', paperwork: readonly Paperwork[], of: (each: Paperwork['wiring'][number]['wiring']) => Working | null): Working | null {
  const parts = paperwork.flatMap(({ name, wiring }) => wiring.flatMap(({ wiring: each, count }) => {
    const one = of(each)
    return one && one.value > 0 ? [derive(`${label}, ${name.toLowerCase()}`, kind, 'elements of a size', '{elements} × {one}', { elements: found(several('element'), count, 'count', 'of this size'), one }, (v) => v.elements * v.one)] : []
  }))
  return parts.length > 0 ? sumOf(label, kind, 'decorations added up', parts) : null
}

/** Everything that follows for wires from what stands on a cake. */
export function wireStage({ paperwork }: { readonly paperwork: readonly Paperwork[] }): WireWork {
  const tape = (['full', 'half'] as const).map((width) => addedUp(`tape, ${width} width`, 'length', paperwork, (each) => {
    const of = each.tape.filter((need) => need.width === width)
    return of.length > 0 ? sumOf('of one', 'length', 'tape added up', of.map(({ length }) => length)) : null
  }))
  return {
    gauges: GAUGES.flatMap((gauge) => gaugeWork(gauge, paperwork) ?? []),
    tape: tape.filter((each) => each !== null),
    patches: addedUp('patches from offcuts', 'count', paperwork, ({ patches }) => found('in one', patches, 'count', 'by its technique')),
    holders: addedUp('holders in the cake', 'count', paperwork, ({ holders }) => found('for one', holders, 'count', 'by its technique')),
  }
}
