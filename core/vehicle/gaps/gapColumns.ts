import { scalarStep, vectorStep, type Column, type Graph, type VectorColumns } from '../../base/columns/graph'
import { allKnown, mapKnown, type Known } from '../../base/known'
import { unit, type Vec3 } from '../../base/linalg/vec3'
import type { BodyMove } from '../moves/bodyMove'
import type { Gap } from '../../file/parts/gap'
import type { MeasuredGap } from '../../measure/points/gapReading'
import { carriedDirection, carriedPoint, undone } from './carried'
import { FLAT_BEYOND, GAP_TO_FLAT } from './gapKernels'

/** What stands on the two sides of a gap in one pose of the vehicle: the moves that each has made since the first trial. */
export interface GapPose {
  readonly own: readonly BodyMove[]
  readonly obstacle: readonly BodyMove[]
}

/** A gap as columns in one pose. */
export interface GapColumns {
  /** In mm; below nought the point lies that deep in the obstacle. */
  readonly gap: Column
  /** Where the touch point stands. */
  readonly point: VectorColumns
  /** Unit direction from it toward the obstacle. */
  readonly toward: VectorColumns
}

/** The flat that a gap was read to, as it stood in the first trial. */
export interface GapFlat {
  readonly point: VectorColumns
  readonly onFlat: VectorColumns
  readonly toward: VectorColumns
}

/** Unit direction of a gap, as sources of a graph. */
function towardColumns(graph: Graph, { name, toward }: Pick<Gap, 'name' | 'toward'>): VectorColumns {
  const columns = unit(toward as Vec3).map((part) => graph.source(part)) as unknown as VectorColumns
  graph.name(columns, `${name}: which way it was read`)
  return columns
}

/**
 * The flat that a gap was read to: it passes through the end of the gap, square to it, and is fixed in the obstacle's own body.
 *
 * @param point - where the touch point stood in the first trial
 * @param pose - in which the gap was read
 * @see docs/methods/gaps.md
 */
export function gapFlat(
  graph: Graph,
  gap: Gap,
  point: Known<VectorColumns>,
  read: Known<MeasuredGap>,
  pose: GapPose,
): Known<GapFlat> {
  return mapKnown(allKnown<[VectorColumns, MeasuredGap]>([point, read]), ([place, { figure }]) => {
    const direction = towardColumns(graph, gap)
    const stood = carriedPoint(pose.own, place)
    const end = vectorStep(graph, FLAT_BEYOND, [...stood, figure, ...direction])
    const back = undone(graph, pose.obstacle)
    return { point: place, onFlat: back.point(end), toward: back.direction(direction) }
  })
}

/** The gap in a pose: the flat is carried along by its body, the touch point by its own. */
export function gapColumns(graph: Graph, { point, onFlat, toward }: GapFlat, pose: GapPose): GapColumns {
  const stands = carriedPoint(pose.own, point)
  const end = carriedPoint(pose.obstacle, onFlat)
  const direction = carriedDirection(pose.obstacle, toward)
  return {
    gap: scalarStep(graph, GAP_TO_FLAT, [...stands, ...end, ...direction]),
    point: stands,
    toward: direction,
  }
}
