import { CoreError } from '../../base/errors'
import { add, cross, type Vec3 } from '../../base/linalg/vec3'
import type { Load } from './load'
import { newSettler, type Unsettled } from './settler'
import { springParts, type MountSpring, type SpringParts } from './spring'

/** A mount of a powertrain. */
export interface ElasticMount {
  readonly id: string
  readonly at: Vec3
  readonly spring: MountSpring
}

/** Where a powertrain settles on its mounts, counted from unloaded ones. */
export interface Settled {
  /** Of the body's point at the origin, mm; and a right-handed turn about forward, left and up, in radians. */
  readonly shift: Vec3
  readonly turn: Vec3
  /** Of each mount on the body, N. */
  readonly forces: ReadonlyMap<string, Vec3>
  /** Pads and stops that press now. */
  readonly presses: ReadonlySet<string>
}

/** How a point of the body moves, for small turns. */
export const movedBy = ({ shift, turn }: Pick<Settled, 'shift' | 'turn'>, at: Vec3): Vec3 =>
  add(shift, cross(turn, at))

/** Why a body does not settle, in words behind "mounts". */
export const UNSETTLED: Readonly<Record<Unsettled, string>> = {
  nothing: 'nothing holds the body',
  'some-way': 'nothing holds the body in some direction',
  'turns-over': 'hold the body so weakly that it turns over',
  restless: 'pads and stops find no place to settle',
}

/**
 * The place that a rigid body takes on its mounts.
 *
 * @throws CoreError `degenerate` when nothing holds the body in some direction, or so little that it turns over
 */
export function settle(mounts: readonly ElasticMount[], load: Load): Settled {
  const settler = newSettler(mounts.map(({ spring }) => springParts(spring)))
  settler.places.set(mounts.flatMap(({ at }) => at))
  settler.load.set([...load.force, ...load.moment])
  const why = settler.settle()
  if (why) throw new CoreError('degenerate', 'mounts', UNSETTLED[why])
  const { move, forces, presses } = settler
  return {
    shift: vectorOf(move, 0),
    turn: vectorOf(move, 1),
    forces: new Map(mounts.map(({ id }, i) => [id, vectorOf(forces, i)])),
    presses: new Set(mounts.flatMap(({ id }, i) => (presses[i] === 1 ? [id] : []))),
  }
}

/** Why a body on its mounts does not settle under a load; null where it does. */
export function whyUnsettled(
  springs: readonly SpringParts[],
  places: readonly Vec3[],
  { force, moment }: Load,
): string | null {
  const settler = newSettler(springs)
  settler.places.set(places.flat())
  settler.load.set([...force, ...moment])
  const why = settler.settle()
  return why && UNSETTLED[why]
}

const vectorOf = (figures: Float64Array, i: number): Vec3 => [
  figures[3 * i] as number,
  figures[3 * i + 1] as number,
  figures[3 * i + 2] as number,
]
