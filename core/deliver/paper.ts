/**
 * Something to read, print and hand over: what it says, block by block, for the screen, for a page, as text, as a
 * table.
 */
import type { Commission } from '../commission'
import type { Picture } from '../draw'
import type { Plan } from '../plan'
import { dateClockText, parseMoment, valueOf, type UnitSystem } from '../quantity'

/** A part of a paper. Cells of a table that are numbers stand to the right. */
export type Block =
  | { readonly kind: 'heading'; readonly text: string }
  | { readonly kind: 'lines'; readonly lines: readonly string[] }
  | { readonly kind: 'note'; readonly text: string }
  | {
      readonly kind: 'table'
      readonly head: readonly string[]
      readonly rows: readonly (readonly string[])[]
      readonly numbers: readonly number[]
      readonly ticks: boolean
    }
  | { readonly kind: 'pictures'; readonly pictures: readonly { readonly picture: Picture; readonly says: string }[] }
  | {
      readonly kind: 'photos'
      /** Shown as wide as there is room for two beside each other. */
      readonly areLarge?: boolean
      readonly photos: readonly {
        readonly name: string
        readonly dataUrl: string
        readonly widthPx: number
        readonly heightPx: number
      }[]
    }
  | { readonly kind: 'signature'; readonly lines: readonly string[] }

export type Paper = {
  readonly id: string
  readonly title: string
  readonly under: string
  readonly blocks: readonly Block[]
}

/** A table; `numbers` names the columns of numbers, `ticks` puts a box to tick before each row. */
export const table = (
  head: readonly string[],
  rows: readonly (readonly string[])[],
  numbers: readonly number[] = [],
  ticks = false,
): Block => ({ kind: 'table', head, rows, numbers, ticks })

/** A table below its heading, where it has one; nothing at all where it would be empty. */
export const tableUnder = (
  heading: string | null,
  head: readonly string[],
  rows: readonly (readonly string[])[],
  numbers: readonly number[] = [],
  ticks = false,
): readonly Block[] =>
  rows.length === 0
    ? []
    : [
        ...(heading === null ? [] : [{ kind: 'heading', text: heading } satisfies Block]),
        table(head, rows, numbers, ticks),
      ]

/** Lines below a heading; nothing at all where there are none. */
export const linesUnder = (text: string, lines: readonly string[]): readonly Block[] =>
  lines.length === 0
    ? []
    : [
        { kind: 'heading', text },
        { kind: 'lines', lines },
      ]

/** Whose job it is, planned, and in which units it is told. */
export type About = { readonly plan: Plan; readonly commission: Commission; readonly units: UnitSystem }

/** The line below a paper's title. */
export const under = ({ brief }: Commission): string =>
  `${brief.name}${brief.occasion ? `, ${brief.occasion.toLowerCase()}` : ''}, ${dateClockText(valueOf(parseMoment(brief.eventAt)))}`
