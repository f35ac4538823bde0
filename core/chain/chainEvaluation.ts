import type { FigureOf } from '../base/columns/graph'
import { judgedChain } from '../check/chainChecks'
import type { Check, WheelPlace } from '../check/check'
import { chainPlane, inChainPlane, type ToldLoop } from '../sprockets/chainKernels'
import { linksToOrder } from '../sprockets/chainLoop'
import { outsideDiameter } from '../sprockets/sprocket'
import { allKnown, andThen, known, mapKnown, unknown, type Known } from '../base/known'
import type { RigidMove } from '../base/linalg/mat3'
import type { Vec3 } from '../base/linalg/vec3'
import type { BodyMove } from '../vehicle/moves/bodyMove'
import type { LeverSettings } from '../vehicle/moves/settings'
import { sprocketName, type ChainLine, type ChainSprocket } from '../file/parts/chainLine'
import { vectorAt } from '../measure/geometry/geometry'
import { adjusterAt, type AdjusterTravel } from './chainAdjuster'
import { slackAt, type ChainSlack } from './chainSlack'
import type { ChainPlaces, ChainTravel } from './chainTravel'
import { chainRun, closed, tightRuns, type ChainColumns, type CompiledChain } from './compiledChain'
import type { AnglesRead } from './sprocketPoses'

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
  readonly forces: CompiledChain['forces']
  /** Null without a lever that tightens it. */
  readonly adjuster: Known<AdjusterTravel> | null
  readonly checks: readonly Check[]
}

/** How a chain is looked at as the levers stand. */
export interface ChainLook {
  readonly settings: LeverSettings
  readonly figure: FigureOf
  /** Where each chain that goes along is tightest and slackest. */
  readonly along: readonly ChainPlaces[]
  /** Whether a body can go where the levers send it. */
  readonly reaches: (moves: readonly BodyMove[]) => Known<RigidMove>
  /** A place of the wheels as it is called now; undefined for one that nothing stands at. */
  readonly calledNow: (at: WheelPlace | null) => WheelPlace | null | undefined
}

/** A chain with its values. */
export function evaluateChain(compiled: CompiledChain, look: ChainLook): ChainEvaluation {
  const { chain, shape, plans, slackSpan, isUpright, duty, forces } = compiled
  const { figure, settings } = look
  const closes = (at: WheelPlace | null): Known<ToldLoop> =>
    andThen(standsAt(compiled, look, at), ({ poses }) => closed(shape, poses, figure))
  const ride = standsAt(compiled, look, null)
  const loop = closes(null)
  const real = mapKnown(allKnown([ride, loop] as const), ([columns]) => columns)
  const spanMm = andThen(real, (columns): Known<number> => {
    const span = figure(chainRun(columns, slackSpan))
    return span > 0 ? known(span) : unknown(`${chain.name}: no run is left between its sprockets`)
  })
  const slack = allKnown([real, compiled.slack, spanMm] as const)
  return {
    chain,
    sprockets: mapKnown(ride, (columns) => standing(chain, columns, figure)),
    loop,
    isLengthwise: ride.known && ride.value.poses[0]?.isLengthwise === true,
    tight: loop.known ? tightRuns(chain, loop.value) : chain.sprockets.map(() => false),
    slackSpan,
    isUpright,
    neededMm: mapKnown(real, (columns) => figure(columns.neededMm)),
    centreMm: mapKnown(real, (columns) => figure(columns.centreMm)),
    linksToOrder: mapKnown(loop, ({ linksNeeded }) => linksToOrder(linksNeeded, chain.halfLink)),
    slack: mapKnown(slack, ([, columns]) => slackAt(columns, figure)),
    travel: look.along.find(({ chainId }) => chainId === chain.id)?.travel(figure) ?? null,
    aligned: ride.known ? alignedIn(compiled, ride.value, figure) : [],
    duty,
    forces,
    adjuster:
      compiled.adjuster && mapKnown(compiled.adjuster, (columns) => adjusterAt(columns, settings, figure)),
    checks: judgedChain(plans, figure, closes, look.calledNow),
  }
}

/** A chain at a place of the wheels, where all its sprockets can go. */
function standsAt(
  { chain, places }: CompiledChain,
  { reaches }: ChainLook,
  at: WheelPlace | null,
): Known<ChainColumns> {
  const place = places.find((one) => one.at?.id === at?.id)
  if (!place) return unknown(`${chain.name}: it is not looked at there`)
  const moves = allKnown<RigidMove[]>(
    chain.sprockets.map(({ point }) => reaches(place.placed.pointMoves(point))),
  )
  return mapKnown(allKnown([place.columns, moves] as const), ([columns]) => columns)
}

/** Each sprocket but the first against it. */
const alignedIn = (
  { chain, angles }: CompiledChain,
  { aligned }: ChainColumns,
  figure: FigureOf,
): AlignedSprocket[] =>
  aligned.flatMap((one, i): AlignedSprocket[] => {
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
        read: angles.get(sprocket.id) ?? NOTHING_READ,
      },
    ]
  })

const NOTHING_READ: AnglesRead = { yaw: false, tilt: false, both: unknown('its angles are not read') }

const standing = (chain: ChainLine, { poses }: ChainColumns, figure: FigureOf): SprocketStand[] => {
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
