import { chainMaps, type ChainJoint, type ChainMaps } from '../joints/jointMap'
import { norm, sub, type Vec3 } from '../linalg/vec3'
import type { Line, Tube } from '../project/lineSpec'
import { criticalSpeedRpm } from '../strength/criticalSpeed'
import { degrees, radians } from '../units/angle'
import { chainOf, type LineGeometry } from './lineGeometry'
import { uniformity, type Uniformity } from './uniformity'

/** The figures of a placed line that its checks ask for: lean, for it is computed for every sample. */
export interface LineNumbers {
  readonly geometry: LineGeometry
  readonly chain: readonly ChainJoint[]
  readonly maps: ChainMaps
  readonly anglesDeg: readonly number[]
  /** Of each shaft and the driven axis against the driving one. */
  readonly members: readonly Uniformity[]
  /** Of the driven against the driving axis. */
  readonly whole: Uniformity
  /** One a shaft; null without a tube. */
  readonly criticalSpeedsRpm: readonly (number | null)[]
}

/** Phases of a line's shafts about the flow direction, in radians. */
export const phasesOf = (line: Line): number[] => line.shafts.map((shaft) => radians(shaft.phaseDeg ?? 0))

/**
 * Angles and evenness of a placed line.
 *
 * @see docs/methods/line.md
 */
export function lineNumbers(line: Line, geometry: LineGeometry): LineNumbers {
  const chain = chainOf(line, geometry)
  const phases = phasesOf(line)
  const maps = chainMaps(chain, phases)
  const members = maps.upTo.map(uniformity)
  return {
    geometry,
    chain,
    maps,
    anglesDeg: maps.angles.map(degrees),
    members,
    whole: members.at(-1) as Uniformity,
    criticalSpeedsRpm: line.shafts.map((shaft, index) =>
      shaft.tube ? criticalOf(shaft.tube, centreDistance(geometry, index)) : null,
    ),
  }
}

/** No answer for a sample that strayed where there is no shaft. */
const criticalOf = (tube: Tube, length: number): number => (length > 0 ? criticalSpeedRpm(tube, length) : NaN)

const centreDistance = ({ centres }: LineGeometry, index: number): number =>
  norm(sub(centres[index + 1] as Vec3, centres[index] as Vec3))
