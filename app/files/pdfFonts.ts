import bold from '@fontsource/figtree/files/figtree-latin-700-normal.woff?url'
import plain from '@fontsource/figtree/files/figtree-latin-400-normal.woff?url'

const load = async (url: string): Promise<Uint8Array> => new Uint8Array(await (await fetch(url)).arrayBuffer())

/** The text face for prints, from our own files. */
export const pdfFonts = async (): Promise<{ readonly plain: Uint8Array; readonly bold: Uint8Array }> => {
  const [plainBytes, boldBytes] = await Promise.all([load(plain), load(bold)])
  return { plain: plainBytes, bold: boldBytes }
}
