import { leverUnit, type Lever } from '../../file/build/lever'
import { fixed } from '../../base/units/format'
import { parseAngle } from '../../base/units/parseAngle'
import { parseLength } from '../../base/units/parseLength'
import { notUnderstood, type Parsed } from '../../base/units/parsed'
import { MM_PER_UNIT, type UnitSettings } from '../../base/units/unitSettings'

/**
 * A lever amount as typed, in the build's units, with the way it goes.
 *
 * @param isPositive - up, forward, left, nose up
 * @returns the amount in mm or degrees; refused when it is not understood or beyond the lever's range
 */
export function parseLeverAmount(
  lever: Lever,
  text: string,
  isPositive: boolean,
  units: UnitSettings,
): Parsed {
  const size = leverUnit(lever) === 'deg' ? parseAngle(text) : parseLength(text, units.length)
  if (!size.ok) return size
  const amount = isPositive ? size.value : -size.value
  const [least, most] = lever.range
  if (amount < least || amount > most) {
    const limit = isPositive ? most : -least
    return notUnderstood(`this lever goes no further than ${leverFigure(lever, limit, units)}`)
  }
  return { ok: true, value: amount }
}

/** The size of an amount as it stands in the typing field: no sign, no unit mark for metric lengths. */
export function leverFigure(lever: Lever, amount: number, units: UnitSettings): string {
  const size = Math.abs(amount)
  if (leverUnit(lever) === 'deg') return fixed(size, 1)
  const decimals = { mm: 1, cm: 2, m: 4, in: 3, ft: 4 }[units.length]
  return fixed(size / MM_PER_UNIT[units.length], decimals)
}
