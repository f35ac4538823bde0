import { moveDirection, movePoint, turnMove, NO_MOVE, type RigidMove } from '../linalg/mat3'
import { axisDirection, fallPlan } from '../frame/axis'
import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Axle, BodyId, Build, LeverKind } from '../project/build'
import type { Id } from '../project/id'
import { pointOf, type Geometry } from '../readings/geometry'
import { radians } from '../units/angle'
import { NO_MOUNT_MOVES, powertrainMove, type MountMoves } from './powertrainMove'

/** Amount of each lever by its id, mm or degrees; absent means 0. */
export type LeverSettings = Readonly<Record<Id, number>>

/** Extra nose-up turn of an axle in degrees, as when it winds up under drive. */
export type ExtraRise = Readonly<Record<Id, number>>

const MOUNT_KEYS: Readonly<Record<Exclude<LeverKind, 'wedge'>, keyof MountMoves>> = {
  'front-left-up': 'frontLeftUp',
  'front-right-up': 'frontRightUp',
  'tail-up': 'tailUp',
  fore: 'fore',
  sideways: 'sideways',
  'tail-sideways': 'tailSideways',
}

/**
 * How each body of a build moves when its levers are set.
 *
 * @param geometry - as measured
 * @param extraRise - nose-up turn of axles on top of their wedges
 * @returns one move a body; unknown when the points the move turns about were not read
 * @see docs/methods/placement.md
 */
export function bodyMoves(
  build: Build,
  geometry: Geometry,
  settings: LeverSettings,
  extraRise: ExtraRise = {},
): ReadonlyMap<BodyId, Known<RigidMove>> {
  const moves = new Map<BodyId, Known<RigidMove>>([['chassis', known(NO_MOVE)]])
  moves.set('powertrain', movedPowertrain(build, geometry, settings))
  for (const axle of build.axles) {
    const wedgeDeg = build.levers
      .filter((lever) => lever.kind === 'wedge' && lever.axle === axle.id)
      .reduce((sum, lever) => sum + (settings[lever.id] ?? 0), 0)
    moves.set(axle.id, turnedAxle(axle, geometry, wedgeDeg + (extraRise[axle.id] ?? 0)))
  }
  return moves
}

function movedPowertrain(build: Build, geometry: Geometry, settings: LeverSettings): Known<RigidMove> {
  const asked: MountMoves = build.levers.reduce((sum, lever) => {
    if (lever.kind === 'wedge') return sum
    const key = MOUNT_KEYS[lever.kind]
    return { ...sum, [key]: sum[key] + (settings[lever.id] ?? 0) }
  }, NO_MOUNT_MOVES)
  if (Object.values(asked).every((amount) => amount === 0)) return known(NO_MOVE)

  const mounts = build.powertrain.mounts
  if (!mounts)
    return unknown('powertrain: its mounts were not read, so it cannot be moved', 'powertrain.mounts')
  const points = allKnown<[Vec3, Vec3, Vec3]>([
    pointOf(geometry, mounts.frontLeft),
    pointOf(geometry, mounts.frontRight),
    pointOf(geometry, mounts.tail),
  ])
  if (!points.known) return points
  const [frontLeft, frontRight, tail] = points.value
  const move = powertrainMove({ frontLeft, frontRight, tail }, asked)
  return move
    ? known(move, points.assumptions)
    : unknown('powertrain: its mounts cannot stand that far apart')
}

function turnedAxle(axle: Axle, geometry: Geometry, noseUpDeg: number): Known<RigidMove> {
  if (noseUpDeg === 0) return known(NO_MOVE)
  if (axle.centre === undefined)
    return unknown(`${axle.name}: its centre was not read, so it cannot be turned`)
  // Right-handed about +Y dips the front of a body, so a forward nose rises against it.
  const angle = radians(axle.noseFaces === 'forward' ? -noseUpDeg : noseUpDeg)
  return mapKnown(pointOf(geometry, axle.centre), (centre) => turnMove(centre, [0, 1, 0], angle))
}

/** Every point and axis after its body has moved. */
export function movedGeometry(
  build: Build,
  geometry: Geometry,
  moves: ReadonlyMap<BodyId, Known<RigidMove>>,
): Geometry {
  const moveOf = (body: BodyId): Known<RigidMove> => moves.get(body) ?? unknown(`there is no body "${body}"`)
  return {
    points: new Map(
      build.points.map((point) => [
        point.id,
        mapKnown(
          allKnown<[RigidMove, Vec3]>([moveOf(point.body), pointOf(geometry, point.id)]),
          ([move, place]) => movePoint(move, place),
        ),
      ]),
    ),
    axes: new Map(
      build.axes.map((axis) => {
        const place = geometry.axes.get(axis.id) ?? unknown(`axis "${axis.id}" is not in the build`)
        const both = allKnown([moveOf(axis.body), place] as const as [Known<RigidMove>, typeof place])
        return [axis.id, mapKnown(both, ([move, lie]) => fallPlan(moveDirection(move, axisDirection(lie))))]
      }),
    ),
  }
}
