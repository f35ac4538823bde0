import { peakAlong } from '../check/peakAlong'
import type { Column } from '../base/columns/graph'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { WheeledBody } from '../file/parts/body'
import type { Build } from '../file/build/build'
import { valueBetween, heightsInRow, type Sweep, type SweepRow } from './sweep'

/** What a peak is looked for in: the wheels of which body, as the levers stand. */
export interface SweepOf {
  readonly build: Build
  readonly body: WheeledBody
  readonly sweep: Sweep
  readonly settings: LeverSettings
}

/**
 * Where a figure is greatest over every way of a sweep.
 *
 * @param sign - -1 for where it is least
 * @returns null where it is known nowhere
 */
export function sweepPeak(
  { build, body, sweep: { rows, cells }, settings }: SweepOf,
  column: Column,
  sign: 1 | -1,
): { readonly value: number; readonly row: SweepRow } | null {
  const figures = cells(column)
  const ways = [...new Set(rows.map(({ way }) => way))]
  const peaks = ways.flatMap((way) => {
    const from = rows.findIndex((row) => row.way === way)
    const along = rows.filter((row) => row.way === way)
    const heights = along.map((row) => heightsInRow(build, body, row, settings)[0])
    const shares = along.map(({ share }) => share)
    const found = peakAlong(
      heights,
      along.map((_, i) => sign * (figures[from + i] ?? NaN)),
    )
    return found
      ? [{ value: sign * found.value, row: { way, share: valueBetween(heights, shares, found.atMm) } }]
      : []
  })
  return peaks.toSorted((a, b) => sign * (b.value - a.value))[0] ?? null
}
