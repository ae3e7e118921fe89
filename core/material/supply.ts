/** Things that are used up at the bench besides paper, colour, mixtures, glue and wire. */

/** On which shelf it is bought, how it is measured, what a usual pack holds and about what it costs: guesses. */
type BenchSupply = {
  readonly id: string
  readonly name: string
  readonly shelf: 'liquid' | 'equipment'
  readonly kind: 'count' | 'volume' | 'mass' | 'length'
  readonly pack: { readonly holds: number; readonly costsEuro: number }
}

const BENCH_SUPPLIES = [
  {
    id: 'kitchenPaper',
    name: 'kitchen paper, sheets',
    shelf: 'equipment',
    kind: 'count',
    pack: { holds: 100, costsEuro: 2.5 },
  },
  {
    id: 'fryingOil',
    name: 'plain oil for frying',
    shelf: 'liquid',
    kind: 'volume',
    pack: { holds: 1000, costsEuro: 3 },
  },
  { id: 'colouredSugar', name: 'coloured sugar', shelf: 'liquid', kind: 'mass', pack: { holds: 100, costsEuro: 4 } },
  { id: 'clingFilm', name: 'cling film', shelf: 'equipment', kind: 'length', pack: { holds: 20_000, costsEuro: 2 } },
  { id: 'foodFat', name: 'white food fat', shelf: 'liquid', kind: 'mass', pack: { holds: 200, costsEuro: 3 } },
  {
    id: 'templateCard',
    name: 'template card, sheets',
    shelf: 'equipment',
    kind: 'count',
    pack: { holds: 10, costsEuro: 3 },
  },
  { id: 'alcohol', name: 'strong clear alcohol', shelf: 'liquid', kind: 'volume', pack: { holds: 250, costsEuro: 9 } },
] as const satisfies readonly BenchSupply[]

export type BenchSupplyId = (typeof BENCH_SUPPLIES)[number]['id']

/** @throws for an id that is not listed */
export function benchSupplyOf(id: BenchSupplyId): BenchSupply {
  const supply = BENCH_SUPPLIES.find((each) => each.id === id)
  if (!supply) throw new Error(`Expected a supply of ${BENCH_SUPPLIES.map((each) => each.id).join(', ')}, got ${id}.`)
  return supply
}
