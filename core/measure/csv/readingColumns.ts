import type { MeasuredReading, Reading, ReadingOf } from '../../file/build/reading'
import { READING_KIND_NAMES, READING_KINDS } from '../../file/build/readingKinds'
import type { WordField } from '../../file/kinds/readingRow'
import { isRepeatable } from '../figures/scatter'

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
  'end',
  'gate',
  'radius',
  'tool',
  'taken at',
  'taken by',
  'provisional',
  'note',
] as const
export type TableColumn = (typeof COLUMNS)[number]

/** Readings that a table holds; a given point or axis has its own shape and stays in the build file. */
export type CsvReading = Exclude<MeasuredReading, { kind: 'setup-point' }>
export type CsvKind = CsvReading['kind']

/** Kinds that a table of readings holds. */
export const CSV_KINDS = READING_KIND_NAMES.filter(
  (kind): kind is CsvKind => READING_KINDS[kind].told === 'repeats',
)

export const isCsvReading = (reading: Reading): reading is CsvReading => isRepeatable(reading)

type FieldOf<K extends CsvKind> = K extends CsvKind ? WordField<ReadingOf<K>> : never

/** The column of each field that holds one of a few words; those that say which way share one. */
export const WORD_COLUMNS: Readonly<Record<FieldOf<CsvKind>, TableColumn>> = {
  low: 'way',
  lean: 'way',
  way: 'way',
  side: 'way',
  stands: 'way',
  from: 'from',
  zero: 'zero',
  by: 'by',
  aboveCentrelineWay: 'above way',
  display: 'display',
  end: 'end',
}

/** The column of each text that a kind has beside its figure, by its field. */
export const textColumns = (kind: CsvKind): readonly (readonly [field: string, column: TableColumn])[] =>
  Object.entries(READING_KINDS[kind].texts ?? {}) as [string, TableColumn][]
