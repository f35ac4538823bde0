import { axisDirection } from '../base/frame/axis'
import { trainMaps, type TrainJoint } from './joints/jointMap'
import { norm, sub, unit, type Vec3 } from '../base/linalg/vec3'
import { disagreements } from '../testdata/reference'
import joints from '../testdata/joint-chain.json'
import clocking from '../testdata/clocking.json'
import { degrees, radians } from '../base/units/angle'
import { bestPhase } from './bestPhase'
import { sampledTrain } from './sampledTrain'
import { smallEquivalentAngle } from './smallAngle'
import { peakAcceleration, smallAngleAcceleration, uniformity } from './uniformity'

interface EndAxis {
  fall: number
  plan: number
}
const directionOf = ({ fall, plan }: EndAxis) => axisDirection({ fall: radians(fall), plan: radians(plan) })

function trainThrough(driving: EndAxis, centres: readonly Vec3[], driven: EndAxis): TrainJoint[] {
  const shafts = centres.slice(1).map((centre, index) => unit(sub(centre, centres[index] as Vec3)))
  const axes = [directionOf(driving), ...shafts, directionOf(driven)]
  return centres.map((_, index) => ({
    kind: 'cross',
    incoming: axes[index] as Vec3,
    outgoing: axes[index + 1] as Vec3,
  }))
}

describe('the exact line against independent cases', () => {
  it.each(joints.cases.map((one) => [one.id, one] as const))('%s', (_id, { input, expected, tolerance }) => {
    const centres = input.points.filter((point) => point.joint).map((point) => point.p as unknown as Vec3)
    const train = trainThrough(input.driving, centres, input.driven)
    const phases = input.phase_deg.map(radians)
    const maps = trainMaps(train, phases)
    const members = maps.upTo.map(uniformity)
    const whole = members[members.length - 1]!
    const small = smallEquivalentAngle(train, maps, phases)
    const curves = sampledTrain(train, phases, input.rpm, 360)
    const got = {
      angles_deg: maps.angles.map(degrees),
      shaft_lengths_mm: centres.slice(1).map((centre, i) => norm(sub(centre, centres[i]!))),
      kin_error_pp_deg: degrees(whole.errorPeakToPeak),
      ratio_max: whole.ratioMax,
      ratio_min: whole.ratioMin,
      shaft_ratio_max: members.slice(0, -1).map((member) => member.ratioMax),
      shaft_ratio_min: members.slice(0, -1).map((member) => member.ratioMin),
      shaft_accel_peak_rad_s2: members.slice(0, -1).map((member) => peakAcceleration(member, input.rpm)),
      output_accel_peak_rad_s2: peakAcceleration(whole, input.rpm),
      beta_eq_deg: degrees(small),
      torsional_accel_pred_rad_s2: smallAngleAcceleration(small, input.rpm),
      inertia_drive_rad_s2: smallAngleAcceleration(maps.angles[0]!, input.rpm),
      inertia_coast_rad_s2: smallAngleAcceleration(maps.angles[maps.angles.length - 1]!, input.rpm),
      equivalent_single_joint_deg: degrees(whole.equivalentAngle),
      curve_error_deg: Array.from({ length: 12 }, (_, i) =>
        degrees(curves[curves.length - 1]!.error[i * 15]!),
      ),
    }
    // The cases print their points to 1e-6 mm, so lengths cannot be told closer; that turns a 1200 mm shaft by 1e-9 rad,
    // and √(β1² − β2²) of a pair that cancels makes 3e-4° of it.
    const told = {
      ...tolerance,
      shaft_lengths_mm: { abs: 1e-6 },
      beta_eq_deg: { abs: 5e-4 },
      equivalent_single_joint_deg: { abs: 5e-4 },
    }
    expect(disagreements(got, expected, told)).toEqual([])
  })

  it('samples the same peaks as the closed form', () => {
    for (const { input } of joints.cases) {
      const centres = input.points.filter((point) => point.joint).map((point) => point.p as unknown as Vec3)
      const train = trainThrough(input.driving, centres, input.driven)
      const phases = input.phase_deg.map(radians)
      const whole = uniformity(trainMaps(train, phases).upTo.at(-1)!)
      const output = sampledTrain(train, phases, input.rpm, 3600).at(-1)!
      // 3600 steps miss a smooth peak by at most (π/3600·2)²/2 of its height.
      expect(Math.max(...output.acceleration)).toBeCloseTo(peakAcceleration(whole, input.rpm), -1)
      expect(Math.max(...output.ratio) / whole.ratioMax).toBeCloseTo(1, 5)
      expect(Math.max(...output.error) - Math.min(...output.error)).toBeCloseTo(whole.errorPeakToPeak, 5)
    }
  })
})

describe('bestPhase against a brute-force scan', () => {
  it.each(clocking.cases.map((one) => [one.id, one] as const))(
    '%s',
    (_id, { input, expected, tolerance }) => {
      const train = trainThrough(
        input.driving,
        [input.p1 as unknown as Vec3, input.p2 as unknown as Vec3],
        input.driven,
      )
      const teeth = 'spline_teeth' in input ? input.spline_teeth : undefined
      const found = bestPhase(train, trainMaps(train, [0]), [0], 0, teeth)
      const errorAt = (phaseDeg: number) =>
        degrees(uniformity(trainMaps(train, [radians(phaseDeg)]).upTo[1]!).errorPeakToPeak)
      if (!expected.offset_matters) {
        expect(found).toBeNull()
        return
      }
      const got = {
        best_offset_deg: nearHalfTurn(found!.phaseDeg, expected.best_offset_deg!),
        pp_before_deg: degrees(found!.before.errorPeakToPeak),
        pp_best_deg: degrees(found!.after.errorPeakToPeak),
        pp_at_offset_deg: Object.fromEntries(
          Object.keys(expected.pp_at_offset_deg).map((key) => [key, errorAt(Number(key))]),
        ),
      }
      expect(disagreements(got, expected, tolerance)).toEqual([])
      if ('best_tooth_step' in expected) {
        expect(found!.tooth!.steps).toBe(expected.best_tooth_step)
        expect(degrees(found!.tooth!.after.errorPeakToPeak)).toBeCloseTo(expected.pp_best_tooth_deg!, 6)
      }
    },
  )
})

/** The same phase modulo 180°, on the side of `target`. */
const nearHalfTurn = (phaseDeg: number, target: number) =>
  phaseDeg - 180 * Math.round((phaseDeg - target) / 180)
