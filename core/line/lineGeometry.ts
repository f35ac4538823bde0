import { axisDirection, type FallPlan } from '../frame/axis'
import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { ChainJoint } from '../joints/jointMap'
import { add, norm, scale, sub, unit, type Vec3 } from '../linalg/vec3'
import type { Joint, Line, ShaftEnd } from '../project/lineSpec'
import { axisOf, pointOf, type Geometry } from '../readings/geometry'

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
  const along = (place: FallPlan): Vec3 => scale(axisDirection(place), line.flow === 'forward' ? -1 : 1)
  const driving = mapKnown(axisOf(geometry, line.driving), along)
  const driven = mapKnown(axisOf(geometry, line.driven), along)
  const centres = line.joints.map((joint, index) =>
    jointCentre(line, joint, index, geometry, driving, driven),
  )
  const all = allKnown<Vec3[]>([driving, driven, ...centres])
  if (!all.known) return all
  const [first, last, ...places] = all.value as [Vec3, Vec3, ...Vec3[]]
  for (let index = 1; index < places.length; index++) {
    if (norm(sub(places[index] as Vec3, places[index - 1] as Vec3)) < SHORTEST) {
      return unknown(`${line.name}: joints ${index} and ${index + 1} stand at the same place`)
    }
  }
  const shafts = places.slice(1).map((place, index) => unit(sub(place, places[index] as Vec3)))
  return known({ centres: places, axes: [first, ...shafts, last] }, all.assumptions)
}

/** The joints of a line as a chain for `chainMaps` and `sampledChain`. */
export function chainOf(line: Line, { axes }: LineGeometry): ChainJoint[] {
  return line.joints.map((joint, index) => ({
    kind: joint.kind,
    incoming: axes[index] as Vec3,
    outgoing: axes[index + 1] as Vec3,
  }))
}

function jointCentre(
  line: Line,
  joint: Joint,
  index: number,
  geometry: Geometry,
  driving: Known<Vec3>,
  driven: Known<Vec3>,
): Known<Vec3> {
  const place = pointOf(geometry, joint.point)
  const meaning = joint.pointIs ?? 'centre'
  if (meaning === 'centre') return place
  const isFirst = index === 0
  const hardware = isFirst ? line.shafts[0]?.drivingEnd : line.shafts.at(-1)?.drivenEnd
  const toCentre = hardwareLength(hardware, meaning)
  const name = joint.name ?? `joint ${index + 1}`
  if (toCentre === null)
    return unknown(
      `${line.name}, ${name}: the end hardware does not say how far its ${meaning} is from the centre`,
    )
  return mapKnown(allKnown<[Vec3, Vec3]>([place, isFirst ? driving : driven]), ([point, axis]) =>
    add(point, scale(axis, isFirst ? toCentre : -toCentre)),
  )
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
