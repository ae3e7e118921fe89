import { expect, it } from 'vitest'
import { movedOnSheet } from './pulledPiece'

const A5 = { kind: 'sheet', widthMm: 148, heightMm: 210 } as never

it('a piece goes on the sheet as far as the finger on the screen, up where that goes up', () => {
  // 150 mm with its air are 300 px: 20 px to the right and 10 up are 10 mm and 5 mm.
  expect(movedOnSheet({ x: 30, y: 40 }, { x: 20, y: -10 }, A5, 300)).toEqual({ x: 40, y: 45 })
  expect(movedOnSheet({ x: 30, y: 40 }, { x: 20, y: -10 }, A5, 0)).toEqual({ x: 30, y: 40 })
})
