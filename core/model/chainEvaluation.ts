import { judge, windowOf } from '../check/judge'
import { peakAlong } from '../check/peakAlong'
import { chainCheck, judgedChain } from '../check/chainChecks'
import type { Check, WheelPlace } from '../check/check'
import { adjusterPlace, type AdjusterPlace } from '../chain/adjuster'
import { chainLength, driveForces } from '../chain/chainDrive'
import { chainPlane, inChainPlane, type ToldLoop } from '../chain/chainKernels'
import { linksToOrder } from '../chain/chainLoop'
import { excessOf, playOf } from '../chain/slack'
import { outsideDiameter } from '../chain/sprocket'
import type { Column } from '../columns/graph'
import { newRun, type Run } from '../columns/run'
import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { RigidMove } from '../linalg/mat3'
import type { Vec3 } from '../linalg/vec3'
import type { BodyMove } from '../placement/bodyMove'
import type { LeverSettings } from '../placement/settings'
import { sprocketName, USUAL_WORN_PERCENT, type ChainLine, type ChainSprocket } from '../project/chainLine'
import type { Id } from '../project/id'
import type { Lever } from '../project/lever'
import { vectorAt } from '../readings/geometry'
import { closed, slackQuantity, tightRuns, type ChainColumns, type CompiledChain } from './chains'
import type { CompiledBuild } from './compile'
import type { AnglesRead } from './sprocketPoses'
import { givenFigures } from './screen'
import { between, heightsInRow, rowName, SWEEP_WAYS, type Sweep } from './sweep'

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

/** A chain where it is tightest, or slackest, along its travel. */
export interface ChainExtreme {
  readonly neededMm: number
  readonly spanMm: number
  /** Of the first wheels, from ride height. */
  readonly upMm: number
  /** In words: "35.0 mm down". */
  readonly place: string
}

/** A chain through the travel of its wheels. */
export interface ChainTravel {
  readonly tightest: ChainExtreme
  readonly slackest: ChainExtreme
}

/** Where the adjuster of a chain stands, and where it has to for a new and for a worn chain. */
export interface AdjusterTravel {
  readonly lever: Lever
  readonly standsMm: number
  /** With the middle of the wanted slack, as the chain is now. */
  readonly right: AdjusterPlace
  /** Just taut. */
  readonly taut: AdjusterPlace
  /** With the wanted slack, new and worn out; unknown while its links are not told. */
  readonly fresh: Known<AdjusterPlace>
  readonly worn: Known<AdjusterPlace>
  /** Room left in the range at the nearer end, from new to worn; below nought, how much is missing. */
  readonly leftMm: Known<number>
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
  const travel = travelOf(build, compiled, sweep, settings)
  const slack = mapKnown(allKnown([real, compiled.length] as const), ([columns, { lengthMm, by }]) => {
    const span = columns.spansMm[slackSpan ?? 0]
    return slackOf(
      { wanted: wantedPercent(build, compiled), travel },
      figure(lengthMm),
      figure(columns.neededMm),
      figure(span ?? columns.neededMm),
      by,
    )
  })
  const adjuster = adjusterOf(build, compiled, settings, travel, neededMm)
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
    centreMm: mapKnown(ride, (columns) => figure(columns.centreMm)),
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

/** What slack is wanted, in percent of the run: between its warnings. */
function wantedPercent({ build }: CompiledBuild, compiled: CompiledChain): readonly [number, number] | null {
  const quantity = slackQuantity(compiled)
  const limit = build.limits.entries.find((one) => one.quantity === quantity && one.scope === 'ride')
  const [low, high] = [limit?.warnBelow ?? limit?.failBelow, limit?.warnAbove ?? limit?.failAbove]
  return low === undefined || high === undefined ? null : [low, high]
}

/** The chain where it is tightest and where it is slackest, along the travel of its wheels. */
function travelOf(
  { build, travel }: CompiledBuild,
  { chain }: CompiledChain,
  sweep: Sweep | null,
  settings: LeverSettings,
): ChainTravel | null {
  const swept = travel?.chains.find(({ chainId }) => chainId === chain.id)
  const [body] = travel?.axles ?? []
  if (!swept || !sweep || !body) return null
  const needed = sweep.cells(swept.neededMm).subarray(0, sweep.rows.length)
  const spans = sweep.cells(swept.spanMm)
  const extreme = (sign: 1 | -1): ChainExtreme | null => {
    const peaks = sweepWays(sweep.rows).flatMap(({ way, from, to }) => {
      const rows = sweep.rows.slice(from, to)
      const heights = rows.map((row) => heightsInRow(build, body, row, settings)[0])
      const found = peakAlong(
        heights,
        rows.map((_, i) => sign * (needed[from + i] ?? NaN)),
      )
      if (!found) return []
      const shares = rows.map(({ share }) => share)
      const spanMm = between(heights, [...spans.subarray(from, to)], found.atMm)
      const row = { way, share: between(heights, shares, found.atMm) }
      return [
        {
          neededMm: sign * found.value,
          upMm: found.atMm,
          spanMm,
          place: rowName(build, body, row, settings),
        },
      ]
    })
    return peaks.toSorted((a, b) => sign * (b.neededMm - a.neededMm))[0] ?? null
  }
  const [tightest, slackest] = [extreme(1), extreme(-1)]
  return tightest && slackest ? { tightest, slackest } : null
}

/** Rows of a sweep by its ways. */
const sweepWays = (rows: Sweep['rows']) =>
  SWEEP_WAYS.flatMap((way) => {
    const from = rows.findIndex((row) => row.way === way)
    return from < 0 ? [] : [{ way, from, to: rows.findLastIndex((row) => row.way === way) + 1 }]
  })

/** Slack in percent that is wanted, and where it counts. */
interface Wanted {
  readonly wanted: readonly [number, number] | null
  readonly travel: ChainTravel | null
}

/** Length of chain that is to be there beyond what it needs at ride height, so that the tightest place keeps so much slack, in mm. */
const keptMm = (percent: number, spanMm: number, neededMm: number, travel: ChainTravel | null): number => {
  const of = (span: number) => excessOf({ spanMm: span }, 'vee', (percent * span) / 200)
  return travel ? travel.tightest.neededMm - neededMm + of(travel.tightest.spanMm) : of(spanMm)
}

function slackOf(
  { wanted, travel }: Wanted,
  lengthMm: number,
  neededMm: number,
  spanMm: number,
  by: ChainSlack['by'],
): ChainSlack {
  const excessMm = lengthMm - neededMm
  const play = (percent: number) => playOf({ spanMm }, Math.max(0, keptMm(percent, spanMm, neededMm, travel)))
  return {
    lengthMm,
    by,
    excessMm,
    spanMm,
    playMm: excessMm < 0 || !(spanMm > 0) ? null : playOf({ spanMm }, excessMm),
    wantedMm: wanted && [play(wanted[0]), play(wanted[1])],
  }
}

/** Runs in which adjusters are moved to and fro, apart from what is shown. */
const runs = new WeakMap<CompiledChain, { readonly run: Run; readonly wanted: readonly Column[] }>()

/** Where the lever that tightens a chain has to stand; null where none does. */
function adjusterOf(
  build: CompiledBuild,
  compiled: CompiledChain,
  settings: LeverSettings,
  travel: ChainTravel | null,
  stands: Known<number>,
): Known<AdjusterTravel> | null {
  const { chain, length, places, slackSpan } = compiled
  const lever = build.build.levers.find(({ id }) => id === chain.adjuster)
  const amount = lever && build.levers.get(lever.id)
  if (!lever || amount === undefined) return null
  const columns = places.find(({ at }) => at === null)?.columns ?? unknown(`${chain.name}: not read`)
  return mapKnown(allKnown([columns, length] as const), ([ride, { lengthMm }]) => {
    const span = ride.spansMm[slackSpan ?? 0] ?? ride.neededMm
    const there = runs.get(compiled) ?? {
      run: newRun(build.graph, 1),
      wanted: [ride.neededMm, span, lengthMm],
    }
    runs.set(compiled, there)
    const { run, wanted: looked } = there
    for (const [column, value] of givenFigures(build, settings, [])) run.set(column, value)
    const wanted = wantedPercent(build, compiled)
    const middle = wanted ? (wanted[0] + wanted[1]) / 2 : 0
    // How much more the tightest place needs hardly changes with the adjuster.
    const more = travel && stands.known ? travel.tightest.neededMm - stands.value : 0
    const standsMm = settings[lever.id] ?? 0
    const measured = new Map<
      number,
      { readonly needed: number; readonly spanMm: number; readonly long: number }
    >()
    /** The chain with the adjuster elsewhere; looked at once for all that is asked of it. */
    const chainAt = (at: number) => {
      const there = measured.get(at)
      if (there) return there
      run.set(amount, at)
      run.bring(looked, 1)
      const found = {
        needed: run.figure(ride.neededMm),
        spanMm: run.figure(span),
        long: run.figure(lengthMm),
      }
      measured.set(at, found)
      return found
    }
    const placeFor = (longMm: number | null, percent: number): AdjusterPlace =>
      adjusterPlace(
        {
          range: lever.range,
          excessAt: (at) => {
            const { needed, spanMm, long } = chainAt(at)
            if (!(spanMm > 0)) return NaN
            const keeps = excessOf({ spanMm }, 'vee', (percent * spanMm) / 200)
            return (longMm ?? long) - needed - (percent === 0 ? 0 : more) - keeps
          },
        },
        standsMm,
      )
    const { links, pitchMm, wornPercent = USUAL_WORN_PERCENT } = chain
    const ofLinks = (wear: number): Known<AdjusterPlace> =>
      links === undefined
        ? unknown(`${chain.name}: how many links it has`)
        : known(placeFor(chainLength({ links, wear }, pitchMm), middle))
    const [fresh, worn] = [ofLinks(0), ofLinks(wornPercent / 100)]
    return {
      lever,
      standsMm,
      right: placeFor(null, middle),
      taut: placeFor(null, 0),
      fresh,
      worn,
      leftMm: mapKnown(allKnown([fresh, worn] as const), ([one, other]) =>
        Math.min(roomOf(lever, one), roomOf(lever, other)),
      ),
    }
  })
}

/** Room of a place to the nearer end of a lever's range; below nought, what the range lacks. */
function roomOf({ range: [from, to] }: Lever, place: AdjusterPlace): number {
  if ('at' in place) return Math.min(place.at - from, to - place.at)
  return 'lacksMm' in place ? -place.lacksMm : NaN
}

/** The room that is left at the ends of the adjuster, judged. */
function judgedLeft(
  { build }: CompiledBuild,
  { chain }: CompiledChain,
  adjuster: Known<AdjusterTravel>,
): Check[] {
  const read: Known<number> = adjuster.known ? adjuster.value.leftMm : adjuster
  const left =
    read.known && Number.isNaN(read.value)
      ? unknown(`${chain.name}: it does not close anywhere along its adjuster`)
      : read
  const planned = chainCheck({ chain, quantity: 'adjuster-left', at: null }, known(0), build.limits.entries)
  if (!planned) return []
  const { head, bounds } = planned.planned
  return [judge(head, left, bounds, [], windowOf(bounds))]
}

/** The chain that a sprocket belongs to. */
export const chainOf = (chains: readonly ChainEvaluation[], id: Id): ChainEvaluation | undefined =>
  chains.find(({ chain }) => chain.id === id)
