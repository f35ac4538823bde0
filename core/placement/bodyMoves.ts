import { moveDirection, movePoint, turnMove, NO_MOVE, type RigidMove } from '../linalg/mat3'
import { axisDirection, fallPlan, type FallPlan } from '../frame/axis'
import { allKnown, known, mapKnown, unknown, type Known, type Missing } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Axle, BodyId, Build, LeverKind } from '../project/build'
import type { Id } from '../project/id'
import { knownPlaces, pointOf, type Geometry, type Places } from '../readings/geometry'
import { radians } from '../units/angle'
import {
  holdProblem,
  NO_MOUNT_MOVES,
  powertrainMove,
  type MountMoves,
  type MountPoints,
} from './powertrainMove'

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

/** How one body moves: the points it asks for, and the move once they are known. */
export interface MoveRule {
  readonly needs: readonly Id[]
  /** Null when no such move exists. */
  readonly move: (places: Places) => RigidMove | null
  /** Why it cannot move at all, whatever is read; null when it can. */
  readonly refusal: Missing | null
  /** Why the points as read do not allow the move, in words; null when they do. */
  readonly problem?: (places: Places) => string | null
}

const STILL: MoveRule = { needs: [], move: () => NO_MOVE, refusal: null }

/**
 * How each body of a build moves when its levers are set, as rules that need places.
 *
 * @param extraRise - nose-up turn of axles on top of their wedges
 * @see docs/methods/placement.md
 */
export function moveRules(
  build: Build,
  settings: LeverSettings,
  extraRise: ExtraRise = {},
): ReadonlyMap<BodyId, MoveRule> {
  const rules = new Map<BodyId, MoveRule>([['chassis', STILL]])
  rules.set('powertrain', powertrainRule(build, settings))
  for (const axle of build.axles) {
    const wedgeDeg = build.levers
      .filter((lever) => lever.kind === 'wedge' && lever.axle === axle.id)
      .reduce((sum, lever) => sum + (settings[lever.id] ?? 0), 0)
    rules.set(axle.id, axleRule(axle, wedgeDeg + (extraRise[axle.id] ?? 0)))
  }
  return rules
}

/**
 * How each body of a build moves when its levers are set.
 *
 * @param geometry - as measured
 * @returns one move a body; unknown when the points the move turns about were not read
 */
export function bodyMoves(
  build: Build,
  geometry: Geometry,
  settings: LeverSettings,
  extraRise: ExtraRise = {},
): ReadonlyMap<BodyId, Known<RigidMove>> {
  const moves = new Map<BodyId, Known<RigidMove>>()
  for (const [body, rule] of moveRules(build, settings, extraRise))
    moves.set(body, appliedRule(rule, geometry))
  return moves
}

function appliedRule(rule: MoveRule, geometry: Geometry): Known<RigidMove> {
  if (rule.refusal) return { known: false, missing: [rule.refusal] }
  const points = allKnown<unknown[]>(rule.needs.map((id) => pointOf(geometry, id)))
  if (!points.known) return points
  const problem = rule.problem?.(knownPlaces(geometry)) ?? null
  if (problem !== null) return unknown(`powertrain: ${problem}`)
  const move = rule.move(knownPlaces(geometry))
  return move
    ? known(move, points.assumptions)
    : unknown('powertrain: its mounts cannot stand that far apart')
}

const refusing = (what: string, path = ''): MoveRule => ({ ...STILL, refusal: { what, path } })

function powertrainRule(build: Build, settings: LeverSettings): MoveRule {
  const asked: MountMoves = build.levers.reduce((sum, lever) => {
    if (lever.kind === 'wedge') return sum
    const key = MOUNT_KEYS[lever.kind]
    return { ...sum, [key]: sum[key] + (settings[lever.id] ?? 0) }
  }, NO_MOUNT_MOVES)
  if (Object.values(asked).every((amount) => amount === 0)) return STILL
  const mounts = build.powertrain.mounts
  if (!mounts)
    return refusing('powertrain: its mounts were not read, so it cannot be moved', 'powertrain.mounts')
  const { frontLeft, frontRight, tail } = mounts
  const placesOf = ({ point }: Places): MountPoints => ({
    frontLeft: point(frontLeft),
    frontRight: point(frontRight),
    tail: point(tail),
  })
  return {
    needs: [frontLeft, frontRight, tail],
    move: (places) => powertrainMove(placesOf(places), asked),
    refusal: null,
    problem: (places) => holdProblem(placesOf(places)),
  }
}

function axleRule(axle: Axle, noseUpDeg: number): MoveRule {
  const { centre } = axle
  if (noseUpDeg === 0) return STILL
  if (centre === undefined) return refusing(`${axle.name}: its centre was not read, so it cannot be turned`)
  // Right-handed about +Y dips the front of a body, so a forward nose rises against it.
  const angle = radians(axle.noseFaces === 'forward' ? -noseUpDeg : noseUpDeg)
  return { needs: [centre], move: ({ point }) => turnMove(point(centre), [0, 1, 0], angle), refusal: null }
}

/** A known axis after its body has moved. */
export const movedAxis = (move: RigidMove, lie: FallPlan): FallPlan =>
  move === NO_MOVE ? lie : fallPlan(moveDirection(move, axisDirection(lie)))

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
        return [axis.id, mapKnown(both, ([move, lie]) => movedAxis(move, lie))]
      }),
    ),
  }
}
