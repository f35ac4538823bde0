import type { Build } from '../project/build'
import { displaySides } from '../project/repair'
import { sprocketName, sprocketsOf } from '../project/chainLine'
import { FACE_PLACES, type MeasuredReading, type Reading } from '../project/reading'
import { LENGTH_UNITS, type LengthUnit } from '../units/unitSettings'
import { isRepeatable } from '../readings/scatter'
import { parseAngle } from '../units/parseAngle'
import { parseLength } from '../units/parseLength'
import { rawWay } from '../readings/rawWay'

/** Columns in the order in which they are written; lengths and angles have a column a unit. */
export const COLUMNS = [
  'reading',
  'setup',
  'trial',
  'kind',
  'of',
  'shaft',
  'way',
  'from',
  'zero',
  'by',
  'above centreline',
  'above way',
  'display',
  'place',
  'radius',
  'tool',
  'taken at',
  'taken by',
  'provisional',
  'note',
] as const

/** Kinds that a table of readings holds; a given point or axis has its own shape and stays in the build file. */
export const CSV_KINDS = [
  'chassis-fall',
  'chassis-roll',
  'axis-level',
  'axis-face',
  'shaft-level',
  'point-station',
  'point-offset',
  'point-height',
  'gap',
  'sprocket-face',
  'chain-slack',
] as const

/** Kinds whose figure is a length. */
const isLength = (kind: (typeof CSV_KINDS)[number]): boolean =>
  kind.startsWith('point') || kind === 'gap' || kind === 'sprocket-face' || kind === 'chain-slack'

/** A table: header and rows, one row a repeat. */
export interface CsvTable {
  readonly header: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

/** More rows than this are no readings of one vehicle. */
const MAX_ROWS = 5000

/**
 * The readings of a build as a table: one row a repeat, raw text as typed, units in the header.
 *
 * @see docs/format.md
 */
export function readingTable(build: Build): CsvTable {
  const readings = build.readings.filter(isCsvReading)
  const units = LENGTH_UNITS.filter((unit) => readings.some((one) => unitOf(build, one) === unit))
  const lengths = units.length > 0 ? units : [build.units.length]
  const header = [...COLUMNS, 'angle [deg]', ...lengths.map((unit) => `length [${unit}]`)]
  const nameIn = (items: readonly { readonly id: string; readonly name: string }[], id?: string) =>
    items.find((item) => item.id === id)?.name ?? ''
  const rows = readings.flatMap((reading) =>
    reading.values.map((text) => [
      reading.id,
      nameIn(build.setups, reading.setup),
      nameIn(build.trials, reading.trial),
      reading.kind,
      targetName(build, reading),
      shaftCell(reading),
      rawWay(reading),
      reading.kind === 'axis-face' ? reading.from : '',
      'zero' in reading ? (reading.zero ?? '') : '',
      reading.kind === 'point-offset' ? (reading.by ?? '') : '',
      reading.kind === 'point-offset' ? (reading.aboveCentreline ?? '') : '',
      reading.kind === 'point-offset' ? (reading.aboveCentrelineWay ?? '') : '',
      'display' in reading ? (reading.display ?? '') : '',
      reading.kind === 'sprocket-face' ? reading.place : '',
      reading.kind === 'sprocket-face' ? (reading.radius ?? '') : '',
      nameIn(build.tools, reading.tool),
      reading.takenAt ?? '',
      reading.takenBy ?? '',
      reading.provisional ? 'yes' : '',
      reading.note ?? '',
      unitOf(build, reading) === null ? text : '',
      ...lengths.map((unit) => (unitOf(build, reading) === unit ? text : '')),
    ]),
  )
  return { header, rows }
}

/** Which shaft of a line, or which run of a chain, counted from 1; empty for all else. */
function shaftCell(reading: CsvReading): string {
  if (reading.kind === 'shaft-level') return String(reading.shaft + 1)
  return reading.kind === 'chain-slack' && reading.span !== undefined ? String(reading.span + 1) : ''
}

type CsvReading = Extract<MeasuredReading, { kind: (typeof CSV_KINDS)[number] }>

const isCsvReading = (reading: Reading): reading is CsvReading => isRepeatable(reading)

/** Unit of a length reading; null for an angle. */
const unitOf = (build: Build, reading: CsvReading): LengthUnit | null =>
  isLength(reading.kind) ? ('unit' in reading && reading.unit) || build.units.length : null

function targetName(build: Build, reading: CsvReading): string {
  if ('axis' in reading) return build.axes.find((axis) => axis.id === reading.axis)?.name ?? reading.axis
  if ('point' in reading)
    return build.points.find((point) => point.id === reading.point)?.name ?? reading.point
  if ('line' in reading) return build.lines.find((line) => line.id === reading.line)?.name ?? reading.line
  if ('gap' in reading) return build.gaps.find((gap) => gap.id === reading.gap)?.name ?? reading.gap
  if ('sprocket' in reading)
    return namedSprockets(build).find(({ id }) => id === reading.sprocket)?.name ?? reading.sprocket
  if ('chain' in reading) return build.chains?.find(({ id }) => id === reading.chain)?.name ?? reading.chain
  return ''
}

/** Sprockets by the names they are called. */
const namedSprockets = (build: Build) =>
  sprocketsOf(build).map((sprocket) => ({ id: sprocket.id, name: sprocketName(sprocket) }))

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
    const read = rowReading(build, columns.columns, cells)
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

type Cell = (name: string) => string
interface Columns {
  readonly cell: (cells: readonly string[]) => Cell
  readonly lengths: readonly { readonly index: number; readonly unit: LengthUnit }[]
  readonly angle: number
}

function columnsOf(
  header: readonly string[],
): { readonly ok: true; readonly columns: Columns } | { readonly ok: false; readonly message: string } {
  const names = header.map((name) =>
    name
      .replace(/^\uFEFF/, '')
      .trim()
      .toLowerCase(),
  )
  const doubled = names.find((name, i) => name !== '' && names.indexOf(name) < i)
  if (doubled) return { ok: false, message: `the column "${doubled}" is there twice` }
  for (const wanted of ['setup', 'kind'])
    if (!names.includes(wanted)) return { ok: false, message: `the column "${wanted}" is missing` }
  const lengths = names.flatMap((name, index) => {
    const unit = /^length \[(.+)\]$/.exec(name)?.[1]
    return unit === undefined ? [] : [{ index, unit }]
  })
  const strange = lengths.find(({ unit }) => !LENGTH_UNITS.includes(unit as LengthUnit))
  if (strange)
    return { ok: false, message: `"${strange.unit}" is not a unit of length; use ${LENGTH_UNITS.join(', ')}` }
  const angle = names.findIndex((name) => /^angle \[(deg|°)\]$/.test(name))
  if (angle < 0 && lengths.length === 0)
    return { ok: false, message: 'a column with its unit is missing, such as "angle [deg]" or "length [mm]"' }
  return {
    ok: true,
    columns: {
      cell: (cells) => (name) => (cells[names.indexOf(name)] ?? '').trim(),
      lengths: lengths as Columns['lengths'],
      angle,
    },
  }
}

function rowReading(
  build: Build,
  columns: Columns,
  cells: readonly string[],
): { readonly key: string; readonly reading: Record<string, unknown>; readonly value: string } | string {
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
  const isAcross = kind.startsWith('axis') && named(build.axes, cell('of'))?.lies === 'across'
  const words = rowWords(kind, cell, isAcross)
  if (typeof words === 'string') return words
  const optional = (key: string, value: string) => (value === '' ? {} : { [key]: value.slice(0, 200) })
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
      ...(kind === 'point-offset' && optional('aboveCentreline', cell('above centreline'))),
      ...(figure.unit && { unit: figure.unit }),
      ...optional('takenAt', cell('taken at').slice(0, 40)),
      ...optional('takenBy', cell('taken by')),
      ...(/^(yes|true|1)$/i.test(cell('provisional')) && { provisional: true }),
      ...optional('note', cell('note')),
    },
  }
}

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
  columns: Columns,
  cells: readonly string[],
  kind: (typeof CSV_KINDS)[number],
  kept: readonly string[],
): { readonly text: string; readonly unit: LengthUnit | null } | string {
  const at = (index: number) => (cells[index] ?? '').trim()
  if (!isLength(kind)) {
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

function rowTarget(
  build: Build,
  kind: (typeof CSV_KINDS)[number],
  cell: Cell,
): Record<string, unknown> | string {
  if (kind.startsWith('chassis')) return {}
  const name = cell('of')
  if (kind.startsWith('axis')) {
    const axis = named(build.axes, name)
    return axis ? { axis: axis.id } : `there is no axis "${name}"`
  }
  if (kind === 'shaft-level') {
    const line = named(build.lines, name)
    const shaft = Number(cell('shaft') || '1') - 1
    if (!line) return `there is no line "${name}"`
    return line.shafts[shaft] ? { line: line.id, shaft } : `"${name}" has no shaft "${cell('shaft')}"`
  }
  if (kind === 'gap') {
    const gap = named(build.gaps, name)
    return gap ? { gap: gap.id } : `there is no gap "${name}"`
  }
  if (kind === 'sprocket-face') {
    const sprocket = named(namedSprockets(build), name)
    const place = FACE_PLACES.find((one) => one === cell('place').toLowerCase())
    if (!sprocket) return `there is no sprocket "${name}"`
    if (!place) return `place "${cell('place')}" is not one of: ${FACE_PLACES.join(', ')}`
    return {
      sprocket: sprocket.id,
      place,
      ...(cell('radius') !== '' && { radius: cell('radius').slice(0, 200) }),
    }
  }
  if (kind === 'chain-slack') {
    const chain = named(build.chains ?? [], name)
    if (!chain) return `there is no chain "${name}"`
    if (cell('shaft') === '') return { chain: chain.id }
    const span = Number(cell('shaft')) - 1
    return chain.sprockets[span] ? { chain: chain.id, span } : `"${name}" has no run "${cell('shaft')}"`
  }
  const point = named(build.points, name)
  return point ? { point: point.id } : `there is no point "${name}"`
}

const WAYS: Readonly<
  Record<(typeof CSV_KINDS)[number], { readonly key: string; readonly words: readonly string[] }>
> = {
  'chassis-fall': { key: 'low', words: ['front', 'rear'] },
  'chassis-roll': { key: 'low', words: ['left', 'right'] },
  'axis-level': { key: 'low', words: ['front', 'rear'] },
  'axis-face': { key: 'lean', words: ['front', 'rear'] },
  'shaft-level': { key: 'low', words: ['front', 'rear'] },
  'point-station': { key: 'way', words: ['rearward', 'forward'] },
  'point-offset': { key: 'side', words: ['left', 'right'] },
  'point-height': { key: 'way', words: ['above', 'below'] },
  gap: { key: 'way', words: ['free', 'overlap'] },
  'sprocket-face': { key: 'stands', words: ['left', 'right'] },
  'chain-slack': { key: 'way', words: [] },
}

function rowWords(
  kind: (typeof CSV_KINDS)[number],
  cell: Cell,
  isAcross: boolean,
): Record<string, unknown> | string {
  const { key } = WAYS[kind]
  const words = isAcross ? ['left', 'right'] : WAYS[kind].words
  const read: Record<string, unknown> = {}
  const checks: readonly (readonly [string, string, readonly string[]])[] = [
    ['way', key, words],
    ['from', 'from', kind === 'axis-face' ? ['level', 'plumb'] : []],
    ['zero', 'zero', kind.startsWith('axis') || kind === 'shaft-level' ? ['gravity', 'chassis'] : []],
    ['by', 'by', kind === 'point-offset' ? ['square', 'plumb'] : []],
    ['above way', 'aboveCentrelineWay', kind === 'point-offset' ? ['above', 'below'] : []],
    ['display', 'display', isLength(kind) ? [] : displaySides(kind, isAcross)],
  ]
  for (const [column, field, allowed] of checks) {
    const value = cell(column).toLowerCase()
    if (value === '') continue
    if (!allowed.includes(value))
      return allowed.length === 0
        ? `${column} "${value}" does not belong to ${kind}`
        : `${column} "${value}" is not one of: ${allowed.join(', ')}`
    read[field] = value
  }
  if (kind === 'axis-face' && read.from === undefined) read.from = 'level'
  return read
}
