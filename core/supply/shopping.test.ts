import { expect, it } from 'vitest'
import { paperStock, sheetSupplies, stockWords, type SheetNeed } from '.'
import { disc, rect } from '../material'
import { found } from '../quantity'

const need = (count: number): SheetNeed => ({
  paper: 'riceFilm',
  shape: disc(220),
  needed: found('discs', count, 'count', 'counted'),
})

it('holds what the job takes against the shelf, size by size and paper by paper', () => {
  const [supply] = sheetSupplies([need(13)], [paperStock('riceFilm', disc(220), 2, 10)])
  expect([supply!.needed.value, supply!.onHand!.value]).toEqual([13, 2])
  for (const other of [paperStock('riceFilm', disc(160), 2, 10), paperStock('thinWafer', disc(220), 2, 10)])
    expect(sheetSupplies([need(13)], [other])[0]!.onHand).toBeNull()
})
it('knows nothing of what was never kept, and leaves out what the job does not use', () => {
  expect(sheetSupplies([{ ...need(3), shape: rect(210, 297) }], [])[0]!.onHand).toBeNull()
  expect(sheetSupplies([], [paperStock('riceFilm', disc(220), 2, 10)])).toEqual([])
})

it('calls paper by what it comes as', () => {
  const sheet = (count: number): SheetNeed => ({ ...need(count), paper: 'thinWafer', shape: rect(210, 297) })
  expect(stockWords([need(1)])).toBe('disc')
  expect(stockWords([need(1), need(2)])).toBe('discs')
  expect(stockWords([sheet(1)])).toBe('sheet')
  expect(stockWords([sheet(2)])).toBe('sheets')
  expect(stockWords([sheet(2), need(1)])).toBe('sheets and discs')
})
