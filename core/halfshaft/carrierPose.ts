import { eliminate, normalEquations } from '../linalg/eliminate'
import { apply3, type Mat3, type RigidMove } from '../linalg/mat3'
import { add, cross, dot, norm, sub, type Vec3 } from '../linalg/vec3'
import { carrierConditions, type CarrierCondition, type Suspension } from './suspension'

/** A wheel carrier that can be looked for at any height of its wheel. */
export interface CarrierPose {
  /** @returns null where the suspension does not reach */
  readonly at: (upMm: number, rackMm?: number) => RigidMove | null
}

/** Brought along by no more than this at once, so that it never jumps to its mirror image. */
const STRIDE_MM = 25
const MOST_STEPS = 20
const LAST_STEP_MM = 1e-6
const LEFT_MM = 1e-5
const UNKNOWNS = 6

interface Pose {
  readonly quaternion: readonly [number, number, number, number]
  readonly gone: Vec3
}

const REST: Pose = { quaternion: [1, 0, 0, 0], gone: [0, 0, 0] }

/**
 * Where a wheel carrier stands for a height of its wheel and a way of the rack, by Newton's method with the exact derivatives (Gauss-Newton where
 * there are more conditions than unknowns).
 *
 * @see docs/methods/halfshafts.md
 */
export function carrierPose(suspension: Suspension, wheel: Vec3): CarrierPose {
  return {
    at: (upMm, rackMm = 0) => {
      const way = Math.max(Math.abs(upMm), Math.abs(rackMm))
      const strides = Math.max(1, Math.ceil(way / STRIDE_MM))
      let pose: Pose | null = REST
      for (let i = 1; i <= strides && pose; i++) {
        const share = i / strides
        pose = settled(carrierConditions(suspension, rackMm * share), wheel, upMm * share, pose)
      }
      return pose && moveOf(pose, wheel)
    },
  }
}

function moveOf({ quaternion, gone }: Pose, wheel: Vec3): RigidMove {
  const rotation = rotationOf(quaternion)
  return { rotation, shift: sub(add(wheel, gone), apply3(rotation, wheel)) }
}

function rotationOf([w, x, y, z]: Pose['quaternion']): Mat3 {
  return [
    [1 - 2 * (y * y + z * z), 2 * (x * y - w * z), 2 * (x * z + w * y)],
    [2 * (x * y + w * z), 1 - 2 * (x * x + z * z), 2 * (y * z - w * x)],
    [2 * (x * z - w * y), 2 * (y * z + w * x), 1 - 2 * (x * x + y * y)],
  ]
}

function settled(
  conditions: readonly CarrierCondition[],
  wheel: Vec3,
  upMm: number,
  from: Pose,
): Pose | null {
  const count = conditions.length + 1
  const rows = new Float64Array((UNKNOWNS + 1) * count)
  const square = new Float64Array((UNKNOWNS + 1) * UNKNOWNS)
  let pose = from
  for (let tries = 0; tries < MOST_STEPS; tries++) {
    const rotation = rotationOf(pose.quaternion)
    const middle = add(wheel, pose.gone)
    let worst = Math.abs(upMm - pose.gone[2])
    const put = (k: number, u: Vec3, w: Vec3, off: number) => {
      rows.set([...u, ...w, -off], (UNKNOWNS + 1) * k)
      worst = Math.max(worst, Math.abs(off))
    }
    put(0, [0, 0, 1], [0, 0, 0], pose.gone[2] - upMm)
    conditions.forEach((condition, i) => {
      const arm = apply3(rotation, sub(condition.own, wheel))
      const place = add(middle, arm)
      if (condition.kind === 'link') {
        const along = sub(place, condition.other)
        const long = norm(along)
        const u: Vec3 = [along[0] / long, along[1] / long, along[2] / long]
        put(i + 1, u, cross(arm, u), long - condition.lengthMm)
      } else if (condition.kind === 'plane') {
        const { normal } = condition
        put(i + 1, normal, cross(arm, normal), dot(normal, sub(place, condition.own)))
      } else {
        // The plane goes along with the carrier; the point stays.
        const normal = apply3(rotation, condition.normal)
        const u: Vec3 = [-normal[0], -normal[1], -normal[2]]
        put(i + 1, u, cross(normal, sub(condition.point, middle)), dot(normal, sub(condition.point, place)))
      }
    })
    if (count === UNKNOWNS) square.set(rows)
    else normalEquations(rows, count, UNKNOWNS, square)
    if (!eliminate(square, UNKNOWNS)) return null
    const step = Array.from({ length: UNKNOWNS }, (_, i) => square[(UNKNOWNS + 1) * i + UNKNOWNS] ?? NaN)
    const [dx = NaN, dy = NaN, dz = NaN, rx = NaN, ry = NaN, rz = NaN] = step
    const size = Math.max(
      Math.abs(dx),
      Math.abs(dy),
      Math.abs(dz),
      300 * Math.max(...[rx, ry, rz].map(Math.abs)),
    )
    if (!(size < 1000)) return null
    pose = turned(pose, [dx, dy, dz], [rx, ry, rz])
    if (size < LAST_STEP_MM) return worst < LEFT_MM ? pose : null
  }
  return null
}

function turned({ quaternion: [w, x, y, z], gone }: Pose, by: Vec3, [a, b, c]: Vec3): Pose {
  const q = [
    w - (a * x + b * y + c * z) / 2,
    x + (a * w + b * z - c * y) / 2,
    y + (b * w + c * x - a * z) / 2,
    z + (c * w + a * y - b * x) / 2,
  ] as const
  const size = Math.hypot(...q)
  return { quaternion: [q[0] / size, q[1] / size, q[2] / size, q[3] / size], gone: add(gone, by) }
}
