import { LENGTH_UNITS, type LengthUnit } from '../../base/units/unitSettings'

/** A cell of a row by the name of its column; empty where there is no such column. */
export type Cell = (name: string) => string

/** Where a table holds what. */
export interface HeaderColumns {
  readonly cell: (cells: readonly string[]) => Cell
  readonly lengths: readonly { readonly index: number; readonly unit: LengthUnit }[]
  readonly angle: number
}

/** Where a header puts what, or why it is none of a table of readings. */
export function columnsOf(
  header: readonly string[],
): { readonly ok: true; readonly columns: HeaderColumns } | { readonly ok: false; readonly message: string } {
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
      lengths: lengths as HeaderColumns['lengths'],
      angle,
    },
  }
}
