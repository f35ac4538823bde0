import type { Evaluation } from '../model/evaluateBuild'
import { allKnown, known, type Known } from '../base/known'
import { IDENTITY_3, type RigidMove } from '../base/linalg/mat3'
import type { Vec3 } from '../base/linalg/vec3'
import type { AxleBody } from '../file/parts/body'
import type { Build } from '../file/build/build'
import { wheelPlaces } from '../file/build/wheelPlaces'
import { pointOf } from '../measure/geometry/geometry'
import { axleShapes } from './bodies'
import { asUsual, type Shape, type View } from './shape'
import { axleWithSizes } from './usualSizes'
import { linePoints } from '../file/parts/lineSpec'

/** An axle by its sizes, with its nose where a joint stands on it; nothing where its centre was not read. */
export function axleOf(
  build: Build,
  now: Pick<Evaluation, 'measured'>,
  view: View,
  move: Known<RigidMove>,
  axle: AxleBody,
): Shape[] {
  // From the front an axle far behind would hide what is looked at.
  if (!axle.centre || (view === 'front' && !isAhead(now, axle))) return []
  const onAxle = new Set(build.points.flatMap(({ id, body }) => (body === axle.id ? [id] : [])))
  const end = build.lines.flatMap(linePoints).find((point) => onAxle.has(point))
  const nose: Known<Vec3 | null> = end === undefined ? known(null) : pointOf(now.measured, end)
  const all = allKnown<[Vec3, Vec3 | null, RigidMove]>([pointOf(now.measured, axle.centre), nose, move])
  if (!all.known) return []
  const drawn = axleWithSizes(axle)
  return asUsual(axleShapes(drawn.axle, ...all.value, view), drawn.isUsual)
}

/** An axle farther back than this is no front one, in mm behind the datum. */
const FRONT_AXLE_ENDS = 800

/** True for an axle under or ahead of the engine. */
function isAhead(now: Pick<Evaluation, 'measured'>, { centre }: AxleBody): boolean {
  const place = pointOf(now.measured, centre ?? '')
  return place.known && place.value[0] > -FRONT_AXLE_ENDS
}

/**
 * An axle at the ends of its travel, as a shadow: by its own table of motion, else by the named places of the wheels. Its turning
 * is left out: it is where it sweeps that is looked for.
 */
export function axleSweep(
  build: Build,
  now: Pick<Evaluation, 'measured'>,
  view: View,
  axle: AxleBody,
): Shape[] {
  return travelEnds(build, axle).flatMap(([forwardMm, upMm]) => {
    const move: RigidMove = { rotation: IDENTITY_3, shift: [forwardMm, 0, upMm] }
    return axleOf(build, now, view, known(move), axle).map((shape): Shape => ({ ...shape, isSweep: true }))
  })
}

/** How far an axle goes forward and up at the ends of its travel, from ride height; none where nobody has told. */
function travelEnds(build: Build, { id, motion }: AxleBody): (readonly [number, number])[] {
  const places =
    (motion?.kind === 'table' ? motion.rows : undefined)?.map(
      ({ forwardMm, wheelUpMm }) => [forwardMm, wheelUpMm] as const,
    ) ??
    wheelPlaces(build)
      .flatMap(({ wheels }) => wheels)
      .filter(({ axle }) => axle === id)
      .map(({ leftUpMm, rightUpMm }) => [0, (leftUpMm + rightUpMm) / 2] as const)
  const rising = places.toSorted((a, b) => a[1] - b[1])
  const [lowest, highest] = [rising[0], rising.at(-1)]
  return [...new Set([lowest, highest])].flatMap((end) => (end && end[1] !== 0 ? [end] : []))
}
