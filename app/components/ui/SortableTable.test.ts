import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { h } from 'vue'
import SortableTable from './SortableTable.vue'
import type { TableColumn } from './tableColumn'

type Sheet = { readonly id: string; readonly paper: string; readonly count: number }

const rows: readonly Sheet[] = [
  { id: 'film', paper: 'rice film', count: 3 },
  { id: 'thin', paper: 'thin wafer', count: 12 },
  { id: 'thick', paper: 'thick wafer', count: 7 },
]
const columns: readonly TableColumn<Sheet>[] = [
  { id: 'paper', header: 'Paper', sortBy: ({ paper }) => paper, isHeading: true },
  { id: 'count', header: 'Count', sortBy: ({ count }) => count, align: 'right' },
]
const shown = () =>
  mount(SortableTable as never, {
    props: { rows, columns, rowProps: ({ id }: Sheet) => ({ 'data-testid': `row-${id}` }) } as never,
    slots: {
      paper: ({ row }: { row: Sheet }) => h('b', row.paper),
      count: ({ row }: { row: Sheet }) => String(row.count),
    },
  })

describe('a table that is sorted', () => {
  it('is as it was given until a heading is touched; then by it, up and down', async () => {
    const mounted = shown()
    const order = () => mounted.findAll('tbody tr').map((row) => row.attributes('data-row'))
    const [paper, count] = mounted.findAll('thead button')
    expect(order()).toEqual(['film', 'thin', 'thick'])
    await paper!.trigger('click')
    expect(order()).toEqual(['film', 'thick', 'thin'])
    await count!.trigger('click')
    const first = order()
    await count!.trigger('click')
    expect([first, order()]).toEqual(
      expect.arrayContaining([
        ['film', 'thick', 'thin'],
        ['thin', 'thick', 'film'],
      ]),
    )
  })
  it('says how it is sorted, what each row is, and carries what a row is given', async () => {
    const mounted = shown()
    expect(mounted.findAll('th[scope="col"]').map((each) => each.attributes('aria-sort'))).toEqual(['none', 'none'])
    await mounted.get('thead button').trigger('click')
    expect(mounted.get('th[scope="col"]').attributes('aria-sort')).toBe('ascending')
    expect(mounted.get('[data-testid="row-thick"] th[scope="row"] b').text()).toBe('thick wafer')
  })
})
