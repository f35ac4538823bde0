import { JOINTS } from '../file/parts/joints'
import { planeTwist, type TrainJoint, type TrainMaps } from './joints/jointMap'
import { asRadians, type Radians } from '../base/units/angle'

/**
 * Equivalent angle by the small-angle rule √|Σ βᵢ²·e^{2iψᵢ}|, with ψᵢ from plane i to its driving yoke at one instant.
 *
 * To this order a joint is a plain quarter turn of the yokes, so ψ adds up from twists, phases and quarter turns.
 *
 * @param phases - as given to `trainMaps`
 * @see docs/methods/line.md (first order in βᵢ² of the exact product of maps)
 */
export function smallEquivalentAngle(
  joints: readonly TrainJoint[],
  { angles, normals }: TrainMaps,
  phases: readonly number[],
): Radians {
  let real = 0
  let imaginary = 0
  let psi = 0
  joints.forEach((joint, index) => {
    if (index > 0) psi += (phases[index - 1] ?? 0) - planeTwist(joints, normals, index)
    if (JOINTS[joint.kind].isConstant) return
    const square = (angles[index] ?? 0) ** 2
    real += square * Math.cos(2 * psi)
    imaginary += square * Math.sin(2 * psi)
    psi += Math.PI / 2
  })
  return asRadians(Math.sqrt(Math.hypot(real, imaginary)))
}
