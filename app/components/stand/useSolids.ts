import { ref, shallowRef, watch, type Ref } from 'vue'
import type { Solid } from '#core/draw'
import { hired } from '~/workers/hired'
import { newestWaits } from '~/workers/newest'
import type { Shown, SolidsAnswer, SolidsWorker } from '~/workers/solids'

/** The worker, beside the page, so that no figure waits for the stand. */
const maker = hired<SolidsWorker>(
  (name) => new Worker(new URL('../../workers/solids.ts', import.meta.url), { type: 'module', name }),
)
/** The last answer that arrived. */
let last: { readonly solids: ReadonlyMap<string, Solid>; readonly number: number } = { solids: new Map(), number: 0 }

async function made(shown: Shown): Promise<readonly Solid[]> {
  const since = last
  const answer: SolidsAnswer = await maker.ask((worker) => worker.solidsOf(shown, since.number))
  const solids = answer.solids.map((each) => (typeof each === 'string' ? since.solids.get(each)! : each))
  last = { solids: new Map(solids.map((solid) => [solid.id, solid])), number: answer.number }
  return solids
}

/** The solids of what is shown; those of what was shown before while they are made. None are made for a flat drawing. */
export function useSolids(
  shown: () => Shown | null,
  isFlat: boolean,
): {
  readonly solids: Ref<readonly Solid[]>
  readonly isMaking: Ref<boolean>
} {
  const solids = shallowRef<readonly Solid[]>([])
  const isMaking = ref(false)
  // Its script is read while the plan is still worked out.
  if (!isFlat) maker.begin()
  const { ask } = newestWaits(
    made,
    (answer, isNewest) => {
      solids.value = answer
      if (isNewest) isMaking.value = false
    },
    () => {
      // The cake stays as it was drawn last; figures come from elsewhere.
      isMaking.value = false
      last = { solids: new Map(), number: 0 }
    },
  )
  watch(
    shown,
    (now) => {
      isMaking.value = now !== null && !isFlat
      if (now && !isFlat) ask(now)
      else solids.value = []
    },
    { immediate: true },
  )
  return { solids, isMaking }
}
