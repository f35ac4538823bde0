import { isSameState } from '../check/check'
import { PROFILES } from '../file/limits/profiles'
import { parseBuild } from '../file/open/parseBuild'
import travel from '../testdata/travel.json'
import { valueAtHeight } from '../vehicle/wheels/heightCurve'
import { evaluateBuild } from '../model/evaluateBuild'

type Point = readonly [number, number, number]

/** The case with its table told of the axle's centre instead of the pinion, about which the nose turns under torque. */
function byCentre(input: any) {
  if (input.model !== 'table') return input
  const { rows, design_height: ride, windup } = input
  const heights: number[] = rows.map(({ height }: any) => height - ride)
  const at = (key: string, up: number) =>
    valueAtHeight(
      heights,
      rows.map((row: any) => row[key]),
      up,
    )
  const [station, fall] = [at('station', 0), at('fall', 0)]
  const [x, z] = windup?.centre ?? [station, ride]
  /** How far the centre comes up where the pinion does by so much. */
  const centreUp = (up: number) => {
    const nose = ((at('fall', up) - fall) * Math.PI) / 180
    const [along, over] = [station - x, ride - z]
    return up + over - (along * Math.sin(nose) + over * Math.cos(nose))
  }
  return {
    ...input,
    pinion: { p: [station, input.pinion_y, ride], fall, plan: input.pinion_plan },
    centre: [x, z],
    // Past the table nobody knows how the nose stands.
    bump: centreUp(input.bump) || input.bump,
    droop: -centreUp(-input.droop) || input.droop,
    rows: rows.map((row: any, i: number) => ({
      wheelUpMm: heights[i] === 0 ? 0 : centreUp(heights[i]!),
      forwardMm: row.station - station,
      noseUpDeg: row.fall - fall,
    })),
  }
}

/** What the axle turns about, and how it goes with its wheels. */
function motionOf(input: any, seat: Point | null, holdings: readonly object[]) {
  if (input.model === 'table') return { kind: 'table', rows: input.rows, at: 'pinion' }
  return seat
    ? { kind: 'arc', seat: 'middle', eye: 'eye', radiusShare: 1, noseUpDegPerMm: input.rotation_deg_per_mm }
    : { kind: 'links', holdings }
}

/** Turn of the nose under the torque of the case, in degrees. */
const riseOf = ({ windup, windup_deg_per_Nm: perNm }: any): number =>
  (windup?.torque_Nm ?? 0) * (windup?.deg_per_Nm ?? perNm ?? 0)

/** A case as the file of a build: every point and axis given, the line judged by what its parts bear. */
function fileOf(given: any) {
  const input = byCentre(given)
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
  const centre: Point | null = input.model === 'table' ? [input.centre[0], 0, input.centre[1]] : seat
  point('middle', 'axle', centre ?? (left!.map((part, i) => (part + right![i]!) / 2) as unknown as Point))
  if (seat) point('eye', 'chassis', [input.centre[0], 0, input.centre[1]])
  const holdings = (input.constraints ?? []).map((one: any, i: number) => ({
    id: `hold-${i}`,
    kind: one.kind === 'plane' ? 'slider' : one.kind,
    axle: point(`axle-${i}`, 'axle', one.axle),
    ...(one.kind === 'link' && { chassis: point(`chassis-${i}`, 'chassis', one.chassis) }),
    ...(one.kind === 'plane' && { stays: 'aside' }),
  }))
  const motion = motionOf(input, seat, holdings)
  const rise = riseOf(input)
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

const axles = (travel.cases as any[]).filter(({ input }) => input.task === 'axle')

describe('a line through the travel of its axle, from the file of a build, against independent cases', () => {
  it.each(axles.filter(({ expect: { error } }) => !error).map((one) => [one.id, one] as const))(
    '%s',
    (_id, { input, expect: expected }) => {
      const { lines, checks, between } = evaluated(input)
      const [line] = lines
      const rise = riseOf(input)
      const torque = rise < 0 ? 'coast' : rise > 0 ? 'drive' : 'ride'
      // A table told of the centre is bent through the same heights, yet not quite in the same way between them.
      const [digits, lengthDigits] = input.model === 'table' ? [2, 1.5] : [5, 5]
      for (const [name, want] of Object.entries(expected.positions) as [string, any][]) {
        const place = PLACES[name as keyof typeof PLACES]
        const at = place ? { id: place, name: '' } : null
        const there = line!.states.find((one) => isSameState(one, { state: torque, at }))!
        if (!there.figures.known) throw new Error(JSON.stringify(there.figures.missing))
        const { anglesDeg, whole, smallEquivalentDeg, slideMm, geometry } = there.figures.value
        const [one, other] = geometry.centres
        const long = Math.hypot(...one!.map((part, i) => part - other![i]!))
        expect([name, anglesDeg[0]]).toEqual([name, expect.closeTo(want.angle1_deg, digits)])
        expect([name, anglesDeg[1]]).toEqual([name, expect.closeTo(want.angle2_deg, digits)])
        expect((whole.equivalentAngle * 180) / Math.PI).toBeCloseTo(want.equivalent_deg, digits - 1)
        expect(smallEquivalentDeg()).toBeCloseTo(want.beta_eq_deg, digits)
        expect(long).toBeCloseTo(want.shaft_mm, lengthDigits)
        if (input.slip_at === 'gearbox') expect(slideMm ?? 0).toBeCloseTo(want.slip_change_mm, lengthDigits)
      }
      const worst = (id: string) => checks.find((check) => check.id === `line/${id}`)!
      /** The worst of the case, in mm or degrees; another torque of the build than that of the case may be worse still. */
      const expectWorst = (
        id: string,
        of: { readonly found: number; readonly value: number; readonly at: number; readonly verdict: string },
        isMost: boolean,
      ) => {
        const check = worst(id)
        if (check.state !== torque) {
          expect([id, isMost ? of.found >= of.value : of.found <= of.value]).toEqual([id, true])
          return
        }
        const close = isMost ? Math.min(4, digits) : Math.min(3, lengthDigits)
        expect([id, of.found]).toEqual([id, expect.closeTo(of.value, close)])
        expect([id, check.verdict]).toEqual([id, VERDICTS[of.verdict]])
        // What is flat there may lie a little aside.
        expect([id, heightOf(check.at, between, input)]).toEqual([id, expect.closeTo(of.at, -0.5)])
      }
      const { slip, joint_verdicts: joints } = expected
      const ways = Object.values(expected.worst) as any[]
      const most = (key: string, sense: 1 | -1) =>
        ways.map((way) => way[key]).reduce((a, b) => (sense * b.value > sense * a.value ? b : a))
      const left = { value: slip.least_left_mm, at: most('slip_min_mm', -1).at, verdict: slip.left }
      expectWorst('slip-left/1', { ...left, found: worst('slip-left/1').value! }, false)
      const engaged = { value: slip.least_engaged_mm, at: most('slip_max_mm', 1).at, verdict: slip.engaged }
      const found = worst('spline-engaged/1').value! * input.slip.spline_mm
      expectWorst('spline-engaged/1', { ...engaged, found }, false)
      for (const index of [0, 1]) {
        const id = `angle/${index + 1}`
        const angle = { ...most(`angle${index + 1}_deg`, 1), verdict: joints[index] }
        expectWorst(id, { ...angle, found: worst(id).value! }, true)
      }
    },
  )

  const REFUSALS = { table: 'how it moves was not read that far', links: 'the links cannot reach' }
  it.each(axles.filter(({ expect: { error } }) => error).map((one) => [one.id, one] as const))(
    '%s: says where it cannot go',
    (_id, { input, expect: { error, message } }) => {
      expect(error).toBe('unreachable')
      const { checks, lines } = evaluated(input)
      const missing = checks.flatMap((check) => check.missing.map(({ what }) => what)).join('; ')
      expect(missing).toContain(`rear axle: ${REFUSALS[input.model as keyof typeof REFUSALS]}`)
      // The case tells the end it cannot reach by its figure.
      const isBump = String(message).includes(String(input.bump))
      expect(missing).toContain(isBump ? 'at full bump' : 'at full droop')
      const there = lines[0]!.states.find(({ at }) => at?.id === (isBump ? 'travel-bump' : 'travel-droop'))!
      expect(there.figures.known).toBe(false)
    },
  )
})
