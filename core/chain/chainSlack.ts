import { KEPT_PLAY, SLACK } from '../sprockets/chainKernels'
import { DIFFERENCE } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph, type FigureOf } from '../base/columns/graph'
import type { Build } from '../file/build/build'
import type { ChainLine } from '../file/parts/chainLine'
import {
  chainRun,
  slackQuantity,
  type ChainColumns,
  type ChainLengthColumns,
  type ChainSlackColumns,
  type CompiledChain,
  type ExtremeColumns,
} from './compiledChain'

/** How much a chain hangs. */
export interface ChainSlack {
  readonly lengthMm: number
  readonly by: 'links' | 'reading'
  /** Of the chain beyond what it needs; below nought it is too short. */
  readonly excessMm: number
  readonly spanMm: number
  /** Total movement of the slack run at its middle, with all the slack in it; null where it is too short. */
  readonly playMm: number | null
  /** From and to of the movement that is wanted. */
  readonly wantedMm: readonly [number, number] | null
}

/** What slack is wanted, in percent of the run: between its warnings. */
function wantedPercentOf(
  build: Build,
  chain: Pick<CompiledChain, 'isUpright'>,
): readonly [number, number] | null {
  const quantity = slackQuantity(chain)
  const limit = build.limits.entries.find((one) => one.quantity === quantity && one.scope === 'ride')
  const [low, high] = [limit?.warnBelow ?? limit?.failBelow, limit?.warnAbove ?? limit?.failAbove]
  return low === undefined || high === undefined ? null : [low, high]
}

/** Slack of a chain at ride height, and what is wanted there so that the tightest place of its travel keeps its own. */
export function slackColumns(
  graph: Graph,
  build: Build,
  of: Pick<CompiledChain, 'chain' | 'slackSpan' | 'isUpright'>,
  {
    ride,
    length,
    extremes,
  }: { ride: ChainColumns; length: ChainLengthColumns; extremes: ExtremeColumns | null },
): ChainSlackColumns {
  const { lengthMm, by } = length
  const { neededMm } = ride
  const spanMm = chainRun(ride, of.slackSpan)
  const tightest = extremes?.tightest ?? { neededMm, spanMm }
  const wantedPercent = wantedPercentOf(build, of)
  const wanted = (percent: number): Column =>
    scalarStep(graph, KEPT_PLAY, [neededMm, spanMm, tightest.neededMm, tightest.spanMm], [percent])
  return {
    by,
    lengthMm,
    neededMm,
    spanMm,
    ...hanging(graph, of.chain, [lengthMm, neededMm, spanMm]),
    moreMm: extremes ? scalarStep(graph, DIFFERENCE, [tightest.neededMm, neededMm]) : graph.source(0),
    wantedPercent,
    wantedMm: wantedPercent && [wanted(wantedPercent[0]), wanted(wantedPercent[1])],
  }
}

/** What a chain has beyond need, the movement of its run, and that in percent of it: from its length, the one needed, and the run. */
export function hanging(graph: Graph, { name }: ChainLine, from: readonly [Column, Column, Column]) {
  const [excessMm, playMm, percent] = graph.step(SLACK, from) as readonly [Column, Column, Column]
  graph.name([excessMm], `${name}: length beyond what it needs`)
  graph.name([playMm], `${name}: movement of its slack run`, 'mm')
  graph.name([percent], `${name}: slack`)
  return { excessMm, playMm, percent }
}

/** The slack as the levers stand. */
export function slackAt(columns: ChainSlackColumns, figure: FigureOf): ChainSlack {
  const excessMm = figure(columns.excessMm)
  const { wantedMm, by } = columns
  return {
    lengthMm: figure(columns.lengthMm),
    by,
    excessMm,
    spanMm: figure(columns.spanMm),
    playMm: excessMm < 0 ? null : figure(columns.playMm),
    wantedMm: wantedMm && [figure(wantedMm[0]), figure(wantedMm[1])],
  }
}
