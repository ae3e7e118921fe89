import { standSolids, type Room, type StandScene, type Viewpoint, type Window } from '#core/draw'
import { createStandRenderer } from '~/components/stand/render/standRenderer'
import { serve } from './serve'

/** A still picture: what stands there, from where it is seen, and its size in pixels. */
export type StillWish = {
  readonly scene: StandScene
  readonly look: Viewpoint
  readonly window: Window
  readonly room: Room
  readonly width: number
  readonly height: number
}

/** One canvas for all stills, for browsers allow few that draw in depth; none where this one draws so on pages only. */
const canvas = 'OffscreenCanvas' in self ? new OffscreenCanvas(1, 1) : null
const renderer = canvas && createStandRenderer(canvas)

const worker = {
  /** A picture as a file; null where the browser draws nothing in depth. */
  async pictureOf({ scene, look, window, room, width, height }: StillWish, isFull: boolean): Promise<Blob | null> {
    if (!canvas || !renderer) return null
    renderer.show(standSolids(scene))
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
    // Taken at once: the next picture is drawn on the same canvas.
    return canvas.convertToBlob({ type: 'image/png' })
  },
}

export type StillsWorker = typeof worker

serve(worker)
