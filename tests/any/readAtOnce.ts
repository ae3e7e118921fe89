import type { Remote } from 'comlink'
import { readers, type Read } from '../../app/files/readers'

/** Reads files without a worker, where there are none. */
export const readAside = async <Content>(
  question: (reader: Remote<typeof readers>) => Promise<Read<Content>>,
): Promise<Read<Content>> => question(readers as never)

export const outlineIn = async (file: File) => readers.outline(await file.text())
