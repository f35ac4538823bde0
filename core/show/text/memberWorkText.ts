import { fixed, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { PressHit } from '../../making/bends/pressOrder'
import type { Wedge } from '../../making/crossmembers/wedge'
import { pressOf, type RailWedge, type WayFound } from '../../model/memberWork'

const HITS: Readonly<Record<PressHit, string>> = {
  short: 'less than half the die is straight beside it',
  block: 'what is bent already stands in the die block',
  ram: 'what is bent already stands in the ram',
}

/** Why a bar does not go through its press; empty when it does, or is not pressed. */
export function pressRefusals(found: WayFound): string[] {
  const press = pressOf(found)
  if (!press?.known || press.value.isPossible) return []
  const { done, left } = press.value
  const first =
    done.length === 0
      ? ''
      : ` once ${done.length === 1 ? 'one of them is' : `${done.length} of them are`} bent`
  return left.map(({ bend, hit }) => `bend ${bend + 1} cannot be pressed${first}: ${HITS[hit]}`)
}

const CURES: Readonly<Record<Wedge['cure'], string>> = {
  nothing: 'the bolts or a fillet bridge it',
  fillet: 'a fillet’s leg grows by the gap, or file the pad',
  wedge: 'cut the pad to shape, or fit a wedge',
}

/** "left rail: 2.31° off the bar, 4.6 mm at its thick corner, forward and right: cut the pad to shape, or fit a wedge". */
export const wedgeWords = ({ side, wedge }: RailWedge, units: UnitSettings): string => {
  if (!wedge.known) return `${side} rail: ${wedge.missing.map(({ what }) => what).join('; ')}`
  const { angleDeg, thickMm, isThickForward, isThickLeft, cure } = wedge.value
  const corner = `${isThickForward ? 'forward' : 'rearward'} and ${isThickLeft ? 'left' : 'right'}`
  return `${side} rail: ${fixed(angleDeg, 2)}° off the bar, ${formatLength(thickMm, units)} at its thick corner, ${corner}: ${CURES[cure]}`
}
