import type { Build } from '../../file/build/build'
import { READING_KINDS } from '../../file/build/readingKinds'
import { targetOf } from '../../file/build/targets'
import { thingName } from '../targets/target'
import { LENGTH_UNITS, type LengthUnit } from '../../base/units/unitSettings'
import {
  COLUMNS,
  isCsvReading,
  textColumns,
  WORD_COLUMNS,
  type TableColumn,
  type CsvReading,
} from './readingColumns'

/** A table: header and rows, one row a repeat. */
export interface CsvTable {
  readonly header: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

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
  const rows = readings.flatMap((reading) => {
    const cells = cellsOf(build, reading)
    const unit = unitOf(build, reading)
    return reading.values.map((text) => [
      ...COLUMNS.map((column) => cells[column] ?? ''),
      unit === null ? text : '',
      ...lengths.map((one) => (unit === one ? text : '')),
    ])
  })
  return { header, rows }
}

/** Unit of a length reading; null for an angle. */
const unitOf = (build: Build, reading: CsvReading): LengthUnit | null =>
  READING_KINDS[reading.kind].unit === 'mm' ? ('unit' in reading && reading.unit) || build.units.length : null

type Cells = Partial<Record<TableColumn, string>>

function cellsOf(build: Build, reading: CsvReading): Cells {
  const nameIn = (items: readonly { readonly id: string; readonly name: string }[], id?: string) =>
    items.find((item) => item.id === id)?.name ?? ''
  const { cell: part } = targetOf(reading.kind)
  const isOfVehicle = READING_KINDS[reading.kind].of === 'chassis'
  return {
    reading: reading.id,
    setup: nameIn(build.setups, reading.setup),
    trial: nameIn(build.trials, reading.trial),
    kind: reading.kind,
    of: isOfVehicle ? '' : thingName(build, reading.kind, reading),
    ...(part && { [part.column]: part.written({ ...reading }) }),
    tool: nameIn(build.tools, reading.tool),
    'taken at': reading.takenAt,
    'taken by': reading.takenBy,
    provisional: reading.provisional ? 'yes' : '',
    note: reading.note,
    ...ownCells(reading),
  }
}

/** The words and texts that belong to the kind of a reading. */
function ownCells(reading: CsvReading): Cells {
  const fields = reading as unknown as Readonly<Record<string, string | undefined>>
  const words = (Object.keys(READING_KINDS[reading.kind].words) as (keyof typeof WORD_COLUMNS)[]).map(
    (field) => [WORD_COLUMNS[field], fields[field]] as const,
  )
  const texts = textColumns(reading.kind).map(([field, column]) => [column, fields[field]] as const)
  return Object.fromEntries([...words, ...texts])
}
