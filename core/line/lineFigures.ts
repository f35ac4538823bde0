import { fallPlan, type FallPlan } from '../frame/axis'
import { chainMaps } from '../joints/jointMap'
import { mapKnown, type Known } from '../known'
import { shaftLengths, type ShaftLengths } from '../lengths/shaftLengths'
import { norm, scale, sub, dot, type Vec3 } from '../linalg/vec3'
import type { Line } from '../project/lineSpec'
import { pointOf, type Geometry } from '../readings/geometry'
import { criticalSpeedRpm } from '../strength/criticalSpeed'
import { shaftSpeed, type ShaftSpeed } from '../strength/shaftSpeed'
import { degrees, radians, type Radians } from '../units/angle'
import { bestPhase, type BestPhase } from './bestPhase'
import { chainOf, lineGeometry, type LineGeometry } from './lineGeometry'
import { smallEquivalentAngle } from './smallAngle'
import { uniformity, type Uniformity } from './uniformity'

/** Figures of one shaft of a line. */
export interface ShaftFigures {
  readonly place: FallPlan
  readonly phaseDeg: number
  readonly lengths: ShaftLengths
  /** Of the shaft against the driving axis. */
  readonly uniformity: Uniformity
  readonly bestPhase: BestPhase | null
  readonly criticalSpeedRpm: number | null
  /** How far a bearing the shaft passes through lies off its line, in mm; null without one that was read. */
  readonly bearingOffLine: number | null
}

/** All that a line's geometry tells, before any limit is looked at. */
export interface LineFigures {
  readonly geometry: LineGeometry
  readonly angles: readonly Radians[]
  readonly anglesDeg: readonly number[]
  readonly shafts: readonly ShaftFigures[]
  /** Of the driven against the driving axis. */
  readonly whole: Uniformity
  readonly smallEquivalentDeg: number
  readonly speed: Known<ShaftSpeed>
}

/** Phases of a line's shafts about the flow direction, in radians. */
export const phasesOf = (line: Line): number[] => line.shafts.map((shaft) => radians(shaft.phaseDeg ?? 0))

/**
 * Angles, lengths and evenness of one line in a given geometry.
 *
 * @returns unknown with all that is missing
 * @see docs/methods/line.md
 */
export function lineFigures(line: Line, geometry: Geometry): Known<LineFigures> {
  return mapKnown(lineGeometry(line, geometry), (place) => {
    const chain = chainOf(line, place)
    const phases = phasesOf(line)
    const maps = chainMaps(chain, phases)
    const members = maps.upTo.map(uniformity)
    return {
      geometry: place,
      angles: maps.angles,
      anglesDeg: maps.angles.map(degrees),
      shafts: line.shafts.map((shaft, index) => {
        const lengths = shaftLengths(line, place, index)
        return {
          place: fallPlan(scale(place.axes[index + 1] as Vec3, line.flow === 'forward' ? -1 : 1)),
          phaseDeg: shaft.phaseDeg ?? 0,
          lengths,
          uniformity: members[index] as Uniformity,
          bestPhase: bestPhase(chain, maps, phases, index, shaft.splineTeeth),
          criticalSpeedRpm: shaft.tube ? criticalSpeedRpm(shaft.tube, centreDistance(place, index)) : null,
          bearingOffLine: bearingOffLine(line, geometry, place, index),
        }
      }),
      whole: members.at(-1) as Uniformity,
      smallEquivalentDeg: degrees(smallEquivalentAngle(chain, maps, phases)),
      speed: shaftSpeed(line),
    }
  })
}

const centreDistance = ({ centres }: LineGeometry, index: number): number =>
  norm(sub(centres[index + 1] as Vec3, centres[index] as Vec3))

function bearingOffLine(line: Line, geometry: Geometry, place: LineGeometry, index: number): number | null {
  const id = line.shafts[index]?.bearing?.point
  if (id === undefined) return null
  const bearing = pointOf(geometry, id)
  if (!bearing.known) return null
  const between = sub(bearing.value, place.centres[index] as Vec3)
  const axis = place.axes[index + 1] as Vec3
  return norm(sub(between, scale(axis, dot(between, axis))))
}
