import { scalarStep, vectorStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import type { Kernel, Row } from '../base/columns/kernel'
import { trainColumns, type TrainColumns } from './joints/trainColumns'
import { allKnown, mapKnown, unknown, type Known } from '../base/known'
import { dot, type Vec3 } from '../base/linalg/vec3'
import { isSetByBearing, pointOfJoint, type Flow, type Joint, type Line } from '../file/parts/lineSpec'
import { vectorAt } from '../measure/geometry/geometry'
import type { Id } from '../file/parts/id'
import { phasesOf } from './phases'
import { hardwareLength } from './hardware'
import { shaftColumns, type ShaftColumns } from './shaftColumns'
import { SQUEEZE } from './uniformity'

/** Points and axes of a build in one state, as columns by id. */
export interface PlaceColumns {
  readonly point: (id: Id) => Known<VectorColumns>
  /** Unit vectors: rearward along the vehicle, to the left across it. */
  readonly axis: (id: Id) => Known<VectorColumns>
  /** In which state of the vehicle, to follow a name: ", under drive"; absent at ride height. */
  readonly when?: string
}

/** A line in one state as columns: where it lies, and how the turn comes through. */
export interface LineColumns extends TrainColumns {
  /** Of the joints, in mm. */
  readonly centres: readonly VectorColumns[]
  /** Driving axis, each shaft, driven axis: unit vectors along the power flow, one more than joints. */
  readonly axes: readonly VectorColumns[]
  /** Between the joint centres of each shaft, in mm. */
  readonly spans: readonly Column[]
  /** From each shaft's front joint along it to its bearing, in mm; null without one, or where it was not read. */
  readonly reaches: readonly (Column | null)[]
  /** How much the line squeezes the turn up to and behind each joint; the last is the whole line. */
  readonly squeezes: readonly Column[]
  /** What hangs on the length of each shaft. */
  readonly shafts: readonly ShaftColumns[]
  /** How far the slip yoke at the driving end has slid out from where it stands at ride height, in mm; null without one. */
  readonly slide: Column | null
}

/** Two joint centres closer than this, in mm, make no shaft. */
export const SHORTEST = 1

/** A shaft between two joint centres in mm: its unit vector and its length; nothing where they coincide. */
const SHAFT: Kernel = {
  name: 'shaft from joint centre to joint centre',
  page: 'lengths',
  outputs: 4,
  run: (count, [ax, ay, az, bx, by, bz], [x, y, z, length]) => {
    for (let i: Row = 0; i < count; i++) {
      const u = bx[i] - ax[i]
      const v = by[i] - ay[i]
      const w = bz[i] - az[i]
      const size = Math.sqrt(u * u + v * v + w * w)
      const long = size < SHORTEST ? NaN : size
      const inverse = 1 / long
      x[i] = u * inverse
      y[i] = v * inverse
      z[i] = w * inverse
      length[i] = long
    }
  },
}

/** A joint's centre from a point on its mating axis, in mm, and that axis; parameter: how far along it. */
const ALONG_AXIS: Kernel = {
  name: 'joint centre from the end hardware',
  page: 'lengths',
  outputs: 3,
  run: (count, [px, py, pz, ax, ay, az], [x, y, z], [distance]) => {
    for (let i: Row = 0; i < count; i++) {
      x[i] = px[i] + distance * ax[i]
      y[i] = py[i] + distance * ay[i]
      z[i] = pz[i] + distance * az[i]
    }
  },
}

/**
 * A joint's centre in mm, behind the bearing that carries the shaft in front, on the line from that shaft's front joint through the bearing;
 * parameter: how far behind.
 */
const BEHIND_BEARING: Kernel = {
  name: 'joint centre behind the centre bearing',
  page: 'lengths',
  outputs: 3,
  run: (count, [ax, ay, az, bx, by, bz], [x, y, z], [overhang]) => {
    for (let i: Row = 0; i < count; i++) {
      const u = bx[i] - ax[i]
      const v = by[i] - ay[i]
      const w = bz[i] - az[i]
      const size = Math.sqrt(u * u + v * v + w * w)
      const factor = size < SHORTEST ? NaN : overhang / size
      x[i] = bx[i] + factor * u
      y[i] = by[i] + factor * v
      z[i] = bz[i] + factor * w
    }
  },
}

/**
 * How far a slip yoke slides out along its axis, in mm, so that its shaft keeps its length: from the joint centre as it stood, that axis, the next
 * joint's centre, and the length. Nothing where the shaft is too short to reach.
 */
const SLIDE: Kernel = {
  name: 'way of the slip yoke on its shaft',
  page: 'travel',
  outputs: 1,
  run: (count, [px, py, pz, ax, ay, az, qx, qy, qz, long], [slide]) => {
    for (let i: Row = 0; i < count; i++) {
      const u = qx[i] - px[i]
      const v = qy[i] - py[i]
      const w = qz[i] - pz[i]
      const along = u * ax[i] + v * ay[i] + w * az[i]
      const aside = u * u + v * v + w * w - along * along
      slide[i] = along - Math.sqrt(long[i] * long[i] - aside)
    }
  },
}

/** A point moved along an axis, in mm. */
const SLID: Kernel = {
  name: 'joint centre with its yoke slid',
  page: 'travel',
  outputs: 3,
  run: (count, [px, py, pz, ax, ay, az, slide], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      x[i] = px[i] + slide[i] * ax[i]
      y[i] = py[i] + slide[i] * ay[i]
      z[i] = pz[i] + slide[i] * az[i]
    }
  },
}

/** How far along a shaft's axis a point lies behind its front joint, in mm. */
const REACH: Kernel = {
  name: 'from the joint to the bearing',
  page: 'lengths',
  outputs: 1,
  run: (count, [fx, fy, fz, px, py, pz, ax, ay, az], [reach]) => {
    for (let i: Row = 0; i < count; i++)
      reach[i] = (px[i] - fx[i]) * ax[i] + (py[i] - fy[i]) * ay[i] + (pz[i] - fz[i]) * az[i]
  },
}

/** Which way the power flows, chassis frame. */
export const FLOW_DIRECTIONS: Readonly<Record<Flow, Vec3>> = {
  rearward: [-1, 0, 0],
  forward: [1, 0, 0],
  left: [0, 1, 0],
  right: [0, -1, 0],
}

/** A direction turned about to the other end; what runs rearward then runs forward. */
const REVERSED: Kernel = {
  name: 'the same axis along the power flow',
  page: 'line',
  outputs: 3,
  run: (count, [x, y, z], [u, v, w]) => {
    for (let i: Row = 0; i < count; i++) {
      u[i] = -x[i]
      v[i] = -y[i]
      w[i] = -z[i]
    }
  },
}

/**
 * The steps from the points and axes of a line to its angles and evenness.
 *
 * @param atRide - the line as it stands at ride height, where this is another place of the wheels: a shaft with a slip yoke keeps its length
 * @returns unknown with everything that was not read
 * @see docs/methods/line.md
 */
export function lineColumns(
  graph: Graph,
  line: Line,
  places: PlaceColumns,
  atRide: LineColumns | null = null,
): Known<LineColumns> {
  const needs = lineNeeds(line, places.axis, places.point)
  const when = places.when ?? ''
  return mapKnown(needs, ([driving, driven, ...points]) => {
    const flow = FLOW_DIRECTIONS[line.flow ?? 'rearward']
    // By its means: within its doubt no axis of a line turns round.
    const along = (axis: VectorColumns) =>
      dot(vectorAt(graph.at)(axis), flow) < 0 ? vectorStep(graph, REVERSED, axis) : axis
    const first = along(driving)
    const last = along(driven)
    const centres: VectorColumns[] = []
    points.forEach((point, index) => {
      const front = centres[index - 1]
      if (front && isSetByBearing(line, index)) {
        const overhang = line.shafts[index - 1]?.bearing?.overhangMm ?? NaN
        centres.push(vectorStep(graph, BEHIND_BEARING, [...front, ...point], [overhang]))
        return
      }
      const distance = centreDistance(line, index)
      const axis = index === 0 ? first : last
      centres.push(distance === 0 ? point : vectorStep(graph, ALONG_AXIS, [...point, ...axis], [distance]))
    })
    let slide: Column | null = null
    const [yoke, next] = centres
    const length = atRide?.spans[0]
    if (length !== undefined && yoke && next && slidesAtYoke(line)) {
      slide = scalarStep(graph, SLIDE, [...yoke, ...first, ...next, length])
      graph.name([slide], `${line.name}: way of the slip yoke${when}`)
      centres[0] = vectorStep(graph, SLID, [...yoke, ...first, slide])
    }
    const shafts = centres.slice(1).map((centre, index) => {
      const [x, y, z, length] = graph.step(SHAFT, [
        ...(centres[index] as VectorColumns),
        ...centre,
      ]) as unknown as [...VectorColumns, Column]
      return { axis: [x, y, z] as const, length }
    })
    const axes = [first, ...shafts.map(({ axis }) => axis), last]
    centres.forEach((centre, index) =>
      graph.name(centre, `${line.name}: centre of joint ${index + 1}${when}`),
    )
    shafts.forEach(({ axis, length }, index) =>
      graph.name([...axis, length], `${line.name}: shaft ${index + 1}, joint to joint${when}`),
    )
    const kinds = line.joints.map((joint) => joint.kind)
    const train = trainColumns(graph, kinds, axes, phasesOf(line))
    train.angles.forEach((angle, index) =>
      graph.name(
        [angle, ...(train.normals[index] ?? []), train.anglesDeg[index] as Column],
        `${line.name}: angle of joint ${index + 1}${when}`,
      ),
    )
    train.upTo.forEach((map, index) =>
      graph.name(map, `${line.name}: the turn handed on by joint ${index + 1}${when}`),
    )
    return {
      ...train,
      centres,
      axes,
      spans: shafts.map(({ length }) => length),
      shafts: line.shafts.map((shaft, index) => {
        const isYoke = index === 0 && slidesAtYoke(line)
        const span = shafts[index]?.length as Column
        // Nobody follows it: it stands where it stands at ride height.
        return shaftColumns(graph, shaft, span, isYoke ? (slide ?? graph.source(0)) : null)
      }),
      reaches: line.shafts.map(({ bearing }, index) => {
        const point = bearing && places.point(bearing.point)
        const from = centres[index]
        const along = shafts[index]?.axis
        return point?.known && from && along
          ? scalarStep(graph, REACH, [...from, ...point.value, ...along])
          : null
      }),
      squeezes: train.upTo.map((map) => scalarStep(graph, SQUEEZE, map)),
      slide,
    }
  })
}

/** True for a line that grows longer and shorter at its slip yoke alone; behind a bearing that sets the next joint nothing slides. */
export const slidesAtYoke = (line: Line): boolean =>
  line.shafts[0]?.drivingEnd?.kind === 'slip-yoke' &&
  !line.shafts.some(({ slip, plunge }) => slip || plunge) &&
  !isSetByBearing(line, 1)

/** All that a line rests on: its driving axis, its driven one, the points of its joints. */
export function lineNeeds<A, P>(
  line: Line,
  axis: (id: Id) => Known<A>,
  point: (id: Id) => Known<P>,
): Known<[A, A, ...P[]]> {
  const points = line.joints.map((joint, index) => {
    const hardware = centreFrom(line, joint, index)
    const id = pointOfJoint(line, index)
    if (id === undefined)
      return unknown(`${line.name}, joint ${index + 1}: neither a point nor a bearing says where it is`)
    return hardware.known ? point(id) : hardware
  })
  return allKnown<unknown[]>([axis(line.driving), axis(line.driven), ...points]) as Known<[A, A, ...P[]]>
}

const centreDistance = (line: Line, index: number): number => {
  const found = centreFrom(line, line.joints[index] as Joint, index)
  return found.known ? found.value : 0
}

/** How far along the mating axis, with the power flow, a joint's centre lies from the point it is told by, in mm. */
function centreFrom(line: Line, joint: Joint, index: number): Known<number> {
  const meaning = joint.pointIs ?? 'centre'
  if (meaning === 'centre') return { known: true, value: 0, assumptions: [] }
  const isFirst = index === 0
  const hardware = isFirst ? line.shafts[0]?.drivingEnd : line.shafts.at(-1)?.drivenEnd
  const toCentre = hardwareLength(hardware, meaning)
  const name = joint.name ?? `joint ${index + 1}`
  if (toCentre === null)
    return unknown(
      `${line.name}, ${name}: the end hardware does not say how far its ${meaning} is from the centre`,
    )
  return { known: true, value: isFirst ? toCentre : -toCentre, assumptions: [] }
}
