import { add, dot, norm, scale, sub, unit, type Vec3 } from '../../base/linalg/vec3'

/** Places on an arc, its ends among them. */
const STEPS = 12

/** Places along a cable, in their order, from which it can be drawn: its fixings and its bends. A corner on the straight, or one where it doubles back, has no bend. */
export function cablePath(points: readonly Vec3[], radiiMm: readonly number[]): Vec3[] {
  return points.flatMap((corner, k) => {
    const [before, after, radius] = [points[k - 1], points[k + 1], radiiMm[k - 1]]
    return before && after && radius !== undefined ? arc(before, corner, after, radius) : [corner]
  })
}

function arc(before: Vec3, corner: Vec3, after: Vec3, radius: number): Vec3[] {
  const [back, on] = [sub(before, corner), sub(after, corner)]
  if (norm(back) === 0 || norm(on) === 0) return [corner]
  const [from, to] = [unit(back), unit(on)]
  const turn = Math.PI - Math.acos(Math.min(1, Math.max(-1, dot(from, to))))
  const inward = add(from, to)
  if (turn < 1e-6 || norm(inward) < 1e-6) return [corner]
  const middle = add(corner, scale(unit(inward), radius / Math.cos(turn / 2)))
  const across = unit(sub(to, from))
  return Array.from({ length: STEPS + 1 }, (_, k) => {
    const angle = turn * (k / STEPS - 1 / 2)
    const out = scale(unit(inward), -radius * Math.cos(angle))
    return add(middle, add(out, scale(across, radius * Math.sin(angle))))
  })
}
