import { fallPlan, type FallPlan } from '../frame/axis'
import { mapKnown, type Known } from '../known'
import { shaftLengths, type ShaftLengths } from '../lengths/shaftLengths'
import { norm, scale, sub, dot, type Vec3 } from '../linalg/vec3'
import type { Line } from '../project/lineSpec'
import { pointOf, type Geometry } from '../readings/geometry'
import { shaftSpeed, type ShaftSpeed } from '../strength/shaftSpeed'
import { degrees, type Radians } from '../units/angle'
import { bestPhase, mapBehind, type BestPhase } from './bestPhase'
import { lineGeometry, type LineGeometry } from './lineGeometry'
import { lineNumbers, phasesOf, type LineNumbers } from './lineNumbers'
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
export interface LineFigures extends LineNumbers {
  /** Of each shaft against the driven axis: on overrun the road drives the line from behind. */
  readonly fromBehind: readonly Uniformity[]
  readonly angles: readonly Radians[]
  readonly shafts: readonly ShaftFigures[]
  readonly smallEquivalentDeg: number
  readonly speed: Known<ShaftSpeed>
}

/**
 * Angles, lengths and evenness of one line in a given geometry.
 *
 * @returns unknown with all that is missing
 * @see docs/methods/line.md
 */
export function lineFigures(line: Line, geometry: Geometry): Known<LineFigures> {
  return mapKnown(lineGeometry(line, geometry), (place) => {
    const numbers = lineNumbers(line, place)
    const { chain, maps, members, criticalSpeedsRpm } = numbers
    const phases = phasesOf(line)
    const shafts = once((): ShaftFigures[] =>
      line.shafts.map((shaft, index) => ({
        place: fallPlan(scale(place.axes[index + 1] as Vec3, line.flow === 'forward' ? -1 : 1)),
        phaseDeg: shaft.phaseDeg ?? 0,
        lengths: shaftLengths(line, place, index),
        uniformity: members[index] as Uniformity,
        bestPhase: bestPhase(chain, maps, phases, index, shaft.splineTeeth),
        criticalSpeedRpm: criticalSpeedsRpm[index] ?? null,
        bearingOffLine: bearingOffLine(line, geometry, place, index),
      })),
    )
    // Seen from the other end a map is its inverse, which squeezes as much.
    const fromBehind = once(() =>
      line.shafts.map((_, index) => uniformity(mapBehind(chain, maps, phases, index + 1))),
    )
    const smallEquivalentDeg = once(() => degrees(smallEquivalentAngle(chain, maps, phases)))
    return {
      ...numbers,
      angles: maps.angles,
      speed: shaftSpeed(line),
      // No check asks for these, and a lever in the hand asks for checks alone.
      get shafts() {
        return shafts()
      },
      get fromBehind() {
        return fromBehind()
      },
      get smallEquivalentDeg() {
        return smallEquivalentDeg()
      },
    }
  })
}

/** Computed when first asked for. */
function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null
  return () => (made ??= { value: make() }).value
}

function bearingOffLine(line: Line, geometry: Geometry, place: LineGeometry, index: number): number | null {
  const id = line.shafts[index]?.bearing?.point
  if (id === undefined) return null
  const bearing = pointOf(geometry, id)
  if (!bearing.known) return null
  const between = sub(bearing.value, place.centres[index] as Vec3)
  const axis = place.axes[index + 1] as Vec3
  return norm(sub(between, scale(axis, dot(between, axis))))
}
