/** Hands a file to the browser to save. */
export function download(content: string | Uint8Array | Blob, name: string, type?: string): void {
  const url = URL.createObjectURL(content instanceof Blob ? content : new Blob([content as BlobPart], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  window.setTimeout(() => URL.revokeObjectURL(url), 10000)
}

/** A file name made from a commission's name: lower case, words joined. */
export function fileNameFor(name: string, ending: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\p{Letter}\p{Number}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase()
  return `${plain || 'commission'}${ending}`
}
