import { perCommission } from '~/composables/perCommission'

/** Decorations that are not drawn while others are composed, by id. They stay on the cake and in every figure. */
const hidden = perCommission<ReadonlySet<string>>(() => new Set())

export const useHidden = () => ({
  isHidden: (id: string): boolean => hidden.value.has(id),
  toggle: (id: string): void => {
    const next = new Set(hidden.value)
    if (!next.delete(id)) next.add(id)
    hidden.value = next
  },
})
