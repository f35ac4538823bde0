import type { Build } from '../file/build/build'
import { parseBuild } from '../file/open/parseBuild'
import { PROFILES } from '../file/limits/profiles'

type Place = readonly number[]
interface ArmCase {
  readonly front: Place
  readonly rear: Place
  readonly ball: Place
}

/** A side as the reference cases give it. */
export interface SideCase {
  readonly type: string
  readonly inner_cv: Place
  readonly inner_axis: Place
  readonly outer_cv: Place
  readonly outer_axis: Place
  readonly wheel_centre: Place
  readonly mid_length: number
  readonly lower?: ArmCase
  readonly upper?: ArmCase
  readonly tie?: { readonly inner: Place; readonly outer: Place }
  readonly strut?: { readonly top: Place; readonly axis_point: Place }
  readonly hinge?: { readonly a: Place; readonly b: Place }
}

/** A halfshaft as the reference cases give it. */
export interface HubCase {
  readonly side: SideCase
  readonly bump: number
  readonly droop: number
  readonly rack_mm?: number
  readonly plunge_mm?: number
  readonly spare_mm?: number
}

/** A file before it is parsed, so that a test can spoil it. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Spoilable = any

/** Points of a suspension as the reference cases name them, by the keys of the file; true for those that go along. */
function suspensionOf({ type, lower, upper, tie, strut, hinge }: SideCase): {
  kind: string
  points: Record<string, [Place, boolean]>
} {
  const arm = (key: string, one: ArmCase | undefined): Record<string, [Place, boolean]> => {
    if (!one) throw new Error(`${key} arm is missing`)
    const { front, rear, ball } = one
    return {
    [`${key}Front`]: [front, false],
    [`${key}Rear`]: [rear, false],
    [`${key}Ball`]: [ball, true],
    }
  }
  const ties = (): Record<string, [Place, boolean]> => {
    if (!tie) throw new Error('the tie rod is missing')
    return { tieInner: [tie.inner, false], tieOuter: [tie.outer, true] }
  }
  if (type === 'double_wishbone')
    return {
      kind: 'double-wishbone',
      points: { ...arm('lower', lower), ...arm('upper', upper), ...ties() },
    }
  if (strut)
    return {
      kind: 'strut',
      points: {
        ...arm('lower', lower),
        strutTop: [strut.top, false],
        onStrut: [strut.axis_point, true],
        ...ties(),
      },
    }
  if (!hinge) throw new Error('the hinge is missing')
  return { kind: 'arm', points: { pivot: [hinge.a, true], pivot2: [hinge.b, true] } }
}

const degrees = (radians: number) => (radians * 180) / Math.PI
const way = (value: number) => String(Math.abs(value))

/** A case of a halfshaft as the file of a build: every point and axis given. */
export function hubFile({ side, bump, droop, rack_mm: rack, plunge_mm: reach, spare_mm: spare }: HubCase): Spoilable {
  const points: Spoilable[] = []
  const readings: Spoilable[] = []
  const point = (id: string, body: string, [x = NaN, y = NaN, z = NaN]: Place) => {
    points.push({ id, name: id, body })
    readings.push({
      id: `read-${id}`,
      kind: 'given-point',
      point: id,
      station: way(x),
      stationWay: x > 0 ? 'forward' : 'rearward',
      offset: way(y),
      side: y < 0 ? 'right' : 'left',
      height: way(z),
      heightWay: z < 0 ? 'below' : 'above',
    })
    return id
  }
  const axis = (id: string, [u = NaN, v = NaN, w = NaN]: Place) => {
    // Axes across the vehicle are told by their left end.
    const [x, y, z] = v < 0 ? [-u, -v, -w] : [u, v, w]
    const rise = degrees(Math.atan2(z, Math.hypot(x, y)))
    const sweep = degrees(Math.atan2(x, y))
    readings.push({
      id: `read-${id}`,
      kind: 'given-cross-axis',
      axis: id,
      rise: way(rise),
      high: rise < 0 ? 'right' : 'left',
      sweep: way(sweep),
      leftPoints: sweep < 0 ? 'rearward' : 'forward',
    })
  }
  const { kind, points: held } = suspensionOf(side)
  const isLeft = (side.outer_cv[1] ?? 0) > 0
  point('wheel', 'hub', side.wheel_centre)
  point('inner', 'powertrain', side.inner_cv)
  point('outer', 'hub', side.outer_cv)
  axis('stub', side.inner_axis)
  axis('spindle', side.outer_axis)
  const named = Object.entries(held).map(([key, [place, isOnHub]]) => [
    key,
    point(key, isOnHub ? 'hub' : 'chassis', place),
  ])
  return {
    format: 'lurvan-build',
    version: 2,
    id: 'half',
    name: 'half',
    units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
    tools: [],
    setups: [],
    trials: [],
    bodies: [
      { id: 'chassis', kind: 'chassis', name: 'chassis' },
      { id: 'powertrain', kind: 'powertrain', name: 'powertrain' },
      {
        id: 'hub',
        kind: 'hub',
        name: 'left hub',
        side: isLeft ? 'left' : 'right',
        centre: 'wheel',
        motion: { kind, points: Object.fromEntries(named) },
        travel: { bumpMm: bump, droopMm: droop, ...(rack && { rackMm: rack }) },
      },
    ],
    points,
    axes: [
      { id: 'stub', name: 'stub', body: 'powertrain', lies: 'across' },
      { id: 'spindle', name: 'spindle', body: 'hub', lies: 'across' },
    ],
    readings,
    drivetrain: {},
    states: [],
    lines: [
      {
        id: 'half',
        name: 'halfshaft',
        school: 'straight',
        flow: isLeft ? 'left' : 'right',
        driving: 'stub',
        driven: 'spindle',
        joints: [
          { id: 'one', kind: 'cv', point: 'inner', limitDeg: 23 },
          { id: 'two', kind: 'cv', point: 'outer', limitDeg: 47 },
        ],
        shafts: [{ plunge: { middleMm: side.mid_length, ...(reach && { reachMm: reach }) } }],
      },
    ],
    levers: [],
    gaps: [],
    positions: [{ id: 'a', name: 'A', settings: {} }],
    chosen: 'a',
    limits: {
      ...PROFILES.road,
      entries: [
        {
          id: 'plunge',
          quantity: 'plunge-left',
          unit: 'mm',
          scope: 'travel',
          failBelow: spare ?? 3,
          basis: 'own',
        },
        { id: 'own', quantity: 'joint-limit-margin', unit: 'deg', scope: 'travel', failBelow: 2, basis: 'own' },
      ],
    },
  }
}

/** The build of a file; throws with what is wrong with it. */
export function hubBuild(file: unknown): Build {
  const parsed = parseBuild(file)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
