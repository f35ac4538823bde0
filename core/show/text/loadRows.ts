import type { AxleLoads, LoadChange } from '../../vehicle/weight/axleLoads'
import { fixed, formatLength, signedText } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'

/** One line of the table before and after, as text. */
export interface LoadRow {
  readonly key: 'total' | 'front' | 'rear' | 'frontShare' | 'leftShare' | 'centre'
  readonly before: string
  readonly after: string
  readonly change: string
}

/** A figure with its sign: what has come and what has gone. */
const signed = (value: number, decimals: number, unit: string): string =>
  `${signedText(value, (size) => fixed(size, decimals), `±${fixed(0, decimals)}`)} ${unit}`

/** Loads before and after as a table. */
export function loadRows({ before, after }: LoadChange, units: UnitSettings): LoadRow[] {
  const row = (
    key: LoadRow['key'],
    of: (loads: AxleLoads) => number,
    decimals: number,
    unit: string,
  ): LoadRow => ({
    key,
    before: `${fixed(of(before), decimals)} ${unit}`,
    after: `${fixed(of(after), decimals)} ${unit}`,
    change: signed(of(after) - of(before), decimals, unit),
  })
  const place = ({ centre }: AxleLoads): string =>
    [
      `${formatLength(centre.station, units)} back`,
      `${formatLength(Math.abs(centre.offset), units)} ${centre.offset >= 0 ? 'left' : 'right'}`,
      ...(centre.height === null ? [] : [`${formatLength(centre.height, units)} up`]),
    ].join(', ')
  return [
    row('total', ({ totalKg }) => totalKg, 0, 'kg'),
    row('front', ({ frontKg }) => frontKg, 1, 'kg'),
    row('rear', ({ rearKg }) => rearKg, 1, 'kg'),
    row('frontShare', ({ frontPercent }) => frontPercent, 1, '%'),
    row('leftShare', ({ leftPercent }) => leftPercent, 1, '%'),
    { key: 'centre', before: place(before), after: place(after), change: '' },
  ]
}
