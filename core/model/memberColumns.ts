import { DIFFERENCE, PLUS_TIMES, SIZE } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import { known, unknown, type Known } from '../base/known'
import type { Crossmember, MemberWay } from '../file/kinds/memberKinds'
import { MEMBER_FLATTENED } from '../making/crossmembers/flattenedKernel'
import * as kernels from '../making/crossmembers/memberKernels'
import { MEMBER_MOVED, MOVED_SHARE } from '../making/crossmembers/oldBarKernel'
import * as made from '../making/crossmembers/memberWay'
import type { CompiledGap } from './gaps'

/** Figures of one way to make a crossmember, by their names in the published result. */
export const MEMBER_FIGURES = [
  ...(['fromLeftMm', 'fromRightMm', 'aheadMm', 'overLeftMm', 'overRightMm', 'blankMm'] as const),
  ...(['firstMm', 'secondMm', 'thirdMm', 'fourthMm', 'turnLeftDeg', 'turnRightDeg'] as const),
  ...(['straightMm', 'fillMm', 'sharePercent', 'sagMm', 'lowestMm', 'groundMm'] as const),
  ...(['plateForwardMm', 'plateInLeftMm', 'plateInRightMm', 'plateUpLeftMm', 'plateUpRightMm'] as const),
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
): Known<WayColumns> {
  if (way.kind === 'old' && !made.oldBarOf(way).known) return made.oldBarOf(way) as Known<never>
  const span = spanColumns(
    graph,
    graph.step(kernels.MEMBER_SPAN, [...left, ...right, ...pad], [member.bushMm]),
  )
  const [belowRails, belowFace] = made.hangsBelow(member, way)
  const lowestMm = scalarStep(
    graph,
    kernels.MEMBER_LOW,
    [left[2], right[2], pad[2]],
    [belowRails, belowFace + member.bushMm],
  )
  const shape = shapeColumns(graph, member, way, span)
  return known({
    ...span,
    ...shape,
    lowestMm,
    ...(member.loadN !== undefined && loadColumns(graph, member, way, member.loadN, { ...span, ...shape })),
    ...(level.known && { groundMm: scalarStep(graph, DIFFERENCE, [lowestMm, level.value]) }),
  })
}

/** What it bears under its load, and how far it sags. */
function loadColumns(
  graph: Graph,
  member: Crossmember,
  way: MemberWay,
  loadN: number,
  shape: SpanColumns & WayColumns,
): WayColumns {
  const old = ownOf(way)
  const flattened = made.flattenedParameters(loadN, way)
  const told = [shape.fromLeftMm, shape.fromRightMm, shape.aheadMm]
  const own = old && [old.leftMm, old.rightMm, old.aheadMm].map((mm) => graph.source(mm))
  const [sharePercent, sagMm] = flattened
    ? graph.step(MEMBER_FLATTENED, told.slice(0, 2), flattened)
    : graph.step(kernels.MEMBER_BENDING, own ?? told, made.bendingParameters(loadN, way))
  if (!old || sharePercent === undefined || shape.plateForwardMm === undefined) return { sharePercent, sagMm }
  const most = (loadN * Math.max(old.leftMm, old.rightMm)) / (old.leftMm + old.rightMm)
  const plate = [most, made.plateModulus(member, way), way.yieldMPa]
  return {
    sharePercent: scalarStep(graph, MOVED_SHARE, [shape.plateForwardMm, sharePercent], plate),
    sagMm,
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
  const old = ownOf(way)
  if (old) return oldColumns(graph, way, old, span)
  const stock = made.stockOf(way)
  const raised = made.raisedBy(member, way)
  if (!stock) {
    // On ledges it lies level, whatever the rails do.
    const isLevel = way.kind === 'ledges'
    // What is coped ends at the tubes that it lies between.
    const beyond = way.kind === 'coped' ? 0 : member.endMm
    const from = [fromLeftMm, fromRightMm, overLeftMm, isLevel ? overLeftMm : overRightMm]
    const [blankMm, fillMm] = graph.step(kernels.MEMBER_STRAIGHT, from, [beyond, raised])
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

/** How far its plates take an old bar, and how long they are: from hole to hole along the vehicle, and the bar's width. */
function oldColumns(graph: Graph, way: MemberWay, old: made.OldBar, span: SpanColumns): WayColumns {
  const from = [span.fromLeftMm, span.fromRightMm, span.aheadMm, span.overLeftMm, span.overRightMm]
  const own = [old.leftMm, old.rightMm, old.aheadMm, old.upMm]
  const [plateForwardMm, plateInLeftMm, plateInRightMm, plateUpLeftMm, plateUpRightMm] = graph.step(
    MEMBER_MOVED,
    from,
    own,
  )
  if (plateForwardMm === undefined) return {}
  const long = scalarStep(graph, SIZE, [plateForwardMm])
  const blankMm = scalarStep(graph, PLUS_TIMES, [long, graph.source(way.widthMm ?? NaN)], [1])
  return { blankMm, plateForwardMm, plateInLeftMm, plateInRightMm, plateUpLeftMm, plateUpRightMm }
}

function ownOf(way: MemberWay): made.OldBar | null {
  const old = made.oldBarOf(way)
  return way.kind === 'old' && old.known ? old.value : null
}
