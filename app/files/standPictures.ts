import type { Box } from '#core/cake'
import { boxEdges, type BoxEdge, type Window } from '#core/draw'
import { drawStill } from '~/components/stand/render/stills'
import type { StillWish } from '~/workers/stills'

/** Pictures are saved as wide as this, pixels. */
export const PICTURE_WIDTHS = [1000, 2000, 3000] as const

const PAPER = '#f6efe3'
const INK = '#6d6257'

function strokeEdges(
  context: CanvasRenderingContext2D,
  edges: readonly BoxEdge[],
  window: Window,
  scale: number,
): void {
  context.strokeStyle = INK
  context.lineWidth = Math.max(1, 1.2 * scale)
  context.setLineDash([4 * scale, 5 * scale])
  for (const { from, to } of edges) {
    context.beginPath()
    context.moveTo((from.x - window.left) * scale, (-from.y - window.top) * scale)
    context.lineTo((to.x - window.left) * scale, (-to.y - window.top) * scale)
    context.stroke()
  }
}

/**
 * What is seen as a picture file, on paper.
 * @param box the box round it and the height of its floor, none where it is left out
 * @returns nothing where the browser draws nothing in depth
 */
export async function standPng(
  wish: StillWish,
  box: { readonly size: Box; readonly footMm: number } | null,
): Promise<Blob | null> {
  const still = await drawStill(wish, true)
  if (!still) return null
  const canvas = document.createElement('canvas')
  Object.assign(canvas, { width: wish.width, height: wish.height })
  const context = canvas.getContext('2d')!
  const scale = wish.width / wish.window.width
  const edges = box ? boxEdges(box.size, box.footMm, wish.look) : []
  context.fillStyle = PAPER
  context.fillRect(0, 0, wish.width, wish.height)
  const [behind, before] = [true, false].map((side) => edges.filter(({ isBehind }) => isBehind === side))
  strokeEdges(context, behind!, wish.window, scale)
  context.drawImage(await createImageBitmap(still), 0, 0)
  strokeEdges(context, before!, wish.window, scale)
  return new Promise((resolve) => canvas.toBlob(resolve, 'image/png'))
}
