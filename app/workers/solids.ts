import type { Option } from '#core/commission'
import { standSolids, type Solid } from '#core/draw'
import { sceneOf, type Looks } from '#core/plan/scene'
import { serve } from './serve'

/** What the look of a cake follows from. */
export type Shown = { readonly option: Pick<Option, 'cake' | 'decorations' | 'accents'>; readonly looks: Looks }

/** The solids of a stand in order; of those that are as they were in the answer before, only the name. */
export type SolidsAnswer = { readonly solids: readonly (Solid | string)[]; readonly number: number }

let last: { readonly solids: ReadonlyMap<string, Solid>; readonly number: number } = { solids: new Map(), number: 0 }

const isSame = ({ parts }: Solid, before: Solid | undefined): boolean =>
  before?.parts.length === parts.length && parts.every((part, at) => part === before.parts[at])

const worker = {
  /** @param known the number of the last answer that arrived; 0 for none */
  solidsOf({ option, looks }: Shown, known: number): SolidsAnswer {
    const solids = standSolids(sceneOf(option, looks))
    const before = last.number === known ? last.solids : new Map<string, Solid>()
    last = { solids: new Map(solids.map((solid) => [solid.id, solid])), number: last.number + 1 }
    return {
      solids: solids.map((solid) => (isSame(solid, before.get(solid.id)) ? solid.id : solid)),
      number: last.number,
    }
  },
}

export type SolidsWorker = typeof worker

serve(worker)
