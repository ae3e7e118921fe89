import { perCommission } from '~/composables/perCommission'

const lanesShown = perCommission(() => false)

/** Whether the lanes stand below the days. */
export const useLanes = () => ({ lanesShown })
