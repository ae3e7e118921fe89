/**
 * Holds what would move the page back while a button is pressed. A press is two events, and a button that moves away
 * between them is never clicked.
 */

/** What is pressed and let go in one place. Sliders and handles are pulled, and follow at once. */
const PRESSED = 'button, a, summary, label, select, input[type="checkbox"], input[type="radio"]'

/**
 * A function that passes values on at once, or, while a button is pressed, the newest of them once it is let go and
 * its click has been told.
 * @param page what hears pointers; presses are told to it before anything else
 */
export function afterPress<Value>(page: EventTarget, pass: (value: Value) => void): (value: Value) => void {
  let isPressed = false
  let held: { readonly value: Value } | null = null
  const letGo = (): void => {
    if (!isPressed) return
    isPressed = false
    // The click comes after the pointer is up, in the same turn.
    setTimeout(() => {
      if (!held || isPressed) return
      const { value } = held
      held = null
      pass(value)
    })
  }
  page.addEventListener(
    'pointerdown',
    ({ target }) => {
      isPressed = target instanceof Element && target.closest(PRESSED) !== null
    },
    { capture: true },
  )
  for (const end of ['pointerup', 'pointercancel', 'blur']) page.addEventListener(end, letGo, { capture: true })
  return (value) => {
    if (isPressed) {
      held = { value }
      return
    }
    held = null
    pass(value)
  }
}
