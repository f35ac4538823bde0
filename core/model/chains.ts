import type { WheelPlace } from '../check/check'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../columns/graph'
import { chainLength } from '../chain/chainDrive'
import {
  LENGTH_BY_SLACK,
  lieDeg,
  PERCENT_OF,
  roundKernel,
  SPROCKETS_ALIGNED,
  type ToldLoop,
} from '../chain/chainKernels'
import type { Row } from '../columns/kernel'
import { known, mapKnown, unknown, type Known } from '../known'
import type { Build } from '../project/build'
import { drivenIndex, largestIndex, sprocketName, type ChainLine } from '../project/chainLine'
import { measuredSlack } from '../readings/chainReadings'
import type { MeasuredModel } from '../readings/geometry'
import { chainDuty } from '../strength/chainDuty'
import type { LeverColumns } from '../placement/bodyMove'
import { chainPlans } from './chainPlans'
import {
  closed,
  shapeOf,
  tightRuns,
  type AlignedColumns,
  type ChainColumns,
  type ChainLengthColumns,
  type CompiledChain,
  type CompiledChainPlace,
} from './compiledChain'
import { sprocketPoses, type SprocketPose } from './sprocketPoses'
import type { PlacedState, Places } from './places'

/**
 * All chains of a build, as columns of its graph.
 *
 * @param named - named places of the wheels that a chain is looked at in; none for one that does not go along
 * @param between - places of the wheels besides the named ones
 * @param isOnlyBetween - for these alone, none of the named ones
 */
export function compileChains(
  build: Build,
  measured: MeasuredModel,
  places: Places,
  levers: LeverColumns,
  named: (chain: ChainLine) => readonly WheelPlace[],
  between: readonly WheelPlace[] = [],
  isOnlyBetween = false,
): CompiledChain[] {
  return (build.chains ?? []).map((chain) => {
    const at = named(chain)
    const goes = at.length > 0
    const wanted = isOnlyBetween ? (goes ? between : []) : [null, ...at, ...(goes ? between : [])]
    return compileChain(build, measured, places, levers, chain, wanted, goes)
  })
}

function compileChain(
  build: Build,
  measured: MeasuredModel,
  places: Places,
  levers: LeverColumns,
  chain: ChainLine,
  wanted: readonly (WheelPlace | null)[],
  isTravelling: boolean,
): CompiledChain {
  const { graph } = measured
  const shape = shapeOf(chain)
  const round = roundKernel(shape)
  const poses = sprocketPoses(build, measured, places, levers, chain)
  const columnsIn = (placed: PlacedState): Known<ChainColumns> =>
    mapKnown(poses.at(placed), (stand) => chainColumns(graph, chain, round, stand))
  const ride = columnsIn(places.placed(null, null))
  const loop = mapKnown(ride, ({ poses: stand }) => closed(shape, stand, graph.at))
  const found = loop.known && loop.value.known ? loop.value.value : null
  const slackSpan = found ? slackOf(chain, found) : null
  const run = found && slackSpan !== null ? found.spans[slackSpan] : undefined
  const isUpright = run !== undefined && lieDeg(run) > UPRIGHT_DEG
  const length = lengthOf(build, measured, places, chain, slackSpan, columnsIn)
  const duty = chain.duty === 'drive' ? chainDuty(build, chain) : unknown(`${chain.name}: it drives nothing`)
  const stands = wanted.map((at): CompiledChainPlace => {
    const placed = places.placed(at ? { state: 'ride', at, noseUpDeg: known(0) } : null, null)
    const columns = at === null ? ride : columnsIn(placed)
    return { at, placed, columns }
  })
  const compiled = {
    chain,
    shape,
    length,
    slackSpan,
    isUpright,
    isTravelling,
    duty,
    places: stands,
    angles: poses.angles,
  }
  const plans = stands.flatMap((place) => chainPlans(build, graph, compiled, place))
  return { ...compiled, plans }
}

/** A run steeper than this counts as upright. */
const UPRIGHT_DEG = 45

/** The longest of the runs that are not pulled; of a chain that is pulled both ways, the longest of all. */
function slackOf(chain: ChainLine, loop: ToldLoop): number {
  const tight = tightRuns(chain, loop)
  const free = loop.spans.flatMap(({ lengthMm }, i) =>
    chain.duty !== 'drive' || !tight[i] ? [{ lengthMm, i }] : [],
  )
  return free.reduce(
    (most, one) => (one.lengthMm > most.lengthMm ? one : most),
    free[0] ?? { lengthMm: 0, i: 0 },
  ).i
}

function chainColumns(
  graph: Graph,
  chain: ChainLine,
  round: ReturnType<typeof roundKernel>,
  poses: readonly SprocketPose[],
): ChainColumns {
  const many = poses.length
  const [first] = poses
  const [neededMm, centreMm, ...rest] = graph.step(round, [
    ...(first?.direction ?? []),
    ...poses.flatMap(({ point }) => point),
  ])
  const lies = [first?.isLengthwise ? 1 : 0]
  // Offsets are told as a share of the way from the first shaft to the one it drives.
  const wholeMm = distance(graph, first?.point, poses[drivenIndex(chain)]?.point)
  const aligned = poses.slice(1).map((pose, i): AlignedColumns => {
    const from = [
      ...(first?.point ?? []),
      ...(first?.direction ?? []),
      ...pose.point,
      ...pose.direction,
      ...(poses[largestIndex(chain)] ?? pose).direction,
    ]
    const [offsetMm, yawDeg, tiltDeg, angleDeg] = graph.step(
      SPROCKETS_ALIGNED,
      from,
      lies,
    ) as unknown as readonly [Column, Column, Column, Column]
    const offsetPercent = scalarStep(graph, PERCENT_OF, [offsetMm, wholeMm])
    const name = `${chain.name}: ${sprocketName(chain.sprockets[i + 1] ?? { teeth: 0 })}`
    graph.name([offsetMm], `${name} to the left of the line`)
    graph.name([yawDeg], `${name} turned, seen from above`)
    graph.name([tiltDeg], `${name} leant`)
    graph.name([angleDeg], `${name} against the first sprocket`)
    return { offsetMm, offsetPercent, yawDeg, tiltDeg, angleDeg }
  })
  const columns = {
    poses,
    neededMm: neededMm as Column,
    centreMm: centreMm as Column,
    wrapsDeg: rest.slice(0, many),
    spansMm: rest.slice(many),
    aligned,
  }
  graph.name([columns.neededMm], `${chain.name}: length it needs`)
  graph.name([columns.centreMm], `${chain.name}: from shaft to shaft`)
  return columns
}

const distance = (graph: Graph, from: VectorColumns | undefined, to: VectorColumns | undefined): Column =>
  scalarStep(graph, DISTANCE, [...(from ?? []), ...(to ?? [])])

const DISTANCE = {
  name: 'from shaft to shaft',
  page: 'chains',
  outputs: 1,
  isPlain: true,
  run: (count, [ax, ay, az, bx, by, bz], [far]) => {
    for (let i: Row = 0; i < count; i++) far[i] = Math.hypot(bx[i] - ax[i], by[i] - ay[i], bz[i] - az[i])
  },
} as const satisfies Parameters<Graph['step']>[0]

/** Length of the chain: what was felt goes before what its links say. */
function lengthOf(
  build: Build,
  { context, graph }: MeasuredModel,
  places: Places,
  chain: ChainLine,
  slackSpan: number | null,
  columnsIn: (placed: PlacedState) => Known<ChainColumns>,
): Known<ChainLengthColumns> {
  const slack = measuredSlack(context, chain)
  if (slack?.known) {
    const { figure, span, trial } = slack.value
    const then = columnsIn(places.inTrial(trial))
    return mapKnown(then, ({ neededMm, spansMm }) => {
      const run = spansMm[span ?? slackSpan ?? 0] ?? neededMm
      const lengthMm = scalarStep(graph, LENGTH_BY_SLACK, [neededMm, run, figure])
      graph.name([lengthMm], `${chain.name}: its length, by the slack as felt`)
      return { lengthMm, by: 'reading' }
    })
  }
  if (slack && !slack.known) return slack
  const { links, wearPercent = 0, pitchMm } = chain
  if (links === undefined) {
    const index = build.chains?.indexOf(chain) ?? 0
    return unknown(`${chain.name}: how many links it has, or its slack`, `chains[${index}].links`)
  }
  const lengthMm = graph.source(chainLength({ links, wear: wearPercent / 100 }, pitchMm))
  graph.name([lengthMm], `${chain.name}: its length, by its links`)
  return known({ lengthMm, by: 'links' })
}
