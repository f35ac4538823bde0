import { PLUS_TIMES, SIZE } from '../columns/arithmetic'
import { moveStep, scalarStep, vectorStep, type Column, type Graph, type MoveColumns, type VectorColumns } from '../columns/graph'
import type { Kernel, Row } from '../columns/kernel'
import { allKnown, known, type Known, type Missing } from '../known'
import { MOVED_POINT, TURNED_DIRECTION } from '../linalg/moveKernels'
import type { Vec3 } from '../linalg/vec3'
import type { Axle, BodyId, Build, LeverKind } from '../project/build'
import type { Id } from '../project/id'
import { vectorAt } from '../readings/geometry'
import { radians } from '../units/angle'
import { holdProblem, MOUNT_MOVES, POWERTRAIN_MOVE, type MountMoves } from './powertrainMove'

/** How one body moves. */
export interface BodyMove {
  readonly body: BodyId
  readonly columns: MoveColumns
  /** The amounts it moves by, in mm or degrees: while all are nought it stands as measured. */
  readonly amounts: readonly Column[]
  /** What was taken for granted about the points it turns about; or why it cannot be moved at all. */
  readonly basis: Known<null>
  /** Why no move comes out of amounts that go too far. */
  readonly tooFar: Missing
}

const MOUNT_KEYS: Readonly<Record<Exclude<LeverKind, 'wedge'>, keyof MountMoves>> = {
  'front-left-up': 'frontLeftUp',
  'front-right-up': 'frontRightUp',
  'tail-up': 'tailUp',
  fore: 'fore',
  sideways: 'sideways',
  'tail-sideways': 'tailSideways',
}

/** Levers of a build by their id, as sources of a graph: amounts in mm or degrees. */
export type LeverColumns = ReadonlyMap<Id, Column>

/** The powertrain on its mounts; null when no lever moves it. */
export function powertrainColumns(
  graph: Graph,
  build: Build,
  levers: LeverColumns,
  point: (id: Id) => Known<VectorColumns>,
): BodyMove | null {
  const amounts = build.levers.flatMap((lever) => (lever.kind === 'wedge' ? [] : (levers.get(lever.id) ?? [])))
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
  if (!mounts.known) return { ...moves, basis: mounts, columns: heldMove(graph, amounts) }
  const places = mounts.value.flat()
  return {
    ...moves,
    basis: known(null, mounts.assumptions),
    columns: moveStep(graph, POWERTRAIN_MOVE, [...places, ...MOUNT_MOVES.map(amountOf)]),
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

/** An axle that turns about its centre by wedges and by a rise of its nose, in degrees; null when nothing turns it. */
export function axleColumns(
  graph: Graph,
  build: Build,
  axle: Axle,
  levers: LeverColumns,
  rise: Column | null,
  point: (id: Id) => Known<VectorColumns>,
): BodyMove | null {
  const wedges = build.levers.flatMap((lever) =>
    lever.kind === 'wedge' && lever.axle === axle.id ? (levers.get(lever.id) ?? []) : [],
  )
  const amounts = rise === null ? wedges : [...wedges, rise]
  if (amounts.length === 0) return null
  const tooFar = { what: `${axle.name}: it cannot be turned that far`, path: '' }
  const moves = { body: axle.id, amounts, tooFar }
  const centre =
    axle.centre === undefined
      ? refused(`${axle.name}: its centre was not read, so it cannot be turned`)
      : point(axle.centre)
  if (!centre.known) return { ...moves, basis: centre, columns: heldMove(graph, amounts) }
  // Right-handed about +Y dips the front of a body, so a forward nose rises against it.
  const sense = axle.noseFaces === 'forward' ? -1 : 1
  return {
    ...moves,
    basis: known(null, centre.assumptions),
    columns: moveStep(graph, AXLE_TURN, [summed(graph, amounts), ...centre.value], [sense]),
  }
}

/** The turn of an axle about the cross axis through its centre: from the angle in degrees and the centre in mm. */
const AXLE_TURN: Kernel = {
  name: 'turn of the axle about its centre',
  page: 'placement',
  outputs: 12,
  run: (
    count,
    [angleDeg, x, , z],
    [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz],
    [sense],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const angle = sense * radians(angleDeg[i])
      const cosine = Math.cos(angle)
      const sine = Math.sin(angle)
      r00[i] = cosine
      r01[i] = 0
      r02[i] = sine
      r10[i] = 0
      r11[i] = 1
      r12[i] = 0
      r20[i] = -sine
      r21[i] = 0
      r22[i] = cosine
      sx[i] = x[i] - (cosine * x[i] + sine * z[i])
      sy[i] = 0
      sz[i] = z[i] - (cosine * z[i] - sine * x[i])
    }
  },
}

/** A body that cannot be moved: it stands as measured while nothing is asked of it, else it has no place. */
const HELD: Kernel = {
  name: 'a body that cannot be moved yet',
  page: 'placement',
  outputs: 12,
  run: (count, [amount], [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz]) => {
    for (let i: Row = 0; i < count; i++) {
      const still = amount[i] === 0 ? 0 : NaN
      for (const zero of [r01, r02, r10, r12, r20, r21, sx, sy, sz]) zero[i] = still
      for (const one of [r00, r11, r22]) one[i] = 1 + still
    }
  },
}

const heldMove = (graph: Graph, amounts: readonly Column[]): MoveColumns =>
  // Sizes are added up, so that amounts that undo each other still ask for a move.
  moveStep(graph, HELD, [
    summed(
      graph,
      amounts.map((amount) => scalarStep(graph, SIZE, [amount])),
    ),
  ])

function summed(graph: Graph, amounts: readonly Column[]): Column {
  const [first, ...rest] = amounts
  return rest.reduce((sum, amount) => scalarStep(graph, PLUS_TIMES, [sum, amount], [1]), first ?? graph.source(0))
}

const refused = (what: string, path = ''): Known<never> => ({ known: false, missing: [{ what, path }] })

/** Where a point of a body goes. */
export const movedPoint = (graph: Graph, move: BodyMove | null, place: VectorColumns): VectorColumns =>
  move ? vectorStep(graph, MOVED_POINT, [...move.columns, ...place]) : place

/** Where an axis of a body points. */
export const movedAxis = (graph: Graph, move: BodyMove | null, axis: VectorColumns): VectorColumns =>
  move ? vectorStep(graph, TURNED_DIRECTION, [...move.columns.slice(0, 9), ...axis]) : axis
