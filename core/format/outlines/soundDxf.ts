/**
 * DXF as the library may be given it. It follows a drawing that was cut off, or that lacks an end, for ever: so what it
 * reads is written anew, line by line of code and value, from what holds together.
 */

/** A group code and its value, as a DXF file is made of. */
type Group = { readonly code: number; readonly value: string }

/** A drawing of nothing but lines, how many there are, and how much else was left out. */
export type SoundDxf = { readonly text: string; readonly lines: number; readonly others: number }

const LINES = new Set(['LINE', 'LWPOLYLINE', 'POLYLINE', 'CIRCLE', 'ARC', 'ELLIPSE', 'SPLINE'])
/** The highest code that DXF knows. */
const MOST_CODE = 1071

/** Codes and values in pairs; null where a code is none. What a file that was cut off ends with is left out. */
function groupsOf(text: string): readonly Group[] | null {
  const lines = text.split(/\r\n|\r|\n/)
  const groups: Group[] = []
  for (let at = 0; at + 1 < lines.length; at += 2) {
    const code = lines[at]!.trim()
    if (!/^-?\d{1,4}$/.test(code) || Number(code) > MOST_CODE)
      return code === '' && at + 2 >= lines.length ? groups : null
    groups.push({ code: Number(code), value: lines[at + 1]!.trim() })
  }
  return groups
}

/** What begins with a code 0, each with all that belongs to it. */
function recordsOf(groups: readonly Group[]): readonly (readonly Group[])[] {
  const records: Group[][] = []
  for (const group of groups)
    if (group.code === 0) records.push([group])
    else records.at(-1)?.push(group)
  return records
}

const written = (groups: readonly Group[]): string => groups.map(({ code, value }) => `${code}\n${value}\n`).join('')

/** A polyline with its corners and its end, wherever the file ends. */
function polylineFrom(
  records: readonly (readonly Group[])[],
  at: number,
): { readonly text: string; readonly next: number } {
  let next = at + 1
  while (records[next]?.[0]!.value === 'VERTEX') next += 1
  const corners = records.slice(at, next).map(written).join('')
  return { text: `${corners}0\nSEQEND\n`, next: records[next]?.[0]!.value === 'SEQEND' ? next + 1 : next }
}

/** A drawing that holds together, out of one that may not; null where it is no DXF. */
export function soundDxf(text: string): SoundDxf | null {
  const groups = groupsOf(text)
  if (!groups) return null
  const records = recordsOf(groups)
  const drawn = records.findIndex(
    ([begins, named]) => begins!.value === 'SECTION' && named?.code === 2 && named.value === 'ENTITIES',
  )
  if (drawn === -1) return null
  let [at, lines, others] = [drawn + 1, 0, 0]
  const parts: string[] = []
  while (at < records.length) {
    const kind = records[at]![0]!.value
    if (kind === 'ENDSEC' || kind === 'EOF' || kind === 'SECTION') break
    if (kind === 'POLYLINE') {
      const polyline = polylineFrom(records, at)
      parts.push(polyline.text)
      at = polyline.next
      lines += 1
      continue
    }
    if (LINES.has(kind)) {
      parts.push(written(records[at]!))
      lines += 1
    } else others += 1
    at += 1
  }
  const unit = groups.findIndex(({ code, value }) => code === 9 && value === '$INSUNITS')
  const header = unit === -1 || groups[unit + 1]?.code !== 70 ? '' : written(groups.slice(unit, unit + 2))
  return {
    text:
      `${header && `0\nSECTION\n2\nHEADER\n${header}0\nENDSEC\n`}` +
      `0\nSECTION\n2\nENTITIES\n${parts.join('')}0\nENDSEC\n0\nEOF\n`,
    lines,
    others,
  }
}
