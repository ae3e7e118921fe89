import { computed } from 'vue'
import { tierWords } from '#core/cake'
import {
  anotherName,
  duplicated,
  forAnotherOption,
  MOST_DECORATIONS,
  movedTo,
  onAnotherTier,
  placeOf,
} from '#core/commission'
import { standingBefore } from '#core/decoration'
import { usePlanned } from '~/composables/planned'
import { useChosenDecoration } from './chosen'

/** Decorations in another order, and copies of the one that is open. */
export function useRearranging() {
  const { studio, commission, plan, option, cake, editOption } = usePlanned()
  const { choose } = useChosenDecoration(() => option.value)
  const find = (id: string) => option.value.decorations.find((each) => each.id === id)!
  const nameFor = (id: string): string => {
    const names = plan.value.decorations.map(({ name }) => name)
    return anotherName(plan.value.decorations.find((each) => each.id === id)?.name ?? '', names)
  }
  const isFull = computed(() => option.value.decorations.length >= MOST_DECORATIONS)

  const isLast = (id: string): boolean => {
    const { decorations } = option.value
    return placeOf(decorations, id) === placeOf(movedTo(decorations, id, decorations.length), id)
  }
  /** Nothing is changed where it stands there already. */
  function moveTo(id: string, at: number): void {
    const { decorations } = option.value
    if (placeOf(movedTo(decorations, id, at), id) === placeOf(decorations, id)) return
    editOption('what is placed first', (each) => {
      each.decorations = [...movedTo(each.decorations, id, at)]
    })
  }

  return {
    isFull,
    placeOf: (id: string): number => placeOf(option.value.decorations, id),
    isLast,
    moveTo,
    /** One place earlier (-1) or later (1). */
    move: (id: string, by: number): void => moveTo(id, Math.max(0, placeOf(option.value.decorations, id) + by)),
    duplicate(id: string): void {
      const copy = duplicated(find(id), crypto.randomUUID(), nameFor(id))
      editOption('duplicate', (each) => {
        each.decorations.splice(each.decorations.findIndex((one) => one.id === id) + 1, 0, copy)
      })
      choose(copy.id)
    },
    /** Tiers that a copy may go to; none for what is not told by a tier. */
    otherTiers: (id: string): readonly { readonly tier: number; readonly words: string }[] => {
      const { composition, gathered } = find(id)
      if (gathered || !('tier' in composition)) return []
      return cake.value.tiers.flatMap((_, tier) =>
        tier === composition.tier || tier >= plan.value.stack.length
          ? []
          : [{ tier, words: tierWords(plan.value.stack, tier) }],
      )
    },
    toTier(id: string, tier: number): void {
      const where = { id: crypto.randomUUID(), name: nameFor(id), tier }
      const copy = onAnotherTier(find(id), where, cake.value.tiers, standingBefore(plan.value.decorations))
      if (!copy) return
      editOption('copy to another tier', (each) => {
        each.decorations.push(copy)
      })
      choose(copy.id)
    },
    otherOptions: computed(() =>
      commission.value.options
        .filter(({ id, decorations }) => id !== option.value.id && decorations.length < MOST_DECORATIONS)
        .map(({ id, name }) => ({ id, name })),
    ),
    toOption(id: string, to: string): void {
      const copy = forAnotherOption(find(id), crypto.randomUUID())
      studio.edit('copy to another option', (draft) => {
        draft.commission.options.find((each) => each.id === to)?.decorations.push(copy)
      })
    },
  }
}
