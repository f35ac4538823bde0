import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'
import { columnsOf } from './csvHeader'
import { readingRow } from './readingRow'
import type { CsvTable } from './readingTable'

/** More rows than this are no readings of one vehicle. */
const MAX_ROWS = 5000

/** One thing wrong with a table, at its line; the header is line 1. */
export interface CsvProblem {
  readonly line: number
  readonly message: string
}

export type CsvResult =
  | { readonly ok: true; readonly readings: readonly Reading[] }
  | { readonly ok: false; readonly problems: readonly CsvProblem[] }

/**
 * Readings from a table: every row is proved before any is taken.
 *
 * Names are matched to those of the build, whatever their case. Rows that share a `reading` are repeats of one; an id
 * that the build already has gets a new one, so nothing is overwritten.
 *
 * @param newId - gives ids that are not used yet
 */
export function readingsFromTable(build: Build, { header, rows }: CsvTable, newId: () => string): CsvResult {
  const columns = columnsOf(header)
  if (!columns.ok) return { ok: false, problems: [{ line: 1, message: columns.message }] }
  if (rows.length === 0)
    return { ok: false, problems: [{ line: 1, message: 'there are no rows under the header' }] }
  if (rows.length > MAX_ROWS)
    return { ok: false, problems: [{ line: MAX_ROWS + 2, message: `there are more than ${MAX_ROWS} rows` }] }
  const problems: CsvProblem[] = []
  const groups = new Map<string, { readonly reading: Record<string, unknown>; readonly values: string[] }>()
  rows.forEach((row, i) => {
    const line = i + 2
    const cells = row.map(withoutFormulaGuard)
    if (cells.every((cell) => cell.trim() === '')) return
    if (cells.length > header.length && cells.slice(header.length).some((cell) => cell.trim() !== ''))
      problems.push({ line, message: `has ${cells.length} fields, the header only ${header.length}` })
    const read = readingRow(build, columns.columns, cells)
    if (typeof read === 'string') problems.push({ line, message: read })
    else {
      const key = read.key === '' ? `row ${line}` : read.key
      const group = groups.get(key)
      if (!group) groups.set(key, { reading: read.reading, values: [read.value] })
      else if (JSON.stringify(group.reading) !== JSON.stringify(read.reading))
        problems.push({
          line,
          message: `is another reading than the rows before it with reading "${read.key}"`,
        })
      else group.values.push(read.value)
    }
  })
  if (problems.length > 0) return { ok: false, problems }
  const readings = [...groups.values()].map(
    ({ reading, values }) => ({ ...reading, id: newId(), values }) as unknown as Reading,
  )
  return { ok: true, readings }
}

/** A cell that a spreadsheet would run was written with an apostrophe before it. */
const withoutFormulaGuard = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell)
