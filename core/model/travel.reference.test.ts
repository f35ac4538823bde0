import { isSameState } from '../check/check'
import { PROFILES } from '../project/profiles'
import { parseBuild } from '../project/parseBuild'
import travel from '../testdata/travel.json'
import { evaluateBuild } from './evaluateBuild'

type Point = readonly [number, number, number]

/** A case as the file of a build: every point and axis given, the line judged by what its parts bear. */
function fileOf(input: any) {
  const readings: any[] = []
  const points: any[] = []
  const point = (id: string, body: string, [x, y, z]: Point) => {
    points.push({ id, name: id, body })
    readings.push({
      id: `read-${id}`,
      kind: 'given-point',
      point: id,
      station: String(-x),
      stationWay: 'rearward',
      offset: String(Math.abs(y)),
      side: y < 0 ? 'right' : 'left',
      height: String(Math.abs(z)),
      heightWay: z < 0 ? 'below' : 'above',
    })
    return id
  }
  const axis = (id: string, { fall, plan }: any) =>
    readings.push({
      id: `read-${id}`,
      kind: 'given-axis',
      axis: id,
      fall: String(Math.abs(fall)),
      low: fall < 0 ? 'front' : 'rear',
      plan: String(Math.abs(plan)),
      rearPoints: plan < 0 ? 'right' : 'left',
    })
  const { pinion, gearbox } = input
  point('pinion', 'axle', pinion.p)
  point('gearbox', 'powertrain', gearbox.p)
  axis('pinion-axis', pinion)
  axis('output-axis', gearbox)
  const [left, right] = [input.wheel_left ?? [0, 780, 0], input.wheel_right ?? [0, -780, 0]] as Point[]
  const seat: Point | null = input.seat && [input.seat[0], 0, input.seat[1]]
  point('middle', 'axle', seat ?? (left!.map((part, i) => (part + right![i]!) / 2) as unknown as Point))
  if (seat) point('eye', 'chassis', [input.centre[0], 0, input.centre[1]])
  const holdings = (input.constraints ?? []).map((one: any, i: number) => ({
    id: `hold-${i}`,
    kind: one.kind === 'plane' ? 'slider' : one.kind,
    axle: point(`axle-${i}`, 'axle', one.axle),
    ...(one.kind === 'link' && { chassis: point(`chassis-${i}`, 'chassis', one.chassis) }),
    ...(one.kind === 'plane' && { stays: 'aside' }),
  }))
  const motion = seat
    ? { kind: 'arc', seat: 'middle', eye: 'eye', radiusShare: 1, noseUpDegPerMm: input.rotation_deg_per_mm }
    : { kind: 'links', holdings }
  const rise = ((input.windup?.torque_Nm ?? 0) as number) * (input.windup_deg_per_Nm ?? 0)
  const L0 = Math.hypot(...[0, 1, 2].map((i) => pinion.p[i] - gearbox.p[i]))
  const { room_mm: room, engaged_mm: engaged, spline_mm: diameter } = input.slip
  const isYoke = input.slip_at === 'gearbox'
  const yoke = { kind: 'slip-yoke', setInMm: room, engagedMm: engaged, splineDiameterMm: diameter }
  return {
    format: 'lurvan-build',
    version: 2,
    id: 'travel',
    name: 'travel',
    units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
    tools: [],
    setups: [],
    trials: [],
    bodies: [
      { id: 'chassis', kind: 'chassis', name: 'chassis' },
      { id: 'powertrain', kind: 'powertrain', name: 'powertrain' },
      {
        id: 'axle',
        kind: 'axle',
        name: 'rear axle',
        centre: 'middle',
        noseFaces: 'forward',
        suspension: seat ? 'leaf' : 'soft-links',
        sizes: { trackMm: left![1] - right![1] },
        motion,
        travel: { bumpMm: input.bump, droopMm: input.droop, ...(input.artic && { crossMm: input.artic }) },
      },
    ],
    points,
    axes: [
      { id: 'pinion-axis', name: 'pinion', body: 'axle' },
      { id: 'output-axis', name: 'output', body: 'powertrain' },
    ],
    readings,
    drivetrain: {},
    states: [],
    lines: [
      {
        id: 'line',
        name: 'rear shaft',
        school: 'parallel',
        driving: 'output-axis',
        driven: 'pinion-axis',
        joints: [
          { id: 'one', kind: 'cross', point: 'gearbox', limitDeg: input.limit1_deg },
          { id: 'two', kind: 'cross', point: 'pinion', limitDeg: input.limit2_deg },
        ],
        shafts: [
          isYoke
            ? { drivingEnd: yoke }
            : { slip: { closedMm: L0 - room, engagedMm: engaged + room, diameterMm: diameter } },
        ],
        ...(rise !== 0 && { expectedRiseDeg: Math.max(0, rise), expectedDropDeg: Math.max(0, -rise) }),
      },
    ],
    levers: [],
    gaps: [],
    positions: [{ id: 'a', name: 'A', settings: {} }],
    chosen: 'a',
    limits: {
      ...PROFILES.road,
      entries: [
        ...PROFILES.road.entries.filter(
          ({ quantity }) => quantity.startsWith('sl') || quantity.startsWith('spl'),
        ),
        {
          id: 'own',
          quantity: 'joint-limit-margin',
          unit: 'deg',
          scope: 'travel',
          failBelow: 2,
          basis: 'own',
        },
      ],
    },
  }
}

const evaluated = (input: any) => {
  const parsed = parseBuild(fileOf(input))
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return evaluateBuild(parsed.value, {})
}
const VERDICTS = { pass: 'holds', warn: 'tight', fail: 'out' } as Record<string, string>
const PLACES = {
  bump: 'travel-bump',
  droop: 'travel-droop',
  left_up: 'travel-left-up',
  right_up: 'travel-right-up',
}

/** How far the left wheel is up where a check stands, in mm; its place is a named one or lies between two. */
function heightOf(
  at: any,
  between: readonly { readonly id: string; readonly name: string }[],
  input: any,
): number {
  const named: Record<string, number> = {
    'travel-bump': input.bump,
    'travel-droop': -input.droop,
    'travel-left-up': input.artic,
    'travel-right-up': -input.artic,
  }
  if (at === null) return 0
  const name = between.find(({ id }) => id === at.id)?.name
  if (name === undefined) return named[at.id as string] ?? NaN
  const [amount, way] = name.replace('left ', '').split(' mm ') as [string, string]
  return Number(amount) * (way.startsWith('down') ? -1 : 1)
}

const axles = (travel.cases as any[]).filter(({ input }) => input.task === 'axle' && input.model !== 'table')

describe('a line through the travel of its axle, from the file of a build, against independent cases', () => {
  it.each(axles.filter(({ expect: { error } }) => !error).map((one) => [one.id, one] as const))(
    '%s',
    (_id, { input, expect: expected }) => {
      const { lines, checks, between } = evaluated(input)
      const [line] = lines
      const torque = (input.windup?.torque_Nm ?? 0) < 0 ? 'coast' : 'ride'
      for (const [name, want] of Object.entries(expected.positions) as [string, any][]) {
        const place = PLACES[name as keyof typeof PLACES]
        const at = place ? { id: place, name: '' } : null
        const there = line!.states.find((one) => isSameState(one, { state: torque, at }))!
        if (!there.figures.known) throw new Error(JSON.stringify(there.figures.missing))
        const { anglesDeg, whole, smallEquivalentDeg, slideMm, geometry } = there.figures.value
        const [one, other] = geometry.centres
        const long = Math.hypot(...one!.map((part, i) => part - other![i]!))
        expect([name, anglesDeg[0]]).toEqual([name, expect.closeTo(want.angle1_deg, 5)])
        expect([name, anglesDeg[1]]).toEqual([name, expect.closeTo(want.angle2_deg, 5)])
        expect((whole.equivalentAngle * 180) / Math.PI).toBeCloseTo(want.equivalent_deg, 4)
        expect(smallEquivalentDeg).toBeCloseTo(want.beta_eq_deg, 5)
        expect(long).toBeCloseTo(want.shaft_mm, 5)
        if (input.slip_at === 'gearbox') expect(slideMm ?? 0).toBeCloseTo(want.slip_change_mm, 5)
      }
      // Another torque than that of the case may be worse.
      if (torque !== 'ride') return
      const worst = (id: string) => checks.find((check) => check.id === `line/${id}`)!
      const { slip, joint_verdicts: joints } = expected
      expect(worst('slip-left/1').value).toBeCloseTo(slip.least_left_mm, 3)
      expect(worst('spline-engaged/1').value! * input.slip.spline_mm).toBeCloseTo(slip.least_engaged_mm, 3)
      expect(worst('slip-left/1').verdict).toBe(VERDICTS[slip.left])
      expect(worst('spline-engaged/1').verdict).toBe(VERDICTS[slip.engaged])
      const ways = Object.values(expected.worst) as any[]
      for (const index of [0, 1]) {
        const most = Math.max(...ways.map((way) => way[`angle${index + 1}_deg`].value))
        expect(worst(`angle/${index + 1}`).value).toBeCloseTo(most, 4)
        expect(worst(`angle/${index + 1}`).verdict).toBe(VERDICTS[joints[index]])
      }
      // Each is worst where its own quantity is in the case; what is flat there may lie a little aside.
      for (const index of [0, 1]) {
        const key = `angle${index + 1}_deg`
        const found = ways.map((way) => way[key]).reduce((a, b) => (b.value > a.value ? b : a))
        const at = heightOf(worst(`angle/${index + 1}`).at, between, input)
        expect([key, at]).toEqual([key, expect.closeTo(found.at, -0.5)])
      }
    },
  )

  it('says where the links cannot reach', () => {
    const { checks, lines } = evaluated(axles.find(({ id }) => id === 'bad_reach')!.input)
    const missing = checks.flatMap((check) => check.missing.map(({ what }) => what))
    expect(missing).toContain('rear axle: the links cannot reach −600 mm, at full droop')
    const droop = lines[0]!.states.find(({ at }) => at?.id === 'travel-droop')!
    expect(droop.figures.known).toBe(false)
  })
})
