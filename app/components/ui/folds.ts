import { perCommission } from '~/composables/perCommission'

/** Folds that were opened or closed by hand; where a decoration stands is what is decided first. */
const opened = perCommission<Readonly<Record<string, boolean>>>(() => ({ where: true }))

/** Which parts of a leaf are open: the same for every decoration of a commission. */
export const useFolds = () => ({
  isOpen: (id: string): boolean => opened.value[id] ?? false,
  remember: (id: string, isOpen: boolean): void => {
    opened.value = { ...opened.value, [id]: isOpen }
  },
})
