/** Things that are used up at the bench besides paper, colour, mixtures, glue and wire. */

/** On which shelf it is bought, how it is measured, in which packs it is usually sold. */
type BenchSupply = {
  readonly id: string
  readonly name: string
  readonly shelf: 'liquid' | 'equipment'
  readonly kind: 'count' | 'volume' | 'mass' | 'length'
  readonly pack: number
}

const BENCH_SUPPLIES = [
  { id: 'kitchenPaper', name: 'kitchen paper, sheets', shelf: 'equipment', kind: 'count', pack: 100 },
  { id: 'fryingOil', name: 'plain oil for frying', shelf: 'liquid', kind: 'volume', pack: 1000 },
  { id: 'colouredSugar', name: 'coloured sugar', shelf: 'liquid', kind: 'mass', pack: 100 },
  { id: 'clingFilm', name: 'cling film', shelf: 'equipment', kind: 'length', pack: 20_000 },
  { id: 'foodFat', name: 'white food fat', shelf: 'liquid', kind: 'mass', pack: 200 },
  { id: 'templateCard', name: 'template card, sheets', shelf: 'equipment', kind: 'count', pack: 10 },
  { id: 'alcohol', name: 'strong clear alcohol', shelf: 'liquid', kind: 'volume', pack: 250 },
] as const satisfies readonly BenchSupply[]

export type BenchSupplyId = (typeof BENCH_SUPPLIES)[number]['id']

/** @throws for an id that is not listed */
export function benchSupplyOf(id: BenchSupplyId): BenchSupply {
  const supply = BENCH_SUPPLIES.find((each) => each.id === id)
  if (!supply) throw new Error(`Expected a supply of ${BENCH_SUPPLIES.map((each) => each.id).join(', ')}, got ${id}.`)
  return supply
}
