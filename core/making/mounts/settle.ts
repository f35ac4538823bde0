import { CoreError } from '../../base/errors'
import { eliminateSix } from '../../base/linalg/eliminate'
import { apply3 } from '../../base/linalg/mat3'
import { add, cross, dot, scale, type Vec3 } from '../../base/linalg/vec3'
import { radians } from '../../base/units/angle'
import type { Load } from './load'
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

/** So that turns and shifts weigh alike when equations are looked at for a way that nothing holds. */
const ARM_MM = 1000
const MOST_TURN = radians(10)
const MOST_SHIFT_MM = 100

interface Held extends SpringParts {
  readonly id: string
  readonly at: Vec3
}

/** How a point of the body moves, for small turns. */
export const movedBy = ({ shift, turn }: Pick<Settled, 'shift' | 'turn'>, at: Vec3): Vec3 =>
  add(shift, cross(turn, at))

/**
 * The place that a rigid body takes on its mounts: `K·(u, φ) = (F, M)` for those that hold; pads and stops are let go or taken on until nothing
 * changes.
 *
 * @throws CoreError `degenerate` when nothing holds the body in some direction, or so little that it turns over
 */
export function settle(mounts: readonly ElasticMount[], load: Load): Settled {
  const held = mounts.map(({ id, at, spring }): Held => ({ id, at, ...springParts(spring) }))
  let pressing = new Set(held.filter(({ contact }) => contact?.gapMm === 0).map(({ id }) => id))
  const seen = new Set<string>()
  // Each step lowers the energy but where two of them swap in turns; then only the one that is most wrong changes.
  for (let tries = 0; tries < 20 + 4 * held.length; tries++) {
    const place = solved(held, pressing, load)
    const wrong = held.filter((mount) => isPressing(mount, place) !== pressing.has(mount.id) && mount.contact)
    if (wrong.length === 0)
      return { ...sound(place), forces: forcesOf(held, pressing, place), presses: pressing }
    const key = [...pressing].sort().join(' ')
    const changed = seen.has(key) ? [mostWrong(wrong, place)] : wrong
    seen.add(key)
    pressing = new Set(pressing)
    for (const { id } of changed) if (!pressing.delete(id)) pressing.add(id)
  }
  throw new CoreError('degenerate', 'mounts', 'pads and stops find no place to settle')
}

type PlaceOfBody = Pick<Settled, 'shift' | 'turn'>

/** How far a pad or a stop is pressed beyond its gap; negative where it stands off. */
function pressedMm({ at, contact }: Held, place: PlaceOfBody): number {
  return contact ? -dot(contact.normal, movedBy(place, at)) - contact.gapMm : NaN
}
const isPressing = (mount: Held, place: PlaceOfBody): boolean => pressedMm(mount, place) > 0

const mostWrong = (wrong: readonly Held[], place: PlaceOfBody): Held =>
  wrong.reduce((most, one) =>
    Math.abs(pressedMm(one, place)) > Math.abs(pressedMm(most, place)) ? one : most,
  )

/** The place for those that press now. */
function solved(held: readonly Held[], pressing: ReadonlySet<string>, load: Load): PlaceOfBody {
  const rows = new Float64Array(42)
  const right = [...load.force, ...load.moment]
  for (const mount of held) {
    const contact = pressing.has(mount.id) ? mount.contact : null
    for (let k = 0; k < 6; k++) {
      const move = movedBy(UNITS[k] as PlaceOfBody, mount.at)
      const force = add(
        apply3(mount.always, move),
        contact ? scale(contact.normal, contact.press * dot(contact.normal, move)) : [0, 0, 0],
      )
      const column = [...force, ...cross(mount.at, force)]
      for (let i = 0; i < 6; i++) rows[7 * i + k] = (rows[7 * i + k] as number) + (column[i] as number)
    }
    if (!contact) continue
    const early = scale(contact.normal, -contact.press * contact.gapMm)
    ;[...early, ...cross(mount.at, early)].forEach((one, i) => (right[i] = (right[i] as number) + one))
  }
  return answerOf(rows, right)
}

const UNITS: readonly PlaceOfBody[] = [0, 1, 2, 3, 4, 5].map((k) => {
  const one: Vec3 = [k % 3 === 0 ? 1 : 0, k % 3 === 1 ? 1 : 0, k % 3 === 2 ? 1 : 0]
  return k < 3 ? { shift: one, turn: [0, 0, 0] } : { shift: [0, 0, 0], turn: one }
})

/** Scaled so that a way nothing holds is told from one that is held softly. */
function answerOf(rows: Float64Array, right: readonly number[]): PlaceOfBody {
  const size = (i: number) => (i < 3 ? 1 : ARM_MM)
  let largest = 0
  for (let i = 0; i < 6; i++) {
    for (let k = 0; k < 6; k++) rows[7 * i + k] = (rows[7 * i + k] as number) / (size(i) * size(k))
    rows[7 * i + 6] = (right[i] as number) / size(i)
    largest = Math.max(largest, Math.abs(rows[8 * i] as number))
  }
  if (!(largest > 0)) throw new CoreError('degenerate', 'mounts', 'nothing holds the body')
  for (let i = 0; i < 42; i++) rows[i] = (rows[i] as number) / largest
  if (!eliminateSix(rows))
    throw new CoreError('degenerate', 'mounts', 'nothing holds the body in some direction')
  const at = (i: number) => (rows[7 * i + 6] as number) / size(i)
  return { shift: [at(0), at(1), at(2)], turn: [at(3), at(4), at(5)] }
}

function sound(place: PlaceOfBody): PlaceOfBody {
  const most = (of: Vec3) => Math.max(...of.map(Math.abs))
  if (!(most(place.turn) <= MOST_TURN && most(place.shift) <= MOST_SHIFT_MM))
    throw new CoreError('degenerate', 'mounts', 'hold the body so weakly that it turns over')
  return place
}

const forcesOf = (
  held: readonly Held[],
  pressing: ReadonlySet<string>,
  place: PlaceOfBody,
): Map<string, Vec3> =>
  new Map(
    held.map((mount) => {
      const springs = scale(apply3(mount.always, movedBy(place, mount.at)), -1)
      const { contact } = mount
      if (!contact || !pressing.has(mount.id)) return [mount.id, springs]
      return [mount.id, add(springs, scale(contact.normal, contact.press * pressedMm(mount, place)))]
    }),
  )
