import { useEventListener } from '@vueuse/core'
import { useRouter } from '#imports'
import { LEAF_TABS } from '~/components/leaves'
import { useStandTools } from '~/components/stand/standTools'
import { useLook } from '~/components/stand/look'
import { useFiles } from '~/files/files'
import { useStudio } from '~/stores/studio'

const TURN_DEG = 15
const TILT_DEG = 10

/** Whether keys are for what has the focus: a field, or a list, menu or sheet that is open. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    (target instanceof HTMLInputElement && target.type !== 'range') ||
    target instanceof HTMLTextAreaElement ||
    target.closest('[role=listbox], [role=menu], [role=dialog]') !== null)

/**
 * The keys that work everywhere. While somebody types in a field only those with Ctrl or Cmd do, and undo is left to
 * the field.
 */
export function useStudioKeys(show: { readonly guide: () => void; readonly keys: () => void }): void {
  const router = useRouter()
  const studio = useStudio()
  const files = useFiles()
  const { turnBy, tiltBy } = useLook()
  const { dimensionsShown, isLarge, toggleTape } = useStandTools()

  const withCommand: Readonly<Record<string, (event: KeyboardEvent) => void>> = {
    z: (event) => (event.shiftKey ? studio.redo() : studio.undo()),
    y: () => studio.redo(),
    s: () => void files.saveCommission(),
    o: () => files.choose(),
  }
  const plain: Readonly<Record<string, (event: KeyboardEvent) => void>> = {
    '[': () => turnBy(-TURN_DEG),
    ']': () => turnBy(TURN_DEG),
    '{': () => tiltBy(-TILT_DEG),
    '}': () => tiltBy(TILT_DEG),
    'f': () => {
      isLarge.value = !isLarge.value
    },
    '?': show.guide,
    'k': show.keys,
    'd': () => {
      dimensionsShown.value = !dimensionsShown.value
    },
    't': toggleTape,
    'c': () => void router.push('/compare'),
    'h': () => void router.push('/shelf'),
    ...Object.fromEntries(LEAF_TABS.map(({ leaf, key }) => [key, () => void router.push(`/${leaf}`)])),
  }

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const command = event.ctrlKey || event.metaKey
    const key = event.key.toLowerCase()
    const action = command ? withCommand[key] : plain[key]
    if (!action || event.altKey) return
    if (isTyping(event.target) && (!command || key === 'z' || key === 'y')) return
    event.preventDefault()
    action(event)
  })
}
