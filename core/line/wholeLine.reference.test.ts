import { axisDirection } from '../base/frame/axis'
import { trainMaps, type TrainJoint } from './joints/jointMap'
import { dot, norm, scale, sub, add, unit, type Vec3 } from '../base/linalg/vec3'
import type { JointKind } from '../file/parts/lineSpec'
import { evaluateBuild } from '../model/evaluateBuild'
import { parseBuild } from '../file/open/parseBuild'
import { PROFILES } from '../file/limits/profiles'
import whole from '../testdata/whole-line.json'
import { disagreements, type Tolerance } from '../testdata/reference'
import { degrees, radians } from '../base/units/angle'
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
  const train = input.joints.map((joint: any, i: number): TrainJoint => ({
    kind: KINDS[joint.kind]!,
    incoming: axes[i]!,
    outgoing: axes[i + 1]!,
  }))
  const phases = input.shafts.map((shaft: any) => radians(shaft.phase_deg))
  const lengths = centres.slice(1).map((centre, i) => norm(sub(centre, centres[i]!)))
  const bearings = input.shafts.map(({ bearing }: any, i: number) =>
    bearing ? dot(sub(add(bearing.p, bearing.lever ?? [0, 0, 0]), centres[i]!), shafts[i]!) : null,
  )
  return { centres, train, phases, lengths, bearings }
}

const cases = whole.cases.filter((one: any) => !one.expect.error) as any[]
const tolerance = (key: string): Tolerance =>
  (whole.tolerance.keys as Record<string, Tolerance>)[key] ?? whole.tolerance.default

describe('the whole line against independent cases', () => {
  it.each(cases.map((one) => [one.id, one] as const))('%s', (_id, { input, expect: expected }) => {
    const { centres, train, phases, lengths, bearings } = solved(input)
    const maps = trainMaps(train, phases)
    const members = maps.upTo.map(uniformity)
    const last = members.at(-1)!
    const small = smallEquivalentAngle(train, maps, phases)
    const forces = lineForces({ train, phases, lengths, bearings }, input.torque_Nm)
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
      train,
      phases,
      input.shafts.map(({ teeth }: any) => teeth),
    )!
    expect(expected.clock.all).toContainEqual(clock.shafts.map(({ turns }) => turns))
    expect(clock.shafts.map(({ shaft }) => shaft + 1)).toEqual(expected.clock.shafts)
    expect(degrees(clock.after.equivalentAngle)).toBeCloseTo(expected.clock.equivalent_deg, 3)
  })
})

/** A case without bearings as the file of a build: every joint and axis given, judged by what its joints bear. */
function fileOf({ driving, driven, joints, shafts, flow }: any) {
  const way = (value: number, positive: string, negative: string) => (value < 0 ? negative : positive)
  const placed = joints.filter(({ p }: any) => p)
  return {
    format: 'lurvan-build',
    version: 2,
    id: 'case',
    name: 'case',
    units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
    tools: [],
    setups: [],
    trials: [],
    bodies: [{ id: 'chassis', kind: 'chassis', name: 'chassis' }],
    points: placed.map((_: any, i: number) => ({ id: `p${i}`, name: `p${i}`, body: 'chassis' })),
    axes: ['driving', 'driven'].map((id) => ({ id, name: id, body: 'chassis' })),
    readings: [
      ...placed.map(({ p: [x, y, z] }: any, i: number) => ({
        id: `r${i}`,
        kind: 'given-point',
        point: `p${i}`,
        station: String(Math.abs(x)),
        stationWay: way(-x, 'rearward', 'forward'),
        offset: String(Math.abs(y)),
        side: way(y, 'left', 'right'),
        height: String(Math.abs(z)),
        heightWay: way(z, 'above', 'below'),
      })),
      ...Object.entries({ driving, driven }).map(([axis, { fall, plan }]: any) => ({
        id: `r-${axis}`,
        kind: 'given-axis',
        axis,
        fall: String(Math.abs(fall)),
        low: way(fall, 'rear', 'front'),
        plan: String(Math.abs(plan)),
        rearPoints: way(plan, 'left', 'right'),
      })),
    ],
    drivetrain: {},
    states: [],
    lines: [
      {
        id: 'line',
        name: 'line',
        school: 'parallel',
        ...(flow === 'forward' && { flow }),
        driving: 'driving',
        driven: 'driven',
        joints: joints.map(({ kind, p, limit_deg }: any, i: number) => ({
          id: `j${i}`,
          kind: KINDS[kind] ?? kind,
          ...(p && { point: `p${placed.findIndex((one: any) => one.p === p)}` }),
          ...(limit_deg !== undefined && { limitDeg: limit_deg }),
        })),
        shafts: shafts.map(() => ({})),
      },
    ],
    levers: [],
    gaps: [],
    positions: [{ id: 'a', name: 'A', settings: {} }],
    chosen: 'a',
    limits: {
      ...PROFILES.road,
      entries: [
        { id: 'own', quantity: 'joint-limit-margin', unit: 'deg', scope: 'ride', failBelow: 0, basis: 'own' },
      ],
    },
  }
}

describe('the whole line as the file of a build', () => {
  const plain = cases.filter(({ input }) => input.shafts.every(({ bearing }: any) => !bearing))

  it.each(plain.map((one) => [one.id, one] as const))(
    '%s: joints past what they bear',
    (_id, { input, expect: want }) => {
      const parsed = parseBuild(fileOf(input))
      if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
      const { checks, lines } = evaluateBuild(parsed.value, {})
      const { ride } = lines[0]!
      if (!ride.known) throw new Error(JSON.stringify(ride.missing))
      ride.value.anglesDeg.forEach((angle, i) => expect(angle).toBeCloseTo(want.angles_deg[i], 5))
      const out = checks.flatMap(({ quantity, verdict, subject }) =>
        quantity === 'joint-limit-margin' && verdict === 'out' && subject.of === 'joint'
          ? [subject.index + 1]
          : [],
      )
      expect(out).toEqual(want.over_limit)
    },
  )

  const WORDS: Record<string, RegExp> = {
    bad_word: /must be one of: cross, double-cardan, cv, flex-disc/,
    missing: /neither a point nor a bearing says where it is|point/,
    no_pilot: /centring/,
  }
  const refused = (whole.cases as any[]).filter((one) => one.expect.error)

  it.each(refused.map((one) => [one.id, one] as const))('%s is told', (_id, { input, expect: { error } }) => {
    const words = WORDS[error as string]
    if (!words) throw new Error(`what does "${error}" say here?`)
    const parsed = parseBuild(fileOf(input))
    const said = parsed.ok
      ? evaluateBuild(parsed.value, {}).checks.flatMap((check) => [
          ...check.missing.map(({ what }) => what),
          ...(check.verdict === 'out' ? [check.quantity.replace('-', ' '), check.basis] : []),
        ])
      : parsed.problems.map(({ message }) => message)
    expect(said.join('; ')).toMatch(words)
  })
})
