import type { Build } from '../../file/build/build'
import { READING_KINDS, wordsOf } from '../../file/build/readingKinds'
import { targetOf } from '../../file/build/targets'
import { parseAngle } from '../../base/units/parseAngle'
import { parseLength } from '../../base/units/parseLength'
import type { LengthUnit } from '../../base/units/unitSettings'
import type { Cell, HeaderColumns } from './csvHeader'
import { CSV_KINDS, textColumns, WORD_COLUMNS, type CsvKind } from './readingColumns'

type Fields = Readonly<Record<string, unknown>>

/** What one row says: the reading it belongs to, that reading's fields, and one repeat of its figure. */
export interface ReadingRow {
  readonly key: string
  readonly reading: Fields
  readonly value: string
}

/** Reads one row of a table, or tells what is wrong with it. */
export function readingRow(
  build: Build,
  columns: HeaderColumns,
  cells: readonly string[],
): ReadingRow | string {
  const cell = columns.cell(cells)
  const kind = CSV_KINDS.find((one) => one === cell('kind').toLowerCase())
  if (!kind) return `kind "${cell('kind')}" is not one of: ${CSV_KINDS.join(', ')}`
  const setup = named(build.setups, cell('setup'))
  if (!setup) return `there is no setup "${cell('setup')}"`
  const trial = cell('trial') === '' ? null : named(build.trials, cell('trial'))
  if (trial === undefined) return `there is no trial "${cell('trial')}"`
  const tool = cell('tool') === '' ? null : named(build.tools, cell('tool'))
  if (tool === undefined) return `there is no tool "${cell('tool')}" in the drawer`
  const figure = rowFigure(columns, cells, kind, keptTexts(build, cell('reading')))
  if (typeof figure === 'string') return figure
  const target = rowTarget(build, kind, cell)
  if (typeof target === 'string') return target
  const words = rowWords(build, kind, cell)
  if (typeof words === 'string') return words
  return {
    key: cell('reading'),
    value: figure.text,
    reading: {
      kind,
      setup: setup.id,
      ...(trial && { trial: trial.id }),
      ...(tool && { tool: tool.id }),
      ...target,
      ...words,
      ...rowTexts(kind, cell),
      ...(figure.unit && { unit: figure.unit }),
      ...optional('takenAt', cell('taken at').slice(0, 40)),
      ...optional('takenBy', cell('taken by')),
      ...(/^(yes|true|1)$/i.test(cell('provisional')) && { provisional: true }),
      ...optional('note', cell('note')),
    },
  }
}

const optional = (key: string, value: string): Fields => (value === '' ? {} : { [key]: value.slice(0, 200) })

/** The texts that belong to the kind alone. */
const rowTexts = (kind: CsvKind, cell: Cell): Fields =>
  Object.assign({}, ...textColumns(kind).map(([field, column]) => optional(field, cell(column)))) as Fields

function named<T extends { readonly name: string; readonly id: string }>(
  items: readonly T[],
  name: string,
): T | undefined {
  const wanted = name.toLowerCase()
  return items.find((item) => item.name.toLowerCase() === wanted) ?? items.find((item) => item.id === name)
}

/** Raw texts of a reading that the build has already: what it holds may come in again, readable or not. */
function keptTexts(build: Build, id: string): readonly string[] {
  const reading = build.readings.find((one) => one.id === id)
  return reading && 'values' in reading ? reading.values : []
}

function rowFigure(
  columns: HeaderColumns,
  cells: readonly string[],
  kind: CsvKind,
  kept: readonly string[],
): { readonly text: string; readonly unit: LengthUnit | null } | string {
  const at = (index: number) => (cells[index] ?? '').trim()
  if (READING_KINDS[kind].unit === 'deg') {
    const text = columns.angle < 0 ? '' : at(columns.angle)
    const parsed = parseAngle(text)
    return parsed.ok || kept.includes(text) ? { text, unit: null } : `angle: ${parsed.message}`
  }
  const filled = columns.lengths.filter(({ index }) => at(index) !== '')
  const [first, second] = filled
  if (!first) return 'length: nothing was typed'
  if (second) return `the length stands in two columns, ${first.unit} and ${second.unit}`
  const text = at(first.index)
  const parsed = parseLength(text, first.unit)
  return parsed.ok || kept.includes(text) ? { text, unit: first.unit } : `length: ${parsed.message}`
}

/** The fields that name what a row is of. */
function rowTarget(build: Build, kind: CsvKind, cell: Cell): Fields | string {
  const { keys, word, things, cell: ofPart } = targetOf(kind)
  const [key] = keys
  if (key === undefined) return {}
  const name = cell('of')
  const thing = named(things(build), name)
  if (!thing) return `there is no ${word} "${name}"`
  const part = ofPart?.read(build, thing.id, cell) ?? {}
  return typeof part === 'string' ? part : { [key]: thing.id, ...part }
}

/** The fields that hold one of a few words, each from its column. */
function rowWords(build: Build, kind: CsvKind, cell: Cell): Fields | string {
  const own = Object.keys(READING_KINDS[kind].words) as (keyof typeof WORD_COLUMNS)[]
  const isAcross = READING_KINDS[kind].of === 'axis' && named(build.axes, cell('of'))?.lies === 'across'
  const read: Record<string, unknown> = {}
  for (const column of new Set(Object.values(WORD_COLUMNS))) {
    const value = cell(column).toLowerCase()
    if (value === '') continue
    const field = own.find((one) => WORD_COLUMNS[one] === column)
    if (!field) return `${column} "${value}" does not belong to ${kind}`
    const allowed = wordsOf(kind, field, isAcross)
    if (!allowed.includes(value)) return `${column} "${value}" is not one of: ${allowed.join(', ')}`
    read[field] = value
  }
  if (kind === 'axis-face' && read.from === undefined) read.from = 'level'
  return read
}
