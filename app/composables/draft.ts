/** What is typed belongs to its field until the field is left: what the plan brings meanwhile does not touch it. */
import { useEventListener } from '@vueuse/core'
import { ref, watch, type Directive } from 'vue'

type TextField = HTMLInputElement | HTMLTextAreaElement

/** Fields in which somebody has typed and that are not left yet. */
const typedIn = new WeakSet<TextField>()

/** Shows a text in a field, unless somebody types in it. */
export const vDraft: Directive<TextField, string> = {
  mounted(field, { value }) {
    field.value = value
    field.addEventListener('input', () => typedIn.add(field))
    for (const left of ['change', 'blur']) field.addEventListener(left, () => typedIn.delete(field))
  },
  updated(field, { value, oldValue }) {
    if (value !== oldValue && !typedIn.has(field)) field.value = value
  },
}

/** The text of a field that is read when it is left; what is shown is taken over while nobody types. */
export function useDraft(shown: () => string) {
  const text = ref(shown())
  let isTyped = false
  watch(shown, (next) => {
    if (!isTyped) text.value = next
  })
  return {
    text,
    typing: (): void => {
      isTyped = true
    },
    left: (): void => {
      isTyped = false
    },
  }
}

/**
 * A page that is hidden or closed takes what is being typed as if its field were left.
 * @param then what is done after that in a page that is closed
 */
export function keepDrafts(then: () => void): void {
  let typed: EventTarget | null = null
  useEventListener(document, 'input', ({ target }) => {
    typed = target
  })
  useEventListener(document, ['change', 'focusout'], () => {
    typed = null
  })
  const leave = (): void => {
    typed?.dispatchEvent(new Event('change', { bubbles: true }))
  }
  useEventListener(window, 'pagehide', () => {
    leave()
    then()
  })
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState === 'hidden') leave()
  })
}
