import type { Photo } from '#core/ledger'

const LONGEST_PX = 1100
const QUALITY = 0.72
const LARGEST_FILE = 40_000_000
const LONGEST_DATA = 600_000

export type PhotoProblem = { readonly name: string; readonly sentence: string }

/** A picture shrunk in the browser to what a plan needs, or why it cannot be taken. */
export async function shrinkPhoto(file: File): Promise<Photo | PhotoProblem> {
  const name = file.name.slice(0, 120) || 'picture'
  if (!file.type.startsWith('image/')) return { name, sentence: `${name} is not a picture.` }
  if (file.size > LARGEST_FILE) return { name, sentence: `${name} is larger than ${LARGEST_FILE / 1e6} MB.` }
  try {
    const bitmap = await createImageBitmap(file)
    const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height))
    const [widthPx, heightPx] = [
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    ]
    const canvas = document.createElement('canvas')
    Object.assign(canvas, { width: widthPx, height: heightPx })
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, widthPx, heightPx)
    bitmap.close()
    const dataUrl = canvas.toDataURL('image/jpeg', QUALITY)
    return dataUrl.length > LONGEST_DATA
      ? { name, sentence: `${name} stays too large even when shrunk.` }
      : { id: crypto.randomUUID(), name, dataUrl, widthPx, heightPx }
  } catch {
    return { name, sentence: `${name} cannot be read as a picture.` }
  }
}
