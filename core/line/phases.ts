import type { Line } from '../file/parts/lineSpec'
import { radians } from '../base/units/angle'

/** Phases of a line's shafts about the flow direction, in radians. */
export const phasesOf = (line: Line): number[] => line.shafts.map((shaft) => radians(shaft.phaseDeg ?? 0))
