import { fallPlan } from '../../base/frame/axis'
import { moveDirection, movePoint } from '../../base/linalg/mat3'
import { dot, middle, norm, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import axlePath from '../../testdata/axle-path.json'
import { disagreements } from '../../testdata/reference'
import { moveOf, poseSolverOf } from './poseSolver'

const DEG = 180 / Math.PI
const direction = (fall: number, plan: number): Vec3 => {
  const [f, p] = [fall / DEG, plan / DEG]
  return [-Math.cos(f) * Math.cos(p), Math.cos(f) * Math.sin(p), -Math.sin(f)]
}
const between = (a: Vec3, b: Vec3) => Math.acos(Math.min(1, dot(unit(a), unit(b)))) * DEG

describe('where a held axle stands, against independent cases', () => {
  it.each((axlePath.cases as any[]).map((one) => [one.id, one] as const))(
    '%s',
    (_id, { input, expected, tolerance }) => {
      const solver = poseSolverOf({
        holdings: input.constraints,
        wheelLeft: input.wheel_left,
        wheelRight: input.wheel_right,
      })
      const isReached = solver.solve(input.travel_left, input.travel_right)
      expect(isReached).toBe(expected.converged)
      if (!isReached) {
        expect(solver.move.every(Number.isNaN)).toBe(true)
        return
      }
      expect(solver.residualMm()).toBeLessThan(1e-3)
      const move = moveOf(solver)
      const at = (point: Vec3) => movePoint(move, point)
      const [pinion, gearbox] = [input.pinion, input.gearbox]
      const p = at(pinion.p)
      const axis = moveDirection(move, direction(pinion.fall, pinion.plan))
      const lie = fallPlan(axis)
      const shaft = sub(p, gearbox.p)
      const across = sub(at(input.wheel_left), at(input.wheel_right))
      const before = sub(input.wheel_left, input.wheel_right)
      const got = {
        pinion_point: p,
        pinion_axis: axis,
        pinion_fall_deg: lie.fall * DEG,
        pinion_plan_deg: lie.plan * DEG,
        shaft_length_mm: norm(shaft),
        slip_change_mm: norm(shaft) - norm(sub(pinion.p, gearbox.p)),
        angle_gearbox_deg: between(direction(gearbox.fall, gearbox.plan), shaft),
        angle_pinion_deg: between(shaft, axis),
        axle_centre: middle(at(input.wheel_left), at(input.wheel_right)),
        axle_steer_deg: (Math.atan2(-across[0], across[1]) - Math.atan2(-before[0], before[1])) * DEG,
        axle_roll_deg: Math.asin(across[2] / norm(across)) * DEG - Math.asin(before[2] / norm(before)) * DEG,
        wheel_left: at(input.wheel_left),
        wheel_right: at(input.wheel_right),
      }
      expect(disagreements(got, expected, tolerance)).toEqual([])
    },
  )
})
