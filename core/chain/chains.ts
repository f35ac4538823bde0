import type { WheelPlace } from '../check/check'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import { chainLength, driveForces } from '../sprockets/chainDrive'
import {
  LENGTH_BY_SLACK,
  lieDeg,
  PERCENT_OF,
  roundKernel,
  SPROCKETS_ALIGNED,
  type ChainShape,
  type ToldLoop,
} from '../sprockets/chainKernels'
import type { Row } from '../base/columns/kernel'
import { allKnown, andThen, known, mapKnown, unknown, type Known } from '../base/known'
import type { Build } from '../file/build/build'
import { drivenIndex, largestIndex, sprocketName, type ChainLine } from '../file/parts/chainLine'
import { measuredSlack } from '../measure/points/chainReadings'
import type { MeasuredModel } from '../measure/geometry/geometry'
import { chainDuty } from '../vehicle/strength/chainDuty'
import type { LeverColumns } from '../vehicle/moves/bodyMove'
import { adjusterColumns } from './chainAdjuster'
import { chainPlans } from './chainPlans'
import { slackColumns } from './chainSlack'
import { extremeColumnsOf, type ExtremePlaces } from './chainTravel'
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
import type { PlacedState } from '../stand/placedState'
import type { Places } from '../stand/places'

/** What chains are compiled on. */
export interface ChainGround {
  readonly build: Build
  readonly measured: MeasuredModel
  readonly places: Places
  readonly levers: LeverColumns
}

/** Where a chain is looked at. */
export interface ChainPlan {
  /** Places of the wheels; null for ride height. */
  readonly at: readonly (WheelPlace | null)[]
  /** Of a chain that goes along with wheels: where it is tightest and slackest. */
  readonly extremes: ExtremePlaces | null
  readonly isTravelling: boolean
}

/** A chain of a build, as columns of its graph. */
export function compileChain(
  ground: ChainGround,
  chain: ChainLine,
  plan: ChainPlan,
): Omit<CompiledChain, 'swept'> {
  const { build, places } = ground
  const { graph } = ground.measured
  const shape = shapeOf(chain)
  const round = roundKernel(shape)
  const poses = sprocketPoses(build, ground.measured, places, ground.levers, chain)
  const columnsIn = (placed: PlacedState): Known<ChainColumns> =>
    mapKnown(poses.at(placed), (stand) => chainColumns(graph, chain, round, stand))
  const placedAt = (at: WheelPlace | null) =>
    places.placed(at ? { state: 'ride', at, noseUpDeg: known(0) } : null, null)
  const ride = columnsIn(placedAt(null))
  const hangs = slackRunOf(chain, shape, ride, graph.at)
  const length = lengthOf(ground, chain, hangs.slackSpan, columnsIn)
  const extremes =
    plan.extremes &&
    extremeColumnsOf(graph, chain, hangs.slackSpan, plan.extremes, (id) => {
      const columns = columnsIn(placedAt({ id, name: '' }))
      return columns.known ? columns.value : null
    })
  const slack = mapKnown(allKnown([ride, length] as const), ([at, { lengthMm, by }]) =>
    slackColumns(graph, build, { chain, ...hangs }, { ride: at, length: { lengthMm, by }, extremes }),
  )
  const duty = chain.duty === 'drive' ? chainDuty(build, chain) : unknown(`${chain.name}: it drives nothing`)
  const compiled = {
    chain,
    shape,
    length,
    extremes,
    slack,
    adjuster: plan.at.includes(null) ? adjusterColumns({ ...ground, graph }, chain, slack) : null,
    ...hangs,
    isTravelling: plan.isTravelling,
    duty,
    forces: mapKnown(duty, ({ torqueNm, speedRpm }) =>
      driveForces(
        {
          teeth: [chain.sprockets[0]?.teeth ?? NaN, chain.sprockets[shape.driven]?.teeth ?? NaN],
          pitchMm: chain.pitchMm,
        },
        { rpm: speedRpm, torqueNm, tensileN: chain.tensileN, massKgPerM: chain.massKgPerM },
      ),
    ),
    places: plan.at.map((at): CompiledChainPlace => {
      const placed = placedAt(at)
      return { at, placed, columns: at === null ? ride : columnsIn(placed) }
    }),
    angles: poses.angles,
  }
  return { ...compiled, plans: compiled.places.flatMap((place) => chainPlans(build, graph, compiled, place)) }
}

/** Which run of a chain hangs, and whether it stands upright, as measured. */
function slackRunOf(
  chain: ChainLine,
  shape: ChainShape,
  ride: Known<ChainColumns>,
  at: (column: Column) => number,
): Pick<CompiledChain, 'slackSpan' | 'isUpright'> {
  const loop = andThen(ride, ({ poses }) => closed(shape, poses, at))
  if (!loop.known) return { slackSpan: null, isUpright: false }
  const slackSpan = slackOf(chain, loop.value)
  const run = loop.value.spans[slackSpan]
  return { slackSpan, isUpright: run !== undefined && lieDeg(run) > UPRIGHT_DEG }
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
    for (let i: Row = 0; i < count; i++) {
      const x = bx[i] - ax[i]
      const y = by[i] - ay[i]
      const z = bz[i] - az[i]
      far[i] = Math.sqrt(x * x + y * y + z * z)
    }
  },
} as const satisfies Parameters<Graph['step']>[0]

/** Length of the chain: what was felt goes before what its links say. */
function lengthOf(
  { build, measured: { context, graph }, places }: ChainGround,
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
