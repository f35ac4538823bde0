import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { readingsFromTable, type CsvProblem } from '~~/core/measure/csv/readingsFromTable'
import { readingTable } from '~~/core/measure/csv/readingTable'
import { parseBuild } from '~~/core/file/open/parseBuild'
import { problemText } from '~~/core/file/parts/problem'
import { newId } from '../storage/newId'
import { download } from '../storage/download'
import { useWorkbench } from './workbench'

/** Larger files are no readings of one vehicle, in bytes. */
const MAX_BYTES = 2_000_000
/** Problems listed at the most. */
const LISTED = 25

/** Readings out to a table and in from one: all of it or nothing. */
export const useCsv = defineStore('csv', () => {
  const workbench = useWorkbench()
  const problems = shallowRef<readonly CsvProblem[]>([])

  async function exportCsv(): Promise<void> {
    const { build } = workbench
    if (!build) return
    const { csvText } = await import('~~/core/measure/csv/csvText')
    const name = build.name.toLowerCase().replace(/[^a-z0-9]+/g, '-') || 'build'
    download(`${name}-readings.csv`, csvText(readingTable(build)), 'text/csv')
  }

  /** Takes in a table; returns how many readings, or 0 with the problems to show. */
  async function importCsv(file: File): Promise<number> {
    const { build } = workbench
    if (!build) return 0
    const refuse = (line: number, message: string): number => {
      problems.value = [{ line, message }]
      return 0
    }
    if (file.size > MAX_BYTES) return refuse(1, 'the file is larger than 2 MB')
    const { parse } = await import('papaparse')
    const text = await file.text()
    // The delimiter is told by the header alone: in the rows a semicolon file has decimal commas.
    const firstLine = text.split(/\r?\n/, 1)[0] ?? ''
    const delimiter = [';', '\t', ','].find((mark) => firstLine.includes(mark)) ?? ','
    const parsed = parse<string[]>(text, { delimiter, skipEmptyLines: false })
    const fault = parsed.errors.find((one) => one.type === 'Quotes')
    if (fault) return refuse((fault.row ?? 0) + 1, 'a quotation mark is opened and not closed')
    const [header = [], ...rows] = parsed.data
    while (rows.length > 0 && rows.at(-1)?.every((cell) => cell.trim() === '')) rows.pop()
    const result = readingsFromTable(build, { header, rows }, newId)
    if (!result.ok) {
      problems.value = result.problems.slice(0, LISTED)
      return 0
    }
    const proven = parseBuild({ ...build, readings: [...build.readings, ...result.readings] })
    if (!proven.ok) return refuse(1, proven.problems.map(problemText).join('; '))
    problems.value = []
    workbench.change(`Import ${result.readings.length} readings`, (draft) => {
      draft.readings.push(...(result.readings as never[]))
    })
    return result.readings.length
  }

  return { problems, exportCsv, importCsv }
})
