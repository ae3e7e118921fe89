import type { ImportedOutline } from '#core/format/outlines'

/** The file that was chosen in a field, which is then ready for the same one again; null when none was. */
export function chosenFile(event: Event): File | null {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0] ?? null
  field.value = ''
  return file
}

/**
 * The outline in a file, SVG or DXF, or the sentence that says why there is none. The readers are fetched only when a
 * file is brought: few need them, and they are large.
 */
export async function outlineIn(
  file: File,
): Promise<{ readonly outline: ImportedOutline } | { readonly refused: string }> {
  const { outlineSentence, readOutline } = await import('#core/format/outlines')
  const read = readOutline(await file.text())
  return read.ok ? { outline: read.value } : { refused: outlineSentence(read.error) }
}
