import { fallWords, offsetWords } from '../../base/frame/words'
import type { ComparedQuantity } from '../../measure/geometry/compareSetups'
import { formatAngle, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'

/** A compared figure in words that need no sign; empty where the setup did not read it. */
export function comparedWords(
  { quantity }: ComparedQuantity,
  value: number | null,
  units: UnitSettings,
): string {
  if (value === null) return ''
  const low = (positive: string, negative: string) =>
    `${value >= 0 ? positive : negative} low ${formatAngle(Math.abs(value), units, 2)}`
  const way = (positive: string, negative: string) =>
    `${formatLength(Math.abs(value), units)} ${value >= 0 ? positive : negative}`
  switch (quantity) {
    case 'fall':
      return low('rear', 'front')
    case 'roll':
      return low('left', 'right')
    case 'axis':
      return fallWords(value, 'tail', units, 2).replace('tail', 'rear')
    case 'station':
      return way('rearward', 'forward')
    case 'offset':
      return offsetWords(value, units)
    case 'height':
      return way('above', 'below')
  }
}
