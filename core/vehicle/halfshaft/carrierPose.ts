import { rigidMoveOf, type RigidMove } from '../../base/linalg/mat3'
import type { Vec3 } from '../../base/linalg/vec3'
import { newCarrierSolver } from './carrierSolver'
import { pointsOf, type Suspension } from './suspension'

/** A wheel carrier that can be looked for at any height of its wheel. */
export interface CarrierPose {
  /** @returns null where the suspension does not reach */
  readonly at: (upMm: number, rackMm?: number) => RigidMove | null
}

/**
 * Where a wheel carrier stands for a height of its wheel and a way of the rack.
 *
 * @see docs/methods/halfshafts.md
 */
export function carrierPose(suspension: Suspension, wheel: Vec3): CarrierPose {
  const solver = newCarrierSolver(suspension.kind)
  solver.points.set([...wheel, ...pointsOf(suspension).flat()])
  solver.take()
  return {
    at: (upMm, rackMm = 0) => (solver.solve(upMm, rackMm) ? rigidMoveOf([...solver.move]) : null),
  }
}
