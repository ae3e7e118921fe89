import { ref } from 'vue'
import type { Look } from '#core/tint'

/** How all swatches of Tint are looked at. */
const look = ref<Look>('white')

export const useLook = () => look
