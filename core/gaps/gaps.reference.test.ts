import { newGraph, type Column, type Graph, type MoveColumns, type VectorColumns } from '../columns/graph'
import { newRun } from '../columns/run'
import { known, type Known } from '../known'
import { sub, type Vec3 } from '../linalg/vec3'
import { composed, turnMove, type RigidMove } from '../linalg/mat3'
import { rigidly, type BodyMove } from '../placement/bodyMove'
import { mountedColumns } from '../placement/mountedColumns'
import type { Build } from '../project/build'
import type { Gap } from '../project/gap'
import type { LeverKind } from '../project/lever'
import reference from '../testdata/clearance.json'
import { radians } from '../units/angle'
import { gapColumns, gapFlat } from './gapColumns'

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
