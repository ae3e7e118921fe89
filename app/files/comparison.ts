import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'

/** A line of the preview: what changes, from what to what. */
export type ChangedLine = { readonly what: string; readonly from: string; readonly to: string }

const words = (path: readonly string[]): string =>
  path
    .map((part) =>
      part
        .replace(/(Mm|Min|Deg|C)$/, '')
        .replace(/([a-z])([A-Z])/g, '$1 $2')
        .toLowerCase(),
    )
    .map((part) => (/^\d+$/.test(part) ? String(Number(part) + 1) : part))
    .join(' ')

const LONGEST = 60

function plain(value: unknown): string {
  if (value === undefined) return 'none'
  if (typeof value === 'number') return String(Math.round(value * 100) / 100)
  const text = String(value)
  return text.startsWith('data:') ? 'a picture' : text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text
}

/** Every field that differs between two values, by its path. */
export function changedLines(before: unknown, after: unknown, path: readonly string[] = []): readonly ChangedLine[] {
  if (Object.is(before, after)) return []
  if (typeof before === 'object' && before !== null && typeof after === 'object' && after !== null) {
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])]
    return keys.flatMap((key) =>
      changedLines((before as Record<string, unknown>)[key], (after as Record<string, unknown>)[key], [...path, key]),
    )
  }
  if (typeof before === 'object' || typeof after === 'object') {
    return [
      {
        what: words(path),
        from: before === undefined || before === null ? 'none' : 'there',
        to: after === undefined || after === null ? 'none' : 'there',
      },
    ]
  }
  return [{ what: words(path), from: plain(before), to: plain(after) }]
}

export type Preview = {
  readonly isNew: boolean
  readonly commission: readonly ChangedLine[]
  readonly workshop: readonly ChangedLine[]
}

/**
 * What opening a file would change: against the commission of the same id, if the studio has one, and against the
 * workshop.
 */
export const previewOf = (
  kept: Commission | null,
  keptWorkshop: Workshop,
  commission: Commission,
  workshop: Workshop,
): Preview => ({
  isNew: kept === null,
  commission: kept ? changedLines(kept, commission) : [],
  workshop: changedLines(keptWorkshop, workshop),
})
