import {
  chainCheck,
  slackLimitsOfTravel,
  type ChainFigure,
  type PlannedChainCheck,
} from '../check/chainChecks'
import type { WheelPlace } from '../check/check'
import { DIFFERENCE, TIMES } from '../columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../columns/graph'
import { chainLength } from '../chain/chainDrive'
import {
  BACKLASH_DEG,
  inChainPlane,
  chainPlane,
  LENGTH_BY_SLACK,
  lieDeg,
  loopOf,
  PERCENT_OF,
  roundKernel,
  SLACK_PERCENT,
  SPROCKETS_ALIGNED,
  type ChainShape,
  type ToldLoop,
} from '../chain/chainKernels'
import { outsideDiameter, pitchRadius } from '../chain/sprocket'
import type { Row } from '../columns/kernel'
import { CoreError } from '../errors'
import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import { chassisOf } from '../project/bodies'
import type { Build } from '../project/build'
import { drivenIndex, largestIndex, sprocketName, type ChainLine } from '../project/chainLine'
import type { Id } from '../project/id'
import type { Quantity } from '../project/limit'
import { measuredSlack } from '../readings/chainReadings'
import { vectorAt, type MeasuredModel } from '../readings/geometry'
import { chainDuty, chainRatio, type ChainDutyFigures } from '../strength/chainDuty'
import type { LeverColumns } from '../placement/bodyMove'
import { sprocketPoses, type AnglesRead, type SprocketPose } from './sprocketPoses'
import type { PlacedState, Places } from './places'

/** A sprocket against the first one, as columns, with what of it was read. */
export interface AlignedColumns {
  readonly offsetMm: Column
  readonly offsetPercent: Column
  readonly yawDeg: Column
  readonly tiltDeg: Column
  readonly angleDeg: Column
}

/** A chain at one place of the wheels, as columns. */
export interface ChainColumns {
  readonly poses: readonly SprocketPose[]
  readonly neededMm: Column
  /** From the first sprocket to the one it drives. */
  readonly centreMm: Column
  readonly wrapsDeg: readonly Column[]
  readonly spansMm: readonly Column[]
  /** Of each sprocket but the first. */
  readonly aligned: readonly AlignedColumns[]
}

/** How long a chain is: by its links and wear, or by its slack as it was felt. */
export interface ChainLengthColumns {
  readonly lengthMm: Column
  readonly by: 'links' | 'reading'
}

/** A chain at one place of the wheels. */
export interface CompiledChainPlace {
  readonly at: WheelPlace | null
  readonly placed: PlacedState
  readonly columns: Known<ChainColumns>
}

/** A chain with everything decided that levers do not change. */
export interface CompiledChain {
  readonly chain: ChainLine
  readonly shape: ChainShape
  readonly length: Known<ChainLengthColumns>
  /** Run that goes slack, by the sprocket it starts from; null while the chain does not close. */
  readonly slackSpan: number | null
  readonly isUpright: boolean
  /** Some of its sprockets go along with wheels. */
  readonly isTravelling: boolean
  readonly duty: Known<ChainDutyFigures>
  readonly places: readonly CompiledChainPlace[]
  readonly plans: readonly PlannedChainCheck[]
  /** Which angles of each sprocket but the first are read. */
  readonly angles: ReadonlyMap<Id, AnglesRead>
}

/** A chain by teeth and sides. */
export const shapeOf = (chain: ChainLine): ChainShape => ({
  pitchMm: chain.pitchMm,
  sprockets: chain.sprockets.map(({ teeth, outside }) => ({
    teeth,
    side: outside ? 'outside' : 'inside',
  })),
  driven: drivenIndex(chain),
})

/**
 * All chains of a build, as columns of its graph.
 *
 * @param goes - whether a chain goes along with wheels
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
  const plans = stands.flatMap((place) => plansAt(build, graph, compiled, place))
  return { ...compiled, plans }
}

/** A run steeper than this counts as upright. */
const UPRIGHT_DEG = 45

/** A chain as it closes where its sprockets stand; else why it does not. */
export function closed(
  { pitchMm, sprockets }: Pick<ChainShape, 'pitchMm' | 'sprockets'>,
  poses: readonly SprocketPose[],
  figure: (column: Column) => number,
): Known<ToldLoop> {
  const [first] = poses
  if (!first) return unknown('no sprockets')
  const vector = vectorAt(figure)
  try {
    const middles = inChainPlane(
      chainPlane(vector(first.direction)),
      poses.map(({ point }) => vector(point)),
    )
    return known(loopOf({ pitchMm, sprockets }, middles))
  } catch (error) {
    if (error instanceof CoreError) return unknown(`the chain does not close: ${error.message}`)
    throw error
  }
}

/** Which limit speaks of the slack of a chain, by how its slack run lies. */
export const slackQuantity = ({ isUpright }: Pick<CompiledChain, 'isUpright'>): Quantity =>
  isUpright ? 'chain-slack-upright' : 'chain-slack'

/** Which runs are pulled, of a chain that goes forward: seen from the right, it then runs clockwise. */
export function tightRuns(chain: ChainLine, { isClockwise }: Pick<ToldLoop, 'isClockwise'>): boolean[] {
  const driven = drivenIndex(chain)
  const isFirstHalf = isClockwise === (chain.turnsBackward === true)
  return chain.sprockets.map((_, i) => i < driven === isFirstHalf)
}

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

/** Every check of a chain at a place of the wheels. */
function plansAt(
  build: Build,
  graph: Graph,
  chain: Omit<CompiledChain, 'plans'>,
  { at, columns }: CompiledChainPlace,
): PlannedChainCheck[] {
  const { chain: spec, length, slackSpan, isTravelling, duty, angles } = chain
  const { sprockets, pitchMm } = spec
  const limits = build.limits.entries
  const plan = (
    quantity: Quantity,
    value: Known<ChainFigure>,
    sprocket?: ChainLine['sprockets'][number],
    by = limits,
  ) => chainCheck({ chain: spec, quantity, at, sprocket }, value, by) ?? []
  const figure = (of: (columns: ChainColumns) => Column | undefined): Known<ChainFigure> => {
    const read = mapKnown(columns, of)
    return read.known && read.value !== undefined
      ? { ...read, value: { column: read.value } }
      : read.known
        ? unknown(`${spec.name}: the chain does not close`)
        : read
  }
  const hangs = slackQuantity(chain)
  const slack = mapKnown(
    allKnown([columns, length] as const),
    ([{ neededMm, spansMm }, { lengthMm }]): ChainFigure => {
      const column = scalarStep(graph, SLACK_PERCENT, [
        lengthMm,
        neededMm,
        spansMm[slackSpan ?? 0] ?? neededMm,
      ])
      graph.name([column], `${spec.name}: slack`)
      return { column }
    },
  )
  const radius = pitchRadius(sprockets[0]?.teeth ?? NaN, pitchMm)
  const play = mapKnown(allKnown([columns, length] as const), ([{ neededMm }, { lengthMm }]): ChainFigure => {
    const column = scalarStep(graph, BACKLASH_DEG, [lengthMm, neededMm], [radius])
    graph.name([column], `${spec.name}: play at its first sprocket`)
    return { column }
  })
  const working = sprockets.flatMap((sprocket, i) => (sprocket.idler ? [] : [{ sprocket, i }]))
  const inAll = [
    ...working.flatMap(({ sprocket, i }) =>
      plan(
        'chain-wrap',
        figure(({ wrapsDeg }) => wrapsDeg[i]),
        sprocket,
      ),
    ),
    plan(hangs, slack, undefined, isTravelling ? slackLimitsOfTravel(limits, hangs) : limits),
    ...sprockets.slice(1).flatMap((sprocket, i) => [
      plan(
        'chain-offset',
        figure(({ aligned }) => aligned[i]?.offsetPercent),
        sprocket,
      ),
      // How a guide wheel is turned is judged once it was read; nobody must.
      sprocket.idler && angles.get(sprocket.id)?.both.known !== true
        ? []
        : plan(
            'chain-angle',
            mapKnown(
              allKnown([
                figure(({ aligned }) => aligned[i]?.angleDeg),
                angles.get(sprocket.id)?.both ?? known(null),
              ] as const),
              ([angle]) => angle,
            ),
            sprocket,
          ),
    ]),
    spec.duty === 'steering' ? plan('chain-backlash', play) : [],
  ].flat()
  if (at !== null) return inAll
  const shafts = mapKnown(columns, ({ centreMm }): ChainFigure => {
    const column = scalarStep(graph, TIMES, [centreMm], [1 / pitchMm])
    graph.name([column], `${spec.name}: from shaft to shaft, in pitches`)
    return { column }
  })
  return [
    ...inAll,
    ...(spec.duty === 'drive'
      ? [
          ...working.flatMap(({ sprocket }) => plan('chain-teeth', known(sprocket.teeth), sprocket)),
          plan('chain-ratio', known(ratioSize(spec))),
          plan('chain-centre', shafts),
          plan('chain-safety', safetyOf(spec, duty)),
          ...ground(build, graph, spec, columns).flatMap(({ value, sprocket }) =>
            plan('sprocket-ground', value, sprocket),
          ),
        ]
      : []),
  ].flat()
}

/** How far the slower of two sprockets is geared, whichever drives. */
const ratioSize = (chain: ChainLine): number => Math.max(chainRatio(chain), 1 / chainRatio(chain))

/** Tensile strength over the pull, as the chain lies nearest to the shaft. */
function safetyOf(
  { name, pitchMm, sprockets, tensileN }: ChainLine,
  duty: Known<ChainDutyFigures>,
): Known<ChainFigure> {
  if (tensileN === undefined) return unknown(`${name}: least tensile strength of the chain`)
  const teeth = sprockets[0]?.teeth ?? NaN
  const radiusM = (pitchRadius(teeth, pitchMm) * Math.cos(Math.PI / teeth)) / 1000
  return mapKnown(duty, ({ torqueNm }) => tensileN / (torqueNm / radiusM))
}

/** Height of the driven sprocket's lowest place over the ground at ride height, where the ground is told. */
function ground(build: Build, graph: Graph, chain: ChainLine, columns: Known<ChainColumns>) {
  const below = chassisOf(build)?.sizes?.groundBelowMm
  const at = drivenIndex(chain)
  const sprocket = chain.sprockets[at]
  if (below === undefined || !sprocket || !columns.known) return []
  const height = columns.value.poses[at]?.point[2]
  if (height === undefined) return []
  const lowest = graph.source(outsideDiameter(sprocket.teeth, chain.pitchMm) / 2 - below)
  const column = scalarStep(graph, DIFFERENCE, [height, lowest])
  graph.name([column], `${chain.name}: ${sprocketName(sprocket)} over the ground`)
  return [{ value: { ...columns, value: { column } } as Known<ChainFigure>, sprocket }]
}

/** Every column that a chain's evaluation reads. */
export const chainWants = ({ places, length, plans }: CompiledChain): Column[] => [
  ...(length.known ? [length.value.lengthMm] : []),
  ...places.flatMap(({ columns, placed }) => {
    const moves = [...placed.moves.values()].flatMap((chain) => chain.flatMap((move) => move.columns))
    if (!columns.known) return moves
    const { poses, neededMm, centreMm, wrapsDeg, spansMm, aligned } = columns.value
    return [
      ...moves,
      ...poses.flatMap(({ point, direction }) => [...point, ...direction]),
      neededMm,
      centreMm,
      ...wrapsDeg,
      ...spansMm,
      ...aligned.flatMap((one) => Object.values(one) as Column[]),
    ]
  }),
  ...plans.flatMap(({ planned: { value } }) =>
    value === null || typeof value === 'number' ? [] : [value.column],
  ),
]
