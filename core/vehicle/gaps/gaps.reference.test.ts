import {
  newGraph,
  type Column,
  type Graph,
  type MoveColumns,
  type VectorColumns,
} from '../../base/columns/graph'
import { newRun } from '../../base/columns/run'
import { known, type Known } from '../../base/known'
import { sub, type Vec3 } from '../../base/linalg/vec3'
import { composed, turnMove, type RigidMove } from '../../base/linalg/mat3'
import { rigidly, type BodyMove } from '../moves/bodyMove'
import { mountedColumns } from '../bodies/mountedColumns'
import type { Build } from '../../file/build/build'
import type { Gap } from '../../file/parts/gap'
import type { LeverKind } from '../../file/build/lever'
import reference from '../../testdata/clearance.json'
import { radians } from '../../base/units/angle'
import { CoreError } from '../../base/errors'
import { outlineGap, toSegment, wayAlong } from '../../base/outline/outlineGap'
import type { Place2, Polygon } from '../../base/outline/polygon'
import { gapColumns, gapFlat } from './gapColumns'
import { groundOrder, ruleHolds, type LowPlace } from './groundOrder'
import { leverWindow } from './leverWindow'
import { rockedGap } from './rockedGap'
import { axisDirection } from '../../base/frame/axis'
import { unit } from '../../base/linalg/vec3'
import { standing } from '../../file/limits/verdict'
import { GAP_LIMITS } from '../../file/limits/profiles'
import { parseBuild } from '../../file/open/parseBuild'
import { rawDemos } from '../../testdata/demos'

type Case = any
const cases = reference.cases as Case[]
const moves = cases.filter(({ input, expect: wanted }) => input.task === 'move' && !wanted.error)

const KINDS: Record<string, LeverKind> = {
  front_left_up: 'front-left-up',
  front_right_up: 'front-right-up',
  tail_up: 'tail-up',
  fore: 'fore',
  lateral: 'sideways',
  tail_lateral: 'tail-sideways',
}
const POWERTRAIN = {
  kind: 'powertrain',
  id: 'powertrain',
  name: 'powertrain',
  mounts: { frontLeft: 'front_left', frontRight: 'front_right', tail: 'tail' },
} as const

const placed = (graph: Graph, [x, y, z]: Vec3): VectorColumns => [
  graph.source(x),
  graph.source(y),
  graph.source(z),
]

/** The powertrain at some amounts of its levers. */
function powertrainAt(graph: Graph, { mounts }: Case, amounts: Record<string, number>): BodyMove[] {
  const names = Object.keys(KINDS)
  const columns = new Map<string, Column>(names.map((name) => [name, graph.source(amounts[name] ?? 0)]))
  const levers = names.map((name) => ({
    id: name,
    kind: KINDS[name]!,
    body: 'powertrain',
    range: [0, 0],
    step: 1,
  }))
  const build = { levers, bodies: [POWERTRAIN] } as unknown as Build
  const point = (id: string): Known<VectorColumns> => known(placed(graph, mounts[id]))
  return [mountedColumns(graph, build, POWERTRAIN, columns, point)!]
}

/** An axle that goes up, rolls and turns its nose about its centre. */
function axleAt(graph: Graph, axle: Case): BodyMove[] {
  if (!axle) return []
  const { centre, translate, roll_deg = 0, nose_up_deg = 0 } = axle
  const nose = turnMove(centre, [0, 1, 0], radians(-nose_up_deg))
  const roll = turnMove(centre, [1, 0, 0], radians(roll_deg))
  const turned: RigidMove = composed(nose, roll)
  const shift = turned.shift.map((part, i) => part + translate[i])
  const columns = [...turned.rotation.flat(), ...shift].map((figure) => graph.source(figure))
  const move = rigidly(graph, columns as unknown as MoveColumns)
  return [{ body: 'axle', amounts: [], basis: known(null), tooFar: { what: '', path: '' }, ...move }]
}

/** The gaps of a case at its levers, through the steps that the application uses. */
function gapsOf({ input }: Case) {
  return input.clearances.map((one: Case) => {
    const graph = newGraph()
    const bodies = (levers: Record<string, number>, axle: Case) =>
      ({
        chassis: [],
        powertrain: powertrainAt(graph, input.powertrain, levers),
        axle: axleAt(graph, axle),
      }) as Record<string, BodyMove[]>
    const read = bodies(one.measured_at ?? input.measured_at ?? {}, null)
    const now = bodies(input.levers ?? {}, input.axle_move)
    const [own, obstacle] = [one.body ?? 'powertrain', one.obstacle ?? 'chassis']
    const gap: Gap = { id: 'g', name: one.name, kind: 'static', point: 'p', toward: one.toward }
    const { station, offset, height } = one.at
    const before = placed(graph, [-station, offset, height])
    const flat = gapFlat(
      graph,
      gap,
      known(before),
      known({ figure: graph.source(one.gap_mm), trial: null }),
      {
        own: read[own]!,
        obstacle: read[obstacle]!,
      },
    )
    if (!flat.known) throw new Error('a reference case is whole')
    const columns = gapColumns(graph, flat.value, { own: now[own]!, obstacle: now[obstacle]! })
    const run = newRun(graph, 1)
    run.bring([columns.gap, ...columns.point], 1)
    return {
      name: one.name,
      gap: run.figure(columns.gap),
      point: columns.point.map(run.figure) as unknown as Vec3,
      at: before.map(graph.at),
    }
  })
}

const GRADES: Record<string, string> = { pass: 'holds', warn: 'tight', fail: 'out', cut: 'cut' }

/** What each kind of refusal is called here. */
const REFUSALS: Record<string, RegExp> = {
  out_of_range: /points nowhere/,
  impossible: /^no such pose$/,
}

/** Why a case has no answer; empty for one that has. */
function refusalOf(one: Case): string {
  const raw = rawDemos().find(({ id }) => id === 'sedge-wagon')!.raw
  raw.gaps[0].toward = one.input.clearances[0].toward
  const door = parseBuild(raw)
  if (!door.ok) return door.problems.map(({ message }) => message).join()
  try {
    return gapsOf(one).some(({ gap }: Case) => Number.isNaN(gap)) ? 'no such pose' : ''
  } catch (error) {
    if (error instanceof CoreError) return error.message
    throw error
  }
}

describe('gaps after a move', () => {
  it.each(moves.map((one) => [one.id as string, one] as const))('agree with case %s', (_, one) => {
    const found = gapsOf(one)
    one.expect.clearances.forEach((wanted: Case, i: number) => {
      expect([found[i].name, found[i].gap]).toEqual([wanted.name, expect.closeTo(wanted.gap_mm, 6)])
      // Where the point went since the gap was read; told against its first place when it was read there.
      if (!one.input.measured_at && !one.input.clearances[i].measured_at)
        expect(sub(found[i].point, found[i].at as Vec3)).toEqual(
          wanted.dp.map((part: number) => expect.closeTo(part, 6)),
        )
    })
  })

  it.each(moves.map((one) => [one.id as string, one] as const))(
    'are judged by the limits of their kind, the worst named and the cuts counted: case %s',
    (_, one) => {
      const found = gapsOf(one).map(({ name, gap }: Case, i: number) => {
        const { kind = 'static', warn_mm: warn, fail_mm: fail } = one.input.clearances[i]
        const usual = GAP_LIMITS.find(({ gaps }) => gaps?.includes(kind))
        // A gap that frees a part by hand is limited only by what it says itself.
        const window = {
          failLow: fail ?? usual?.failBelow ?? 0,
          warnLow: warn ?? usual?.warnBelow ?? fail ?? 0,
          warnHigh: null,
          failHigh: null,
        }
        return {
          name,
          cut: gap < 0,
          verdict: gap < 0 ? 'cut' : standing(gap, window).verdict,
          margin: gap - window.failLow,
        }
      })
      expect(found.map(({ verdict }: Case) => verdict)).toEqual(
        one.expect.clearances.map(({ verdict }: Case) => GRADES[verdict]),
      )
      found.forEach(({ margin }: Case, i: number) =>
        expect(margin).toBeCloseTo(one.expect.clearances[i].margin_mm, 6),
      )
      const least = found.reduce((a: Case, b: Case) => (b.margin < a.margin ? b : a))
      expect(least.name).toBe(one.expect.worst)
      expect(found.filter(({ cut }: Case) => cut)).toHaveLength(
        one.expect.clearances.filter(({ cut_mm }: Case) => cut_mm > 0).length,
      )
    },
  )

  const refusals = cases.filter(({ input, expect: wanted }) => input.task === 'move' && wanted.error)
  it.each(refusals.map((one) => [one.id as string, one] as const))('are refused: case %s', (_, one) => {
    const said = REFUSALS[one.expect.error]
    if (!said) throw new Error(`what should "${one.expect.error}" be called?`)
    expect(refusalOf(one)).toMatch(said)
  })

  it.each(moves.filter(({ input }) => input.rock).map((one) => [one.id as string, one] as const))(
    'while the engine rocks: case %s',
    (_, one) => {
      const { deg, point, fall, plan } = one.input.rock
      const [station, offset, height] = [-point[0], point[1], point[2]]
      const rock = {
        deg,
        point: placeAt(one.input, { station, offset, height }, 'powertrain'),
        axis: axisDirection({ fall: radians(fall), plan: radians(plan) }),
      }
      gapsOf(one).forEach(({ name, gap, point: place }: Case) => {
        const given = one.input.clearances.find((other: Case) => other.name === name)
        const wanted = one.expect.clearances.find((other: Case) => other.name === name)
        if ((given.body ?? 'powertrain') !== 'powertrain') return
        expect([name, rockedGap(gap, place, unit(given.toward), rock)]).toEqual([
          name,
          expect.closeTo(wanted.gap_rock_mm, 6),
        ])
      })
    },
  )

  it('come back to what was read when every lever comes back', () => {
    const one = structuredClone(moves.find(({ id }) => id === 'rand0'))
    one.input.measured_at = one.input.levers
    for (const { name, gap } of gapsOf(one))
      expect([name, gap]).toEqual([
        name,
        expect.closeTo(one.input.clearances.find((given: Case) => given.name === name).gap_mm, 9),
      ])
  })
})

/** A place of the powertrain, or of the chassis, at the levers of a case. */
function placeAt(input: Case, { station, offset, height }: Case, body: string): Vec3 {
  if (body !== 'powertrain') return [-station, offset, height]
  const graph = newGraph()
  const [move] = powertrainAt(graph, input.powertrain, input.levers ?? {})
  const columns = move!.point(placed(graph, [-station, offset, height]))
  const run = newRun(graph, 1)
  run.bring(columns, 1)
  return columns.map(run.figure) as unknown as Vec3
}

const ofTask = (task: string, isRefused: boolean) =>
  cases
    .filter(({ input, expect: wanted }) => input.task === task && Boolean(wanted.error) === isRefused)
    .map((one) => [one.id as string, one] as const)

describe('outlines', () => {
  const outlinesOf = (input: Case): [Polygon, Polygon] => {
    const a = input.a.map(([station, height]: Place2): Place2 => {
      const [x, , z] = placeAt(input, { station, offset: input.a_offset ?? 0, height }, input.a_body)
      return [-x, z]
    })
    return [a, input.b]
  }

  it.each(ofTask('outline', false))('stand to each other as in case %s', (_, { input, expect: wanted }) => {
    const [a, b] = outlinesOf(input)
    const { gapMm, exit } = outlineGap(a, b)
    expect(gapMm).toBeCloseTo(wanted.gap_mm, 5)
    expect(exit !== null).toBe(wanted.overlap)
    if (exit && wanted.exit)
      expect(exit).toEqual([expect.closeTo(wanted.exit[0], 4), expect.closeTo(wanted.exit[1], 4)])
    wanted.along_mm.forEach((mm: number | null, k: number) => {
      const way = wayAlong(a, b, input.along[k].dir)
      if (mm === null) expect(way).toBeNull()
      else expect(way).toBeCloseTo(mm, 5)
    })
  })

  it.each(ofTask('outline', true))('are refused: %s', (_, { input }) => {
    expect(() => outlineGap(input.a, input.b)).toThrow(CoreError)
  })

  it('touch at nought, and go through each other the same either way round', () => {
    const box = (x: number): Polygon => [
      [x, 0],
      [x + 10, 0],
      [x + 10, 10],
      [x, 10],
    ]
    expect(outlineGap(box(0), box(10)).gapMm).toBeCloseTo(0, 9)
    expect(outlineGap(box(0), box(0)).gapMm).toBeCloseTo(-10, 9)
    for (const [, { input }] of ofTask('outline', false)) {
      const [a, b] = outlinesOf(input)
      expect(outlineGap(b, a).gapMm).toBeCloseTo(outlineGap(a, b).gapMm, 6)
    }
  })

  it.each(ofTask('segment', false))('and lines: %s', (_, { input, expect: wanted }) => {
    const [x, , z] = placeAt(input, input.at, input.powertrain ? 'powertrain' : 'chassis')
    const { distanceMm, foot, share } = toSegment([-x, z], input.from, input.to)
    const radii = (input.radius_mm ?? 0) + (input.segment_radius_mm ?? 0)
    expect(distanceMm - radii).toBeCloseTo(wanted.distance_mm, 6)
    expect(share).toBeCloseTo(wanted.t, 8)
    expect(foot).toEqual([expect.closeTo(wanted.foot[0], 6), expect.closeTo(wanted.foot[1], 6)])
  })
})

describe('the middle of what a lever may do', () => {
  const marginOf = (input: Case) => (setting: number) => {
    const levers = { ...input.levers, [input.lever]: setting }
    const found = gapsOf({ input: { ...input, levers } })
    return Math.min(...found.map(({ gap }: Case, k: number) => gap - (input.clearances[k].min_mm ?? 0)))
  }

  it.each(ofTask('window', false))('is found: %s', (_, { input, expect: wanted }) => {
    const { best, margin, window, stepped } = leverWindow(marginOf(input), [input.lo, input.hi], input.step)
    expect(best).toBeCloseTo(wanted.best, 4)
    expect(margin).toBeCloseTo(wanted.margin_mm, 5)
    if (wanted.window === null) expect(window).toBeNull()
    else expect(window).toEqual(wanted.window.map((end: number) => expect.closeTo(end, 4)))
    if (wanted.stepped === undefined) return
    expect(stepped?.at).toBeCloseTo(wanted.stepped, 9)
    expect(stepped?.margin).toBeCloseTo(wanted.stepped_margin_mm, 6)
  })

  it.each(ofTask('window', true))('is refused: %s', (_, { input }) => {
    expect(() => leverWindow(marginOf(input), [input.lo, input.hi], input.step)).toThrow(CoreError)
  })

  it('has no window where something falls short everywhere', () => {
    expect(leverWindow((at) => -1 - at * at, [-5, 5], 2)).toEqual({
      best: expect.closeTo(0, 6),
      margin: expect.closeTo(-1, 9),
      window: null,
      stepped: { at: 0, margin: -1 },
    })
  })
})

describe('what strikes first', () => {
  const ON: Record<string, LowPlace['on']> = { front_axle: 'front-axle', rear_axle: 'rear-axle' }
  const ordered = (input: Case, bump: Case) =>
    groundOrder(
      input.points.map((one: Case): LowPlace => {
        const [x, , z] = placeAt(input, one.at, one.body ?? 'chassis')
        return { name: one.name, x, z, on: ON[one.body] ?? 'sprung' }
      }),
      input.ground,
      bump,
    )

  it.each(ofTask('ground', false))('at ride and in bump: %s', (_, { input, expect: wanted }) => {
    for (const [stand, bump] of [
      [wanted.ride, undefined],
      [wanted.bump, input.bump],
    ] as const) {
      const found = ordered(input, bump)
      expect(found.pitchDeg).toBeCloseTo(stand.pitch_deg, 7)
      expect(found.rooms.map(({ name }) => name)).toEqual(stand.order)
      for (const one of stand.points) {
        const room = found.rooms.find(({ name }) => name === one.name)
        expect(room?.verticalMm).toBeCloseTo(one.vertical_mm, 6)
        expect(room?.normalMm).toBeCloseTo(one.normal_mm, 6)
      }
      stand.rules.forEach((rule: Case, k: number) => {
        const { lower, higher, by_mm } = input.rules[k]
        const { ok, differenceMm } = ruleHolds(found, { lower, higher, byMm: by_mm ?? 0 })
        expect(ok).toBe(rule.ok)
        expect(differenceMm).toBeCloseTo(rule.difference_mm, 6)
      })
    }
  })

  it('refuses a rule about something that is not there', () => {
    const [, { input }] = ofTask('ground', false)[0]!
    expect(() => ruleHolds(ordered(input, undefined), { lower: 'bar', higher: 'oil pan' })).toThrow(CoreError)
  })
})
