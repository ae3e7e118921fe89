import { refuse, type Result } from '../../quantity'
import { outlineFromDxf } from './readDxf'
import { outlineFromSvg } from './readSvg'
import type { ImportedOutline, OutlineProblem } from './rings'

export { outlineSentence, type ImportedOutline, type OutlineProblem } from './rings'

/** The outline in a file, SVG or DXF by what it holds rather than by its name. */
export function readOutline(text: string): Result<ImportedOutline, OutlineProblem> {
  if (text.trim() === '') return refuse({ code: 'empty' })
  const begins = text.slice(0, 2000).trimStart()
  if (begins.startsWith('<') || begins.startsWith('\uFEFF<')) return outlineFromSvg(text.replace(/^\uFEFF/, ''))
  return /^\s*(0|999|9)\s*\r?\n/.test(text) || /SECTION/.test(begins)
    ? outlineFromDxf(text)
    : refuse({ code: 'not-readable', what: 'it is neither SVG nor DXF' })
}
