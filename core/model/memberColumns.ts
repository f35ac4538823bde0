import { DIFFERENCE } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import { known, unknown, type Known } from '../base/known'
import type { Crossmember, MemberWay } from '../file/kinds/memberKinds'
import * as kernels from '../making/crossmembers/memberKernels'
import * as made from '../making/crossmembers/memberWay'
import type { CompiledGap } from './gaps'

/** Figures of one way to make a crossmember, by their names in the published result. */
export const MEMBER_FIGURES = [
  ...(['fromLeftMm', 'fromRightMm', 'aheadMm', 'overLeftMm', 'overRightMm', 'blankMm'] as const),
  ...(['firstMm', 'secondMm', 'thirdMm', 'fourthMm', 'turnLeftDeg', 'turnRightDeg'] as const),
  ...(['straightMm', 'fillMm', 'sharePercent', 'sagMm', 'lowestMm', 'groundMm'] as const),
] as const
export type MemberFigure = (typeof MEMBER_FIGURES)[number]
export type WayColumns = Readonly<Partial<Record<MemberFigure, Column>>>

/** Where a crossmember sits: the faces of both rails and of the gearbox. */
export interface Seats<T> {
  readonly left: T
  readonly right: T
  readonly pad: T
}

/** Height of the ground, by the gap to it that was read nearest to the bar. */
export function groundLevel(graph: Graph, gaps: readonly CompiledGap[], pad: VectorColumns): Known<Column> {
  const told = gaps.flatMap(({ gap, places }) => {
    const ride = places.find(({ at, state }) => at === null && state === 'ride')
    return gap.kind === 'ground' && ride?.columns.known ? [ride.columns.value] : []
  })
  const away = ({ point }: (typeof told)[number]) => Math.abs(graph.at(point[0]) - graph.at(pad[0]))
  const [nearest] = told.sort((a, b) => away(a) - away(b))
  if (!nearest) return unknown('a gap to the ground, read')
  return known(scalarStep(graph, DIFFERENCE, [nearest.point[2], nearest.gap]))
}

/** All that is worked out of one way to make a crossmember. */
export function wayColumns(
  graph: Graph,
  member: Crossmember,
  way: MemberWay,
  { left, right, pad }: Seats<VectorColumns>,
  level: Known<Column>,
): WayColumns {
  const span = spanColumns(
    graph,
    graph.step(kernels.MEMBER_SPAN, [...left, ...right, ...pad], [member.bushMm]),
  )
  const { fromLeftMm, fromRightMm, aheadMm } = span
  const [belowRails, belowFace] = made.hangsBelow(member, way)
  const lowestMm = scalarStep(
    graph,
    kernels.MEMBER_LOW,
    [left[2], right[2], pad[2]],
    [belowRails, belowFace + member.bushMm],
  )
  const bending =
    member.loadN === undefined
      ? []
      : graph.step(
          kernels.MEMBER_BENDING,
          [fromLeftMm, fromRightMm, aheadMm],
          made.bendingParameters(member.loadN, way),
        )
  const [sharePercent, sagMm] = bending
  return {
    ...span,
    ...shapeColumns(graph, member, way, span),
    lowestMm,
    ...(sharePercent !== undefined && { sharePercent, sagMm }),
    ...(level.known && { groundMm: scalarStep(graph, DIFFERENCE, [lowestMm, level.value]) }),
  }
}

type SpanFigure = 'fromLeftMm' | 'fromRightMm' | 'aheadMm' | 'overLeftMm' | 'overRightMm'
type SpanColumns = Readonly<Record<SpanFigure, Column>>

function spanColumns(graph: Graph, columns: readonly Column[]): SpanColumns {
  const [fromLeftMm, fromRightMm, aheadMm, overLeftMm, overRightMm] = columns as [
    ...[Column, Column, Column, Column, Column],
  ]
  graph.name([fromLeftMm], 'from the left rail to the gearbox', 'mm')
  graph.name([fromRightMm], 'from the right rail to the gearbox', 'mm')
  graph.name([aheadMm], 'the gearbox ahead of the line between the rails', 'mm')
  graph.name([overLeftMm], 'the seat over the left rail', 'mm')
  graph.name([overRightMm], 'the seat over the right rail', 'mm')
  return { fromLeftMm, fromRightMm, aheadMm, overLeftMm, overRightMm }
}

/** The bar itself, laid out straight. */
function shapeColumns(graph: Graph, member: Crossmember, way: MemberWay, span: SpanColumns): WayColumns {
  const { fromLeftMm, fromRightMm, overLeftMm, overRightMm } = span
  const stock = made.stockOf(way)
  const raised = made.raisedBy(member, way)
  if (!stock) {
    // On ledges it lies level, whatever the rails do.
    const isLevel = way.kind === 'ledges'
    const from = [fromLeftMm, fromRightMm, overLeftMm, isLevel ? overLeftMm : overRightMm]
    const [blankMm, fillMm] = graph.step(kernels.MEMBER_STRAIGHT, from, [member.endMm, raised])
    return isLevel ? { blankMm } : { blankMm, fillMm }
  }
  const lift = graph.source(raised)
  const up = (over: Column) => (raised === 0 ? over : scalarStep(graph, DIFFERENCE, [over, lift]))
  const [blankMm, firstMm, secondMm, thirdMm, fourthMm, turnLeftDeg, turnRightDeg, straightMm] = graph.step(
    kernels.MEMBER_BLANK,
    [fromLeftMm, fromRightMm, up(overLeftMm), up(overRightMm)],
    made.blankParameters(member, stock),
  )
  return { blankMm, firstMm, secondMm, thirdMm, fourthMm, turnLeftDeg, turnRightDeg, straightMm }
}
