import { axisDirection } from '../frame/axis'
import { allKnown, known, unknown, type Known } from '../known'
import type { ChainJoint } from '../joints/jointMap'
import { add, norm, scale, sub, unit, type Vec3 } from '../linalg/vec3'
import type { Joint, Line, ShaftEnd } from '../project/lineSpec'
import type { Id } from '../project/id'
import { axisOf, knownPlaces, pointOf, type Geometry, type Places } from '../readings/geometry'

/** A line in space: joint centres in mm and axis directions along the power flow, one more than joints. */
export interface LineGeometry {
  readonly centres: readonly Vec3[]
  /** Driving axis, each shaft, driven axis; unit vectors. */
  readonly axes: readonly Vec3[]
}

/** Two joint centres closer than this, in mm, make no shaft. */
const SHORTEST = 1

/**
 * Joint centres and axes of a line in a given geometry.
 *
 * @returns unknown with everything that was not read; also when two joints coincide
 */
export function lineGeometry(line: Line, geometry: Geometry): Known<LineGeometry> {
  const read: Known<unknown>[] = [
    axisOf(geometry, line.driving),
    axisOf(geometry, line.driven),
    ...line.joints.map((joint, index) => {
      const hardware = centreFrom(line, joint, index)
      return hardware.known ? pointOf(geometry, joint.point) : hardware
    }),
  ]
  const all = allKnown<unknown[]>(read)
  if (!all.known) return all
  const place = placedLine(line, knownPlaces(geometry))
  for (let index = 1; index < place.centres.length; index++) {
    if (norm(sub(place.centres[index] as Vec3, place.centres[index - 1] as Vec3)) < SHORTEST) {
      return unknown(`${line.name}: joints ${index} and ${index + 1} stand at the same place`)
    }
  }
  return known(place, all.assumptions)
}

/** Joint centres and axes of a line whose points and axes are all known. */
export function placedLine(line: Line, places: Places): LineGeometry {
  const sense = line.flow === 'forward' ? -1 : 1
  const along = (id: Id): Vec3 => scale(axisDirection(places.axis(id)), sense)
  const driving = along(line.driving)
  const driven = along(line.driven)
  const centres = line.joints.map((joint, index) => {
    const toCentre = centreFrom(line, joint, index)
    const distance = toCentre.known ? toCentre.value : 0
    const point = places.point(joint.point)
    return distance === 0 ? point : add(point, scale(index === 0 ? driving : driven, distance))
  })
  const shafts = centres.slice(1).map((centre, index) => unit(sub(centre, centres[index] as Vec3)))
  return { centres, axes: [driving, ...shafts, driven] }
}

/** The joints of a line as a chain for `chainMaps` and `sampledChain`. */
export function chainOf(line: Line, { axes }: LineGeometry): ChainJoint[] {
  return line.joints.map((joint, index) => ({
    kind: joint.kind,
    incoming: axes[index] as Vec3,
    outgoing: axes[index + 1] as Vec3,
  }))
}

/** How far along the mating axis, with the power flow, a joint's centre lies from the point it is told by, in mm. */
function centreFrom(line: Line, joint: Joint, index: number): Known<number> {
  const meaning = joint.pointIs ?? 'centre'
  if (meaning === 'centre') return known(0)
  const isFirst = index === 0
  const hardware = isFirst ? line.shafts[0]?.drivingEnd : line.shafts.at(-1)?.drivenEnd
  const toCentre = hardwareLength(hardware, meaning)
  const name = joint.name ?? `joint ${index + 1}`
  if (toCentre === null)
    return unknown(
      `${line.name}, ${name}: the end hardware does not say how far its ${meaning} is from the centre`,
    )
  return known(isFirst ? toCentre : -toCentre)
}

/** Distance from a measured feature of an end to its joint centre, in mm; null when this hardware has no such feature. */
export function hardwareLength(
  end: ShaftEnd | undefined,
  feature: 'flange-face' | 'shaft-end' | 'seal-face',
): number | null {
  if (end?.kind === 'flange') return feature === 'flange-face' ? end.faceToJointMm : null
  if (end?.kind !== 'slip-yoke') return null
  const fromShaftEnd = end.boreBottomToJointMm + end.setInMm
  if (feature === 'shaft-end') return fromShaftEnd
  return feature === 'seal-face' && end.sealToShaftEndMm !== undefined
    ? fromShaftEnd + end.sealToShaftEndMm
    : null
}
