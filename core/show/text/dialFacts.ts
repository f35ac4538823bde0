import type { RoundAnswer } from '../../bay/mating/matingOf'
import { fixed, formatAngle } from '../../base/units/format'
import { MM_PER_UNIT, type UnitSettings } from '../../base/units/unitSettings'

/** The figures of a dial round as text; empty where there is nothing to say. */
export interface DialFacts {
  readonly offset: string
  readonly tilt: string
  readonly total: string
  readonly dowel: string
  readonly left: string
  readonly fall: string
  readonly plan: string
  readonly closure: string
  readonly oval: string
}

/** Ovality below this share of the total reading is noise of the hand. */
const OVAL_SHARE = 0.15
/** Smaller than this, in mm, nobody reads on a dial. */
const LEAST = 0.02

/** Figures of a dial round in a builder's unit: two digits more than a tape has. */
export function dialFacts({ bore, face, totalMm, dowel }: RoundAnswer, units: UnitSettings): DialFacts {
  const fine = (mm: number) =>
    units.length === 'in' || units.length === 'ft'
      ? `${fixed(mm / MM_PER_UNIT.in, 4)} in`
      : `${fixed(mm, 2)} mm`
  const fit = (bore ?? face)?.fit
  const matters = (mm: number | null | undefined): string =>
    mm != null && Math.abs(mm) > Math.max(LEAST, OVAL_SHARE * totalMm) ? fine(Math.abs(mm)) : ''
  const oval = matters(fit?.secondHarmonic)
  return {
    offset: fine(bore?.offsetMm ?? 0),
    tilt: formatAngle(face?.tiltDeg ?? 0, units, 3),
    total: fine(totalMm),
    dowel: fine(dowel?.sizeMm ?? 0),
    left: fine(dowel?.leftMm ?? 0),
    fall: formatAngle(face?.fallDeg ?? 0, units, 3),
    plan: formatAngle(face?.planDeg ?? 0, units, 3),
    // Four places cannot tell an oval bore from a wrong reading; more can, and then the ovality itself is told.
    closure: fit?.secondHarmonic == null ? matters(fit?.closure) : '',
    oval,
  }
}
