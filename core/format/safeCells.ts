/** Tables for a spreadsheet, safe to open there: a cell that begins like a formula is text. */
import Papa from 'papaparse'

const FORMULA = /^['=+\-@\t\r]/

/** A cell that a spreadsheet will not work out: a mark before it keeps it text. */
const asText = (cell: unknown): unknown => (typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : cell)

/** What was written as a cell. */
export const cellRead = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell

/** Rows as a file, a line each. */
export const writeRows = (rows: readonly (readonly unknown[])[]): string =>
  `${Papa.unparse(
    rows.map((row) => row.map(asText)),
    { newline: '\n' },
  )}\n`
