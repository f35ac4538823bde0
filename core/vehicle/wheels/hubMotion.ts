import {
  moveStep,
  type Column,
  type Graph,
  type MoveColumns,
  type VectorColumns,
} from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import { newCarrierSolver } from '../halfshaft/carrierSolver'
import { allKnown, mapKnown, type Known } from '../../base/known'
import type { HubBody } from '../../file/parts/body'
import {
  SUSPENSION_POINTS,
  type LengthMotion,
  type SuspensionKind,
  type SuspensionMotion,
} from '../../file/parts/hubMotion'
import type { Id } from '../../file/parts/id'
import type { PointOf, WheelColumns } from './axleMotion'
import { unmoved } from '../moves/heldBody'
import { valueAtHeight } from './heightCurve'
import type { HeightInputs } from './heightInputs'
import { SHIFTED } from '../moves/shiftedColumns'

/**
 * The move of a hub by its suspension, in mm: from how far its wheel has come up and the rack has gone to the left, the middle of the wheel, and the
 * points of the suspension. It keeps a solver, which starts each row from the pose of the one before.
 */
function bySuspension(kind: SuspensionKind): Kernel {
  const solver = newCarrierSolver(kind)
  const { points, move } = solver
  return {
    name: 'a hub where its suspension lets it stand',
    isSlow: true,
    page: 'halfshafts',
    outputs: 12,
    run: (count, columns, written) => {
      const from = columns as unknown as readonly Float64Array[]
      const to = written as unknown as readonly Float64Array[]
      for (let i = 0; i < count; i++) {
        for (let k = 0; k < points.length; k++) points[k] = from[2 + k]?.[i] as number
        solver.take()
        solver.solve(from[0]?.[i] as number, from[1]?.[i] as number)
        for (let part = 0; part < 12; part++) (to[part] as Float64Array)[i] = move[part] as number
      }
    },
  }
}

/** The move of a hub by the points of its suspension. */
export function suspensionMove(
  graph: Graph,
  hub: HubBody,
  motion: SuspensionMotion,
  { leftUp, rack }: WheelColumns,
  point: PointOf,
): Known<MoveColumns> {
  if (hub.centre === undefined)
    return unmoved(`${hub.name}: the middle of its wheel was not read, so it cannot be moved with it`)
  const ids: Readonly<Record<string, Id>> = motion.points
  const places = allKnown<VectorColumns[]>([
    point(hub.centre),
    ...SUSPENSION_POINTS[motion.kind].map(({ key }) => point(ids[key] ?? '')),
  ])
  return mapKnown(places, (columns) =>
    moveStep(graph, bySuspension(motion.kind), [leftUp, rack ?? graph.source(0), ...columns.flat()]),
  )
}

/**
 * How far a hub goes forward, to the left and up that goes straight up, and aside by so much that its joint stands as far from the inner one as was
 * measured, in mm: from how far its wheel has come up, both joint centres, and the distances row by row.
 */
const byLengths = (heights: Float64Array): Kernel => {
  const lengths = new Float64Array(heights.length)
  return {
    name: 'a hub by the distances measured at its heights',
    page: 'halfshafts',
    outputs: 3,
    run: (count, columns, [fore, left, upward]) => {
      const [up, ix, iy, iz, ox, oy, oz] = columns
      const read = columns as unknown as readonly Float64Array[]
      for (let i: Row = 0; i < count; i++) {
        for (let row = 0; row < heights.length; row++)
          lengths[row] = (read[READ_FROM + row] as Float64Array)[i] as number
        const length = valueAtHeight(heights, lengths, up[i])
        const x = ox[i] - ix[i]
        const y = oy[i] - iy[i]
        const z = oz[i] - iz[i] + up[i]
        // Nothing where the joints stand further apart in height than they were measured.
        const aside = Math.sqrt(length * length - x * x - z * z)
        const still = Number.isNaN(aside) ? NaN : 0
        fore[i] = still
        left[i] = (y < 0 ? -aside : aside) - y
        upward[i] = up[i] + still
      }
    },
  }
}
/** Column of the first length that was read. */
const READ_FROM = 7

/** The move of a hub by the distances between the joints of its halfshaft, each as sure as the tape it was measured with. */
export function lengthMove(
  graph: Graph,
  hub: HubBody,
  { inner, outer, rows }: LengthMotion,
  { leftUp }: WheelColumns,
  point: PointOf,
  input: HeightInputs,
): Known<MoveColumns> {
  return mapKnown(allKnown([point(inner), point(outer)] as const), ([from, to]) => {
    const lengths = rows.map(({ wheelUpMm, lengthMm }): Column =>
      input({
        body: hub.id,
        field: `length/${wheelUpMm}`,
        label: `${hub.name}, joint to joint with its wheel ${wheelUpMm} mm up`,
        unit: 'mm',
        mean: lengthMm,
      }),
    )
    const heights = rows.map(({ wheelUpMm }) => wheelUpMm)
    return moveStep(
      graph,
      SHIFTED,
      graph.step(byLengths(Float64Array.from(heights)), [leftUp, ...from, ...to, ...lengths]),
    )
  })
}
