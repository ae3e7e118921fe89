/** A column of a table that can be sorted: what stands above it, and by what its rows are put in order. */
export type TableColumn<Row> = {
  readonly id: string
  readonly header: string
  readonly sortBy: (row: Row) => string | number
  /** Words to the left, figures to the right. */
  readonly align?: 'right'
  /** It says what its row is. */
  readonly isHeading?: boolean
}
