import { moveStep, type Graph, type VectorColumns } from '../columns/graph'
import { allKnown, known, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Build, LeverKind } from '../project/build'
import type { Id } from '../project/id'
import { vectorAt } from '../readings/geometry'
import { rigidly, summed, type BodyMove, type LeverColumns } from './bodyMove'
import { heldBody, refused } from './heldBody'
import { holdProblem, MOUNT_MOVES, POWERTRAIN_MOVE, type MountMoves } from './powertrainMove'

const MOUNT_KEYS: Readonly<Record<Exclude<LeverKind, 'wedge'>, keyof MountMoves>> = {
  'front-left-up': 'frontLeftUp',
  'front-right-up': 'frontRightUp',
  'tail-up': 'tailUp',
  fore: 'fore',
  sideways: 'sideways',
  'tail-sideways': 'tailSideways',
}

/** The powertrain on its mounts; null when no lever moves it. */
export function powertrainColumns(
  graph: Graph,
  build: Build,
  levers: LeverColumns,
  point: (id: Id) => Known<VectorColumns>,
): BodyMove | null {
  const amounts = build.levers.flatMap((lever) =>
    lever.kind === 'wedge' ? [] : (levers.get(lever.id) ?? []),
  )
  if (amounts.length === 0) return null
  const amountOf = (key: keyof MountMoves) =>
    summed(
      graph,
      build.levers.flatMap((lever) =>
        lever.kind !== 'wedge' && MOUNT_KEYS[lever.kind] === key ? (levers.get(lever.id) ?? []) : [],
      ),
    )
  const tooFar = { what: 'powertrain: its mounts cannot stand that far apart', path: '' }
  const moves = { body: 'powertrain', amounts, tooFar } as const
  const mounts = mountColumns(graph, build, point)
  if (!mounts.known) return { ...moves, basis: mounts, ...heldBody(graph, amounts) }
  const places = mounts.value.flat()
  const move = moveStep(graph, POWERTRAIN_MOVE, [...places, ...MOUNT_MOVES.map(amountOf)])
  graph.name(move, 'powertrain, moved on its mounts')
  return {
    ...moves,
    basis: known(null, mounts.assumptions),
    ...rigidly(graph, move),
  }
}

type MountColumns = readonly [VectorColumns, VectorColumns, VectorColumns]

/** The mounts, front left and right and tail; unknown where they were not read or do not hold the powertrain. */
function mountColumns(
  graph: Graph,
  build: Build,
  point: (id: Id) => Known<VectorColumns>,
): Known<MountColumns> {
  const { mounts } = build.powertrain
  if (!mounts)
    return refused('powertrain: its mounts were not read, so it cannot be moved', 'powertrain.mounts')
  const read = allKnown<MountColumns>([point(mounts.frontLeft), point(mounts.frontRight), point(mounts.tail)])
  if (!read.known) return read
  const [frontLeft, frontRight, tail] = read.value.map(vectorAt(graph.at)) as [Vec3, Vec3, Vec3]
  const problem = holdProblem({ frontLeft, frontRight, tail })
  return problem === null ? read : refused(`powertrain: ${problem}`)
}
