import { CoreError } from '../../base/errors'
import { dot, norm, sub, unit } from '../../base/linalg/vec3'
import { degrees, radians } from '../../base/units/angle'
import { pinAt, reachOf, swayAt, type Arm } from './arm'

/** A rod between the arm of a lever and that of a gearbox, each on its own axis. */
export interface RodLinkage {
  readonly lever: Arm
  readonly box: Arm
  readonly rodMm: number
}

/** Which of the two ways a linkage is put together: the gearbox's arm ahead of the line to the lever's pin, or behind it. */
export type Branch = 1 | -1

/** The linkage at one reading of its lever. */
export interface Stand {
  /** Reading of the gearbox's arm, within 180° either way; no number where the rod does not reach. */
  readonly boxDeg: number
  /** How much the rod is too short there, below nought too long; 0 where it reaches. */
  readonly shortMm: number
  /** Between rod and arm, as the arm feels it: 90° is best, 0° is its dead centre. */
  readonly transmissionDeg: number
  /** Degrees of the gearbox's arm for each of the lever. */
  readonly ratio: number
}

/** An angle within 180° either way. */
export const turnWithin = (deg: number): number => deg - 360 * Math.ceil((deg - 180) / 360)

/** Where the gearbox's arm stands while the lever shows a reading, put together in one way. */
export function standAt({ lever, box, rodMm }: RodLinkage, leverDeg: number, branch: Branch): Stand {
  const leverAngle = lever.clock + radians(leverDeg)
  const leverPin = pinAt(lever, leverAngle)
  const { middle, half, shortMm } = reachOf(box, leverPin, rodMm)
  const angle = middle + branch * half
  const rod = sub(pinAt(box, angle), leverPin)
  const [fromLever, fromBox] = [dot(rod, swayAt(lever, leverAngle)), dot(rod, swayAt(box, angle))]
  return {
    boxDeg: turnWithin(degrees(angle - box.clock)),
    shortMm,
    transmissionDeg: degrees(Math.asin(Math.min(1, Math.abs(fromBox) / (rodMm * box.armMm)))),
    ratio: fromLever / fromBox,
  }
}

/** The way it is put together that stands nearest a detent of the gearbox, at a reading of the lever. */
export function branchNear(linkage: RodLinkage, leverDeg: number, boxDeg: number): Branch {
  const far = (branch: Branch) => Math.abs(turnWithin(standAt(linkage, leverDeg, branch).boxDeg - boxDeg))
  return far(-1) < far(1) ? -1 : 1
}

/** Further than this off, a lever's reading is of the other way to put it together. */
const SAME_DEG = 1e-6

/** The lever's reading that puts the gearbox into a detent, nearest to where the lever has its gate; null where none does. */
export function leverFor(
  { lever, box, rodMm }: RodLinkage,
  boxDeg: number,
  nearDeg: number,
  branch: Branch,
): number | null {
  const { middle, half } = reachOf(lever, pinAt(box, box.clock + radians(boxDeg)), rodMm)
  if (Number.isNaN(half)) return null
  const readings = [middle + half, middle - half]
    .map((angle) => nearDeg + turnWithin(degrees(angle - lever.clock) - nearDeg))
    .filter((one) => {
      const { boxDeg: there } = standAt({ lever, box, rodMm }, one, branch)
      return Math.abs(turnWithin(there - boxDeg)) < SAME_DEG
    })
    .sort((a, b) => Math.abs(a - nearDeg) - Math.abs(b - nearDeg))
  return readings[0] ?? null
}

const SAME_PLACE_MM = 1e-9

/** @throws CoreError `out-of-range` for an arm or a rod that has no length, `degenerate` for two pivots at one place */
export function requireLinkage({ lever, box, rodMm }: RodLinkage): void {
  for (const [name, mm] of [
    ['lever', lever.armMm],
    ['box', box.armMm],
    ['rod', rodMm],
  ] as const)
    if (!(mm > 0)) throw new CoreError('out-of-range', name, 'has a length')
  if (norm(sub(lever.pivot, box.pivot)) < SAME_PLACE_MM)
    throw new CoreError('degenerate', 'pivots', 'lie at one place')
  for (const [name, { from, toward }] of [
    ['lever', lever],
    ['box', box],
  ] as const)
    if (Math.abs(dot(unit(from), unit(toward))) > SAME_PLACE_MM)
      throw new CoreError('degenerate', name, 'turns in no plane')
}
