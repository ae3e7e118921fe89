import type { Option, Decoration } from '#core/commission'
import { computed } from 'vue'
import { alongAt, angleAt, edgeScale, type StandingTier } from '#core/cake'
import {
  bouquetHandles,
  compositionOf,
  nextAdded,
  pinned,
  pullBouquet,
  putting,
  standing,
  takingOut,
  unpinning,
  type Bouquet,
  type ByHand,
  type Composition,
  type Handle,
  type Spot,
} from '#core/compose'
import { seedFor } from '#core/quantity'
import type { PlacedElement, Sector } from '#core/technique'
import { perCommission } from '~/composables/perCommission'
import { usePlanned } from '~/composables/planned'
import type { PointerPlace } from '~/composables/pulled'
import { useChosenDecoration } from './chosen'

/** The element that is picked for moving by hand, by the decoration it belongs to and its own index. */
const picked = perCommission<{ readonly decoration: string; readonly index: number } | null>(() => null)

const SMALLER = 0.9
const LARGER = 1 / SMALLER

/** What is open to be arranged: the composition's handles, and single elements moved by hand. */
export function useArranging() {
  const { plan, option, editOption } = usePlanned()
  const { open } = useChosenDecoration(() => option.value)

  const stack = computed<readonly StandingTier[]>(() => plan.value.stack)
  const decoration = computed<Decoration | null>(
    () => option.value.decorations.find(({ id }) => id === open.value) ?? null,
  )
  const elements = computed<readonly PlacedElement[]>(
    () => plan.value.decorations.find(({ id }) => id === open.value)?.elements ?? [],
  )
  const byHand = computed<ByHand>(() => decoration.value?.byHand ?? { put: [], out: [] })
  /** The bouquet that is open, or that holds what is open. */
  const bouquet = computed<Bouquet | null>(
    () =>
      option.value.bouquets.find(({ id }) => id === open.value || id === decoration.value?.gathered?.bouquet) ?? null,
  )
  const composition = computed<Composition | null>(() =>
    bouquet.value ? null : (decoration.value?.composition ?? null),
  )
  const handles = computed<readonly Handle[]>(() =>
    bouquet.value
      ? bouquetHandles(bouquet.value, stack.value)
      : composition.value
        ? compositionOf(composition.value.kind).handles(composition.value, stack.value)
        : [],
  )
  const pickedIndex = computed(() =>
    bouquet.value === null &&
    picked.value?.decoration === open.value &&
    elements.value.some(({ index }) => index === picked.value!.index)
      ? picked.value.index
      : null,
  )
  /** Where it was put last counts, not where the plan has it yet: keys come faster than plans. */
  const pickedElement = computed<PlacedElement | null>(() => {
    const put = byHand.value.put.find(({ index }) => index === pickedIndex.value)
    return put ? standing(put, stack.value) : (elements.value.find(({ index }) => index === pickedIndex.value) ?? null)
  })
  const isPinned = (index: number): boolean => byHand.value.put.some((put) => put.index === index)

  const pick = (index: number | null): void => {
    picked.value = index === null ? null : { decoration: open.value, index }
  }

  function change(label: string, next: (byHand: ByHand) => ByHand, merge = ''): void {
    const id = open.value
    editOption(
      label,
      ({ decorations }: Option) => {
        const changed = decorations.find((each) => each.id === id)
        if (changed) changed.byHand = next(changed.byHand)
      },
      merge && `${id} ${merge}`,
    )
  }

  /** Puts a handle of the composition or the bouquet elsewhere on the cake. */
  function pull(handle: string, to: Spot): void {
    const id = open.value
    if (bouquet.value) {
      const pulled = pullBouquet(bouquet.value, handle, to, stack.value)
      editOption(
        'pull the bouquet',
        ({ bouquets }) => {
          Object.assign(bouquets.find((each) => each.id === pulled.id) ?? {}, pulled)
        },
        `${pulled.id} pull ${handle}`,
      )
      return
    }
    const before = composition.value
    if (!before) return
    const pulled = compositionOf(before.kind).pull(before, handle, to, stack.value)
    editOption(
      'pull the composition',
      ({ decorations }) => {
        const changed = decorations.find((each) => each.id === id)
        if (changed) changed.composition = pulled
      },
      `${id} pull ${handle}`,
    )
  }

  /**
   * Moves a handle by so much round the cake, °, and up, mm; on a top, inward. It is taken where it is by now: keys may
   * come faster than the drawing follows.
   */
  function nudgeHandle(id: string, byDeg: number, byMm: number): void {
    const handle = handles.value.find((each) => each.id === id)
    if (!handle) return
    const turned = { ...handle, angleDeg: handle.angleDeg + byDeg }
    pull(
      id,
      handle.on === 'side'
        ? { ...turned, heightMm: Math.max(0, handle.heightMm + byMm) }
        : { ...turned, outMm: Math.max(0, handle.outMm - byMm) },
    )
  }

  type Change = Partial<
    Pick<PlacedElement, 'tier' | 'on' | 'angleDeg' | 'heightMm' | 'outMm' | 'size' | 'rollDeg' | 'cut'>
  >
  const put = (label: string, element: PlacedElement, to: Change): void =>
    change(label, (hand) => putting(hand, pinned(element, stack.value, to)), `hand ${element.index}`)

  /** Puts the picked element elsewhere, and pins it there. What runs round a tier stays on its side. */
  function move(to: Spot): void {
    const element = pickedElement.value
    if (!element || (element.spanDeg > 0 && to.on === 'top')) return
    put('move one by hand', element, to)
  }

  /** Moves the picked element by so much along the cake and up; on a top, outward. */
  function nudge(alongMm: number, upMm: number): void {
    const element = pickedElement.value
    if (!element) return
    const tier = stack.value[element.tier]!
    if (element.on === 'top') {
      put('nudge one', element, {
        angleDeg: element.angleDeg + ((alongMm / Math.max(10, element.outMm)) * 180) / Math.PI,
        outMm: Math.max(0, element.outMm - upMm),
      })
      return
    }
    const scale = edgeScale(tier)
    put('nudge one', element, {
      angleDeg: angleAt(scale, alongAt(scale, element.angleDeg) + alongMm),
      heightMm: Math.min(tier.topMm - 1, Math.max(tier.footMm, element.heightMm + upMm)),
    })
  }

  const resize = (larger: boolean): void => {
    if (pickedElement.value)
      put('resize one', pickedElement.value, { size: pickedElement.value.size * (larger ? LARGER : SMALLER) })
  }
  const roll = (byDeg: number): void => {
    if (pickedElement.value) put('lean one', pickedElement.value, { rollDeg: pickedElement.value.rollDeg + byDeg })
  }

  /** Tells the picked element which portion of which disc it is; none lets its technique decide. */
  const cutAs = (cut: Sector | null): void => {
    if (pickedElement.value) put('portion of one', pickedElement.value, { cut: cut ?? undefined })
  }

  function togglePin(): void {
    const element = pickedElement.value
    if (!element) return
    if (isPinned(element.index)) change('let one go', (hand) => unpinning(hand, element.index))
    else change('pin one', (hand) => putting(hand, pinned(element, stack.value)))
  }

  function takeOut(): void {
    const element = pickedElement.value
    if (!element) return
    change('take one out', (hand) => takingOut(hand, element.index))
    picked.value = null
  }

  /** One more, beside the picked one or the first. */
  function add(): void {
    const beside = pickedElement.value ?? elements.value[0]
    if (!beside) return
    const index = nextAdded(byHand.value)
    const side = beside.angleDeg + 12
    change('put one on', (hand) =>
      putting(hand, pinned({ ...beside, index, seed: seedFor(beside.seed, index) }, stack.value, { angleDeg: side })),
    )
    picked.value = { decoration: open.value, index }
  }

  /** Gives all that was changed by hand back to the composition. */
  const release = (): void => change('all as composed', () => ({ put: [], out: [] }))

  /** What follows the hand over a drawing that says which spot is under a pointer. */
  const pullingOver = (spotUnder: (at: PointerPlace) => Spot | null) => ({
    pullHandle: (id: string, at: PointerPlace): void => {
      const spot = spotUnder(at)
      if (spot) pull(id, spot)
    },
    pullPicked: (at: PointerPlace): void => {
      const spot = spotUnder(at)
      if (spot) move(spot)
    },
  })

  return {
    open,
    stack,
    elements,
    byHand,
    composition,
    handles,
    pickedIndex,
    pickedElement,
    isPinned,
    pick,
    pull,
    move,
    pullingOver,
    nudge,
    nudgeHandle,
    resize,
    roll,
    cutAs,
    togglePin,
    takeOut,
    add,
    release,
  }
}
