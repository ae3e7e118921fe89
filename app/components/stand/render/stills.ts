import { ref, watch, type Ref } from 'vue'
import { standSolids, type Viewpoint, type Room, type StandScene, type Window } from '#core/draw'
import { afterPaint } from '~/composables/afterFigures'
import { usePreferences } from '~/stores/preferences'
import { sceneContent } from '../contentOf'
import type { StandRenderer } from './standRenderer'

/** A still picture: what stands there, from where it is seen, and its size in pixels. */
export type StillWish = {
  readonly scene: StandScene
  readonly look: Viewpoint
  readonly window: Window
  readonly room: Room
  readonly width: number
  readonly height: number
}

const MOST_KEPT = 160

type Drawer = { readonly canvas: HTMLCanvasElement; readonly renderer: StandRenderer | null }
let drawer: Promise<Drawer> | null = null

/** One canvas for all stills: browsers allow few that draw in depth. */
async function makeDrawer(): Promise<Drawer> {
  await afterPaint()
  const { createStandRenderer } = await import('./standRenderer')
  const canvas = document.createElement('canvas')
  return { canvas, renderer: createStandRenderer(canvas) }
}

/** A picture as a file; null where the browser draws nothing in depth. */
async function pictureOf(wish: StillWish, isFull: boolean): Promise<Blob | null> {
  const { canvas, renderer } = await (drawer ??= makeDrawer())
  if (!renderer) return null
  const { look, window, room, width, height } = wish
  renderer.show(standSolids(wish.scene))
  renderer.draw({
    look,
    window,
    room,
    width,
    height,
    fullness: isFull ? 'full' : 'plain',
    isMoving: false,
    isNeutral: false,
  })
  // Taken at once: the canvas is cleared when the page is shown again.
  return new Promise((resolve) => canvas.toBlob(resolve, 'image/png'))
}

let before: Promise<unknown> = Promise.resolve()

/** Draws one picture after the other. */
export function drawStill(wish: StillWish, isFull: boolean): Promise<Blob | null> {
  const drawn = before.then(() => pictureOf(wish, isFull))
  before = drawn.catch(() => null)
  return drawn
}

const kept = new Map<string, Promise<string | null>>()

function addressOf(wish: StillWish, isFull: boolean): Promise<string | null> {
  const key = JSON.stringify([sceneContent(wish.scene), wish.look, wish.window, wish.width, wish.height, isFull])
  const known = kept.get(key) ?? drawStill(wish, isFull).then((blob) => blob && URL.createObjectURL(blob))
  kept.delete(key)
  kept.set(key, known)
  if (kept.size > MOST_KEPT) {
    const [oldest, address] = [...kept][0]!
    kept.delete(oldest)
    void address.then((each) => each && URL.revokeObjectURL(each))
  }
  return known
}

/** The address of a still picture: `undefined` while it is drawn, `null` where nothing can be drawn in depth. */
export function useStill(wish: () => StillWish): Ref<string | null | undefined> {
  const preferences = usePreferences()
  const address = ref<string | null | undefined>(undefined)
  let asked = 0
  watch(
    wish,
    async (next) => {
      const mine = (asked += 1)
      const made = await addressOf(next, preferences.stand !== 'small')
      if (mine === asked) address.value = made
    },
    { immediate: true },
  )
  return address
}
