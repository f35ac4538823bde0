/** A column of a table of facts. */
export interface FactColumn<Row> {
  readonly key: string
  /** Over the column; without labels a table has no head. */
  readonly label?: string
  /** Only said, not shown: what stands below says enough. */
  readonly isLabelHidden?: true
  /** What stands in a row; absent where a slot draws it. */
  readonly text?: (row: Row) => string | number | null | undefined
  /** The name of a row, figures to the right or to the left, words that may break, or many of them; `words` when absent. */
  readonly is?: 'head' | 'number' | 'figure' | 'words' | 'wide'
  /** Worked out, so that it may lack something. */
  readonly isWorked?: true
}
