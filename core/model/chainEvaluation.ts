import { judgedChain } from '../check/chainChecks'
import type { Check, WheelPlace } from '../check/check'
import { driveForces } from '../chain/chainDrive'
import { chainPlane, inChainPlane, type ToldLoop } from '../chain/chainKernels'
import { linksToOrder } from '../chain/chainLoop'
import { excessOf, playOf } from '../chain/slack'
import { outsideDiameter } from '../chain/sprocket'
import type { Column } from '../columns/graph'
import { allKnown, andThen, known, mapKnown, unknown, type Known } from '../known'
import type { RigidMove } from '../linalg/mat3'
import type { Vec3 } from '../linalg/vec3'
import type { BodyMove } from '../placement/bodyMove'
import type { LeverSettings } from '../placement/settings'
import { sprocketName, type ChainLine, type ChainSprocket } from '../project/chainLine'
import { vectorAt } from '../readings/geometry'
import { chainAdjuster, judgedLeft, wantedPercent, type AdjusterTravel } from './chainAdjuster'
import { chainTravel, type ChainTravel } from './chainTravel'
import { closed, tightRuns, type ChainColumns, type CompiledChain } from './compiledChain'
import type { CompiledBuild } from './compile'
import type { AnglesRead } from './sprocketPoses'
import type { Sweep } from './sweep'

/** A sprocket as it stands. */
export interface SprocketStand {
  readonly sprocket: ChainSprocket
  readonly name: string
  /** In the chassis frame, and in the plane of its chain from the first sprocket. */
  readonly place: Vec3
  readonly direction: Vec3
  readonly middle: readonly [number, number]
  readonly outerMm: number
}

/** A sprocket against the first one. */
export interface AlignedSprocket {
  readonly sprocket: ChainSprocket
  /** To the left of the first one, square to the plane of the largest. */
  readonly offsetMm: number
  readonly offsetPercent: number
  readonly yawDeg: number
  readonly tiltDeg: number
  readonly angleDeg: number
  /** Which of its angles were read; one that was not is no figure, whatever stands there. */
  readonly read: AnglesRead
}

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

/** A chain at one setting of the levers. */
export interface ChainEvaluation {
  readonly chain: ChainLine
  readonly sprockets: Known<readonly SprocketStand[]>
  readonly loop: Known<ToldLoop>
  /** Its shafts run along the vehicle: seen from behind, and out of line forward or rearward. */
  readonly isLengthwise: boolean
  readonly tight: readonly boolean[]
  readonly slackSpan: number | null
  readonly isUpright: boolean
  readonly neededMm: Known<number>
  readonly centreMm: Known<number>
  /** Next number of links that closes it. */
  readonly linksToOrder: Known<number>
  readonly slack: Known<ChainSlack>
  /** Through the travel of its wheels; null for a chain that does not go along. */
  readonly travel: ChainTravel | null
  readonly aligned: readonly AlignedSprocket[]
  readonly duty: CompiledChain['duty']
  readonly forces: Known<ReturnType<typeof driveForces>>
  /** Null without a lever that tightens it. */
  readonly adjuster: Known<AdjusterTravel> | null
  readonly checks: readonly Check[]
}

/**
 * A chain with its values.
 *
 * @param reaches - whether a body can go where the levers send it
 * @param calledNow - a place of the wheels as it is called now; undefined for one that nothing stands at
 */
export function evaluateChain(
  build: CompiledBuild,
  compiled: CompiledChain,
  settings: LeverSettings,
  sweep: Sweep | null,
  figure: (column: Column) => number,
  reaches: (moves: readonly BodyMove[]) => Known<RigidMove>,
  calledNow: (at: WheelPlace | null) => WheelPlace | null | undefined,
): ChainEvaluation {
  const { chain, shape, places, plans, slackSpan, isUpright, duty } = compiled
  const standsAt = (at: WheelPlace | null): Known<ChainColumns> => {
    const place = places.find((one) => one.at?.id === at?.id)
    if (!place) return unknown(`${chain.name}: it is not looked at there`)
    const moves = allKnown<RigidMove[]>(
      chain.sprockets.map(({ point }) => reaches(place.placed.pointMoves(point))),
    )
    return mapKnown(allKnown([place.columns, moves] as const), ([columns]) => columns)
  }
  const closes = (at: WheelPlace | null): Known<ToldLoop> => {
    const stands = standsAt(at)
    return stands.known ? closed(shape, stands.value.poses, figure) : stands
  }
  const ride = standsAt(null)
  const loop = closes(null)
  const real = mapKnown(allKnown([ride, loop] as const), ([columns]) => columns)
  const neededMm = mapKnown(real, (columns) => figure(columns.neededMm))
  const travel = chainTravel(build, compiled, sweep, settings)
  const spanMm = andThen(real, ({ spansMm, neededMm: whole }): Known<number> => {
    const span = figure(spansMm[slackSpan ?? 0] ?? whole)
    return span > 0 ? known(span) : unknown(`${chain.name}: no run is left between its sprockets`)
  })
  const slack = mapKnown(
    allKnown([real, compiled.length, spanMm] as const),
    ([columns, { lengthMm, by }, span]) =>
      slackOf(
        { wanted: wantedPercent(build, compiled), travel },
        { lengthMm: figure(lengthMm), neededMm: figure(columns.neededMm), spanMm: span },
        by,
      ),
  )
  const adjuster = chainAdjuster(build, compiled, settings, travel, neededMm)
  const left = adjuster ? judgedLeft(build, compiled, adjuster) : []
  return {
    chain,
    sprockets: mapKnown(ride, (columns) => standing(chain, columns, figure)),
    loop,
    isLengthwise: ride.known && ride.value.poses[0]?.isLengthwise === true,
    tight: loop.known ? tightRuns(chain, loop.value) : chain.sprockets.map(() => false),
    slackSpan,
    isUpright,
    neededMm,
    centreMm: mapKnown(real, (columns) => figure(columns.centreMm)),
    linksToOrder: mapKnown(loop, ({ linksNeeded }) => linksToOrder(linksNeeded, chain.halfLink)),
    slack,
    travel,
    aligned: ride.known
      ? ride.value.aligned.flatMap((one, i): AlignedSprocket[] => {
          const sprocket = chain.sprockets[i + 1]
          if (!sprocket) return []
          return [
            {
              sprocket,
              offsetMm: figure(one.offsetMm),
              offsetPercent: figure(one.offsetPercent),
              yawDeg: figure(one.yawDeg),
              tiltDeg: figure(one.tiltDeg),
              angleDeg: figure(one.angleDeg),
              read: compiled.angles.get(sprocket.id) ?? NOTHING_READ,
            },
          ]
        })
      : [],
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
    adjuster,
    checks: [...judgedChain(plans, figure, closes, calledNow), ...left],
  }
}

const NOTHING_READ: AnglesRead = { yaw: false, tilt: false, both: unknown('its angles are not read') }

const standing = (
  chain: ChainLine,
  { poses }: ChainColumns,
  figure: (column: Column) => number,
): SprocketStand[] => {
  const vector = vectorAt(figure)
  const places = poses.map(({ point }) => vector(point))
  const [first] = poses
  const middles = first ? inChainPlane(chainPlane(vector(first.direction)), places) : []
  return chain.sprockets.map((sprocket, i) => ({
    sprocket,
    name: sprocketName(sprocket),
    place: places[i] ?? [NaN, NaN, NaN],
    direction: vector(poses[i]?.direction ?? (first?.direction as never)),
    middle: middles[i] ?? [NaN, NaN],
    outerMm: outsideDiameter(sprocket.teeth, chain.pitchMm),
  }))
}

/** Slack in percent that is wanted, and where it counts. */
interface Wanted {
  readonly wanted: readonly [number, number] | null
  readonly travel: ChainTravel | null
}

/** Length of chain that is to be there beyond what it needs at ride height, so that the tightest place keeps so much slack, in mm. */
const keptMm = (percent: number, { spanMm, neededMm }: SlackRun, travel: ChainTravel | null): number => {
  const of = (span: number) => excessOf({ spanMm: span }, 'vee', (percent * span) / 200)
  // Where it is tightest its slack run may be gone: it cannot hang there at all.
  return travel && travel.tightest.spanMm > 0
    ? travel.tightest.neededMm - neededMm + of(travel.tightest.spanMm)
    : of(spanMm)
}

/** A chain and its slack run at ride height, in mm. */
interface SlackRun {
  readonly lengthMm: number
  readonly neededMm: number
  readonly spanMm: number
}

function slackOf({ wanted, travel }: Wanted, run: SlackRun, by: ChainSlack['by']): ChainSlack {
  const { lengthMm, neededMm, spanMm } = run
  const excessMm = lengthMm - neededMm
  const play = (percent: number) => playOf({ spanMm }, Math.max(0, keptMm(percent, run, travel)))
  return {
    lengthMm,
    by,
    excessMm,
    spanMm,
    playMm: excessMm < 0 ? null : playOf({ spanMm }, excessMm),
    wantedMm: wanted && [play(wanted[0]), play(wanted[1])],
  }
}
