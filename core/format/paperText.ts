/** Papers as plain text and as tables for a spreadsheet. */
import type { Block, Paper } from '../deliver'
import { writeRows } from './safeCells'

const underlined = (text: string, line: string): string => `${text}\n${line.repeat(text.length)}`

function blockText(block: Block): string {
  switch (block.kind) {
    case 'heading':
      return underlined(block.text, '-')
    case 'lines':
      return block.lines.map((line) => `- ${line}`).join('\n')
    case 'note':
      return `! ${block.text}`
    case 'table': {
      const rows = [block.head, ...block.rows]
      const widths = block.head.map((_, column) => Math.max(...rows.map((row) => (row[column] ?? '').length)))
      return rows
        .map(
          (row, at) =>
            `${block.ticks ? (at === 0 ? '    ' : '[ ] ') : ''}${row
              .map((cell, column) =>
                block.numbers.includes(column) ? cell.padStart(widths[column]!) : cell.padEnd(widths[column]!),
              )
              .join('  ')
              .trimEnd()}`,
        )
        .join('\n')
    }
    case 'pictures':
      return block.pictures.map(({ says }) => `(${says})`).join('\n')
    case 'photos':
      return block.photos.map(({ name }) => `(${name})`).join('\n')
    case 'signature':
      return block.lines.map((line) => `${line}: ________________________`).join('\n')
  }
}

/** A paper to read in a terminal or a message. */
export const paperText = ({ title, under, blocks }: Paper): string =>
  `${[underlined(title, '='), under, ...blocks.map(blockText)].join('\n\n')}\n`

/** Every table of a paper, one below the other, each row under the heading it stands under. */
export function paperCsv({ blocks }: Paper): string {
  let heading = ''
  const rows: string[][] = []
  let head: readonly string[] = []
  for (const block of blocks) {
    if (block.kind === 'heading') heading = block.text
    if (block.kind !== 'table') continue
    if (block.head.join() !== head.join()) rows.push(['', ...block.head])
    head = block.head
    rows.push(...block.rows.map((row) => [heading, ...row]))
  }
  return writeRows(rows)
}
