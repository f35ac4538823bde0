import { moveStep, type Graph, type VectorColumns } from '../../base/columns/graph'
import { allKnown, known, type Known } from '../../base/known'
import type { Vec3 } from '../../base/linalg/vec3'
import type { PowertrainBody, TransferCaseBody } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { LeverKind } from '../../file/build/lever'
import { vectorAt } from '../../measure/geometry/geometry'
import { leversOn, rigidly, summed, type BodyMove, type LeverColumns } from '../moves/bodyMove'
import { heldBody, unmoved } from '../moves/heldBody'
import { holdProblem, MOUNT_MOVES, POWERTRAIN_MOVE, type MountMoves } from './powertrainMove'

const MOUNT_KEYS: Readonly<Partial<Record<LeverKind, readonly (keyof MountMoves)[]>>> = {
  'front-up': ['frontLeftUp', 'frontRightUp'],
  'front-left-up': ['frontLeftUp'],
  'front-right-up': ['frontRightUp'],
  'tail-up': ['tailUp'],
  fore: ['fore'],
  sideways: ['sideways'],
  'tail-sideways': ['tailSideways'],
}

type MountedBody = PowertrainBody | TransferCaseBody

/** A body on its three mounts; null when no lever moves it. */
export function mountedColumns(
  graph: Graph,
  build: Build,
  body: MountedBody,
  levers: LeverColumns,
  point: (id: Id) => Known<VectorColumns>,
): BodyMove | null {
  // Neither an adapter nor a spacer behind a sprocket lifts the body off its mounts.
  const own = leversOn(build, body.id, levers).filter(({ lever }) => lever.kind in MOUNT_KEYS)
  if (own.length === 0) return null
  const amounts = own.map(({ amount }) => amount)
  const amountOf = (key: keyof MountMoves) =>
    summed(
      graph,
      own.flatMap(({ lever, amount }) => (MOUNT_KEYS[lever.kind]?.includes(key) ? [amount] : [])),
    )
  const tooFar = { what: `${body.name}: its mounts cannot stand that far apart`, path: '' }
  const moves = { body: body.id, amounts, tooFar } as const
  const mounts = mountColumns(graph, build, body, point)
  if (!mounts.known) return { ...moves, basis: mounts, ...heldBody(graph, amounts) }
  const places = mounts.value.flat()
  const move = moveStep(graph, POWERTRAIN_MOVE, [...places, ...MOUNT_MOVES.map(amountOf)])
  graph.name(move, `${body.name}, moved on its mounts`)
  return {
    ...moves,
    basis: known(null, mounts.assumptions),
    ...rigidly(graph, move),
  }
}

type MountColumns = readonly [VectorColumns, VectorColumns, VectorColumns]

/** The mounts, front left and right and tail; unknown where they were not read or do not hold the body. */
function mountColumns(
  graph: Graph,
  build: Build,
  { id, name, mounts }: MountedBody,
  point: (id: Id) => Known<VectorColumns>,
): Known<MountColumns> {
  if (!mounts) {
    const index = build.bodies.findIndex((body) => body.id === id)
    return unmoved(`${name}: its mounts were not read, so it cannot be moved`, `bodies[${index}].mounts`)
  }
  const read = allKnown<MountColumns>([point(mounts.frontLeft), point(mounts.frontRight), point(mounts.tail)])
  if (!read.known) return read
  const [frontLeft, frontRight, tail] = read.value.map(vectorAt(graph.at)) as [Vec3, Vec3, Vec3]
  const problem = holdProblem({ frontLeft, frontRight, tail })
  return problem === null ? read : unmoved(`${name}: ${problem}`)
}
