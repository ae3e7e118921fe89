import { ref } from 'vue'

/** Folds that were opened or closed by hand; where a decoration stands is what is decided first. */
const opened = ref<Readonly<Record<string, boolean>>>({ where: true })

/** Which parts of a leaf are open: the same for every decoration, until the page is left. */
export const useFolds = () => ({
  isOpen: (id: string): boolean => opened.value[id] ?? false,
  remember: (id: string, isOpen: boolean): void => {
    opened.value = { ...opened.value, [id]: isOpen }
  },
})
