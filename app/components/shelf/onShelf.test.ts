import { expect, it } from 'vitest'
import { parseMoment, valueOf } from '#core/quantity'
import { onShelf } from './onShelf'

const now = valueOf(parseMoment('2026-11-24T09:00'))
const listed = (name: string, eventAt: string, archived = false) => ({ id: name, name, eventAt, archived, savedAt: 0 })
const all = [
  listed('Long ago', '2025-05-01T12:00'),
  listed('Ferry', '2026-12-19T17:00'),
  listed('Autumn', '2026-11-01T12:00'),
  listed('Wedding of the ferry master', '2026-12-05T18:30'),
  listed('Put away', '2026-12-06T18:30', true),
]
const names = (archived: boolean, sought = '') => onShelf(all, { archived, sought, now }).map(({ name }) => name)

it('what is to come stands first, the soonest on top, then what is past, the latest on top', () => {
  expect(names(false)).toEqual(['Wedding of the ferry master', 'Ferry', 'Autumn', 'Long ago'])
  expect(names(true)).toEqual(['Put away'])
})
it('is found by a part of its name, however it is written', () => {
  expect(names(false, ' FERRY ')).toEqual(['Wedding of the ferry master', 'Ferry'])
  expect(names(false, 'nobody')).toEqual([])
})
