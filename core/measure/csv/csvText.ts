import Papa from 'papaparse'

/** A table for a spreadsheet. */
export interface CsvRows {
  readonly header: readonly string[]
  readonly rows: readonly (readonly (string | number)[])[]
}

/** Tells a spreadsheet that the letters are UTF-8. */
const BYTE_ORDER_MARK = '\uFEFF'

/**
 * A table as CSV, the only writer of such files: a text that a spreadsheet would run as a formula, a name like `=1+1`, gets a
 * quotation mark before it. Figures stay figures, whatever their sign.
 */
export const csvText = ({ header, rows }: CsvRows): string => {
  const data = rows.map((row) => [...row])
  return `${BYTE_ORDER_MARK}${Papa.unparse({ fields: [...header], data }, { escapeFormulae: true })}\r\n`
}
