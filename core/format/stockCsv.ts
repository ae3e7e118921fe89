/** What lies on the shelves, to and from a spreadsheet. */
import Papa from 'papaparse'
import type { z } from 'zod'
import { ok, refuse, type Result } from '../quantity'
import { MOST_STOCK, stockSchema, type Stock } from '../supply'
import { cellRead, writeRows } from './safeCells'

const COLUMNS = ['item', 'name', 'shelf', 'kind', 'onHand', 'pack', 'packPrice'] as const

/** What is wrong with a list of stock: the line it is in, and what to do. */
export type StockProblem = { readonly line: number; readonly say: string }

/** All stock, a line each; a missing price stays empty. */
export const writeStockCsv = (stock: readonly Stock[]): string =>
  writeRows([COLUMNS, ...stock.map((each) => COLUMNS.map((column) => each[column] ?? ''))])

const number = (text: string): number => Number(text.trim().replace(',', '.'))

/**
 * Reads a list of stock whole, or says what is wrong in which line; nothing of a bad list is taken.
 * Columns may stand in any order; commas, semicolons and tabs part them.
 */
export function readStockCsv(text: string): Result<readonly Stock[], StockProblem> {
  const heads = Papa.parse<string[]>(text.trim(), { preview: 1 }).data[0]?.map((head) => head.trim()) ?? []
  const twice = heads.find((head, at) => heads.indexOf(head) !== at)
  if (twice !== undefined) return refuse({ line: 1, say: `The first line names the column “${twice}” twice.` })
  const { data, errors, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim(),
  })
  const missing = COLUMNS.filter((column) => column !== 'packPrice' && !meta.fields?.includes(column))
  if (missing.length > 0)
    return refuse({
      line: 1,
      say:
        `The first line must name the columns ${COLUMNS.join(', ')}; ${missing.join(', ')} ` +
        `${missing.length === 1 ? 'is' : 'are'} missing.`,
    })
  const [broken] = errors.filter(({ type }) => type !== 'Delimiter')
  if (broken) return refuse({ line: (broken.row ?? 0) + 2, say: `The line does not hold together: ${broken.message}.` })
  if (data.length > MOST_STOCK) return refuse({ line: MOST_STOCK + 2, say: `At most ${MOST_STOCK} items can be kept.` })
  const stock: Stock[] = []
  for (const [at, row] of data.entries()) {
    const price = (row.packPrice ?? '').trim()
    const read = stockSchema.safeParse({
      item: cellRead(row.item?.trim() ?? ''),
      name: cellRead(row.name?.trim() ?? ''),
      shelf: row.shelf?.trim(),
      kind: row.kind?.trim(),
      onHand: number(row.onHand ?? ''),
      pack: number(row.pack ?? ''),
      packPrice: price === '' ? null : number(price),
    })
    if (!read.success) return refuse({ line: at + 2, say: problemOf(read.error) })
    if (stock.some(({ item }) => item === read.data.item))
      return refuse({ line: at + 2, say: `“${read.data.item}” stands there twice.` })
    stock.push(read.data)
  }
  return ok(stock)
}

function problemOf(error: z.ZodError): string {
  const [issue] = error.issues
  return `${issue!.path.join('.')}: ${issue!.message}`
}
