import { axisDirection } from '../frame/axis'
import { chainMaps, type ChainJoint } from '../joints/jointMap'
import { dot, norm, scale, sub, add, unit, type Vec3 } from '../linalg/vec3'
import type { JointKind } from '../project/lineSpec'
import whole from '../testdata/whole-line.json'
import { disagreements, type Tolerance } from '../testdata/reference'
import { degrees, radians } from '../units/angle'
import { clockSplines } from './clockSplines'
import { lineForces } from './lineForces'
import { smallEquivalentAngle } from './smallAngle'
import { peakAcceleration, smallAngleAcceleration, uniformity } from './uniformity'

const KINDS: Readonly<Record<string, JointKind>> = {
  hooke: 'cross',
  disc: 'flex-disc',
  cv: 'cv',
  double_cardan: 'double-cardan',
}

/** Joint centres of a case: given, or behind the bearing of the shaft in front. */
function centresOf(input: any): Vec3[] {
  const centres: Vec3[] = []
  input.joints.forEach((joint: any, i: number) => {
    const bearing = input.shafts[i - 1]?.bearing
    if (joint.p) centres.push(joint.p)
    else {
      const at = add(bearing.p, bearing.lever ?? [0, 0, 0])
      const along = sub(at, centres[i - 1]!)
      centres.push(add(at, scale(unit(along), bearing.overhang_mm)))
    }
  })
  return centres
}

function solved(input: any) {
  const sense = input.flow === 'forward' ? -1 : 1
  const along = ({ fall, plan }: any) =>
    scale(axisDirection({ fall: radians(fall), plan: radians(plan) }), sense)
  const centres = centresOf(input)
  const shafts = centres.slice(1).map((centre, i) => unit(sub(centre, centres[i]!)))
  const axes = [along(input.driving), ...shafts, along(input.driven)]
  const chain = input.joints.map((joint: any, i: number): ChainJoint => ({
    kind: KINDS[joint.kind]!,
    incoming: axes[i]!,
    outgoing: axes[i + 1]!,
  }))
  const phases = input.shafts.map((shaft: any) => radians(shaft.phase_deg))
  const lengths = centres.slice(1).map((centre, i) => norm(sub(centre, centres[i]!)))
  const bearings = input.shafts.map(({ bearing }: any, i: number) =>
    bearing ? dot(sub(add(bearing.p, bearing.lever ?? [0, 0, 0]), centres[i]!), shafts[i]!) : null,
  )
  return { centres, chain, phases, lengths, bearings }
}

const cases = whole.cases.filter((one: any) => !one.expect.error) as any[]
const tolerance = (key: string): Tolerance =>
  (whole.tolerance.keys as Record<string, Tolerance>)[key] ?? whole.tolerance.default

describe('the whole line against independent cases', () => {
  it.each(cases.map((one) => [one.id, one] as const))('%s', (_id, { input, expect: expected }) => {
    const { centres, chain, phases, lengths, bearings } = solved(input)
    const maps = chainMaps(chain, phases)
    const members = maps.upTo.map(uniformity)
    const last = members.at(-1)!
    const small = smallEquivalentAngle(chain, maps, phases)
    const forces = lineForces({ chain, phases, lengths, bearings }, input.torque_Nm)
    const got = {
      joints_mm: centres,
      lengths_mm: lengths,
      angles_deg: maps.angles.map(degrees),
      equivalent_deg: degrees(last.equivalentAngle),
      error_pp_deg: degrees(last.errorPeakToPeak),
      ratio_max: last.ratioMax,
      out_accel_rad_s2: peakAcceleration(last, input.rpm),
      beta_eq_deg: degrees(small),
      torsional_rad_s2: smallAngleAcceleration(small, input.rpm),
      shaft_accel_rad_s2: members.slice(0, -1).map((member) => peakAcceleration(member, input.rpm)),
    }
    const keys = Object.fromEntries(Object.keys(got).map((key) => [key, tolerance(key)]))
    expect(disagreements(got, expected, keys)).toEqual([])
    const each = (list: readonly object[], wanted: any[], names: string[]) =>
      list.flatMap((one, i) =>
        disagreements(
          one as any,
          wanted[i],
          Object.fromEntries(names.map((name) => [name, tolerance(name)])),
        ),
      )
    const couples = forces.joints.map(({ meanTorque, onDriving, onDriven }) => ({
      driving_Nm: onDriving,
      driven_Nm: onDriven,
      mean_torque_Nm: meanTorque,
    }))
    expect(each(couples, expected.couples, ['driving_Nm', 'driven_Nm', 'mean_torque_Nm'])).toEqual([])
    const held = forces.bearings.map((bearing) => ({
      shaft: bearing.shaft + 1,
      max_N: bearing.maxN,
      min_N: bearing.minN,
      vertical_pp_N: bearing.upwardSwingN,
      lateral_pp_N: bearing.leftSwingN,
      mean_N: bearing.meanN,
    }))
    expect(held).toHaveLength(expected.bearings.length)
    expect(
      each(held, expected.bearings, ['max_N', 'min_N', 'vertical_pp_N', 'lateral_pp_N', 'mean_N']),
    ).toEqual([])
    if (!expected.clock) return
    const clock = clockSplines(
      chain,
      phases,
      input.shafts.map(({ teeth }: any) => teeth),
    )!
    expect(expected.clock.all).toContainEqual(clock.shafts.map(({ turns }) => turns))
    expect(clock.shafts.map(({ shaft }) => shaft + 1)).toEqual(expected.clock.shafts)
    expect(degrees(clock.after.equivalentAngle)).toBeCloseTo(expected.clock.equivalent_deg, 3)
  })
})
