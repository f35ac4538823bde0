import { chainPlane } from '../sprockets/chainKernels'
import type { ChainEvaluation } from '../chain/chainEvaluation'
import type { Evaluation } from '../model/evaluateBuild'
import { add, scale, type Vec3 } from '../base/linalg/vec3'
import type { Build } from '../file/build/build'
import { pointOf } from '../measure/geometry/geometry'
import { polygon, type Shape, type View } from './shape'

/** Corners of a sprocket's round. */
const CORNERS = 28

/** The chains of a build in one view: sprockets as rounds, runs as strips. */
export const chainShapes = (now: Pick<Evaluation, 'chains'>, view: View): Shape[] =>
  now.chains.flatMap((chain) => shapesOf(chain, view))

function shapesOf({ chain, sprockets, loop }: ChainEvaluation, view: View): Shape[] {
  const [first] = sprockets.known ? sprockets.value : []
  if (!sprockets.known || !first) return []
  const { right, up } = chainPlane(first.direction)
  const at = (place: readonly number[], from: Vec3 = first.place): Vec3 =>
    add(from, add(scale(right, place[0] ?? NaN), scale(up, place[1] ?? NaN)))
  const rounds = sprockets.value.map(({ place, outerMm }) =>
    polygon(
      'axle',
      Array.from({ length: CORNERS }, (_, i): Vec3 => {
        const angle = (2 * Math.PI * i) / CORNERS
        return at([(outerMm / 2) * Math.cos(angle), (outerMm / 2) * Math.sin(angle)], place)
      }),
      view,
    ),
  )
  const half = chain.pitchMm * 0.36
  const strips = (loop.known ? loop.value.spans : []).map(({ from, to, lengthMm }) => {
    const [sx, sy] = [((to[1] - from[1]) / lengthMm) * half, (-(to[0] - from[0]) / lengthMm) * half]
    const corner = (place: readonly [number, number], side: 1 | -1) =>
      at([place[0] + side * sx, place[1] + side * sy])
    return polygon('shaft', [corner(from, 1), corner(to, 1), corner(to, -1), corner(from, -1)], view)
  })
  return [...rounds, ...strips]
}

/** The live axles of a build in one view, from bearing to bearing or hub to hub. */
export function liveAxleShapes(build: Build, { placed }: Pick<Evaluation, 'placed'>, view: View): Shape[] {
  if (view === 'side') return []
  return build.bodies.flatMap((body): Shape[] => {
    const ends = body.kind === 'live-axle' ? (body.hubs ?? body.bearings) : undefined
    if (body.kind !== 'live-axle' || !ends) return []
    const [left, right] = [pointOf(placed, ends.left), pointOf(placed, ends.right)]
    if (!left.known || !right.known) return []
    const half = (body.shaft?.outerMm ?? 30) / 2
    const off: Vec3 = view === 'top' ? [half, 0, 0] : [0, 0, half]
    const corners = [
      add(left.value, off),
      add(right.value, off),
      add(right.value, scale(off, -1)),
      add(left.value, scale(off, -1)),
    ]
    return [polygon('axle', corners, view)]
  })
}
