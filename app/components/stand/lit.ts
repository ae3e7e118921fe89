import { perCommission } from '~/composables/perCommission'

type LitKind = 'board' | 'tier' | 'element' | 'accent'

type Lit = { readonly kind: LitKind; readonly indexes: readonly number[] } | null

const pointed = perCommission<Lit>(() => null)

/** What is lit up on the stand and in the leaves: touched in one, shown in both. */
export const useLit = () => ({
  isLit: (kind: LitKind, index: number): boolean =>
    pointed.value?.kind === kind && pointed.value.indexes.includes(index),
  hover: (kind: LitKind, index: number): void => {
    pointed.value = kind === 'board' ? null : { kind, indexes: [index] }
  },
  hoverMany: (kind: LitKind, indexes: readonly number[]): void => {
    pointed.value = { kind, indexes }
  },
  leave: (): void => {
    pointed.value = null
  },
})
