import type { PlannedChainCheck } from '../check/chainChecks'
import type { WheelPlace } from '../check/check'
import type { PlannedCheck } from '../check/plannedCheck'
import { chainPlane, inChainPlane, loopOf, type ChainShape, type ToldLoop } from '../sprockets/chainKernels'
import type { driveForces } from '../sprockets/chainDrive'
import type { Column } from '../base/columns/graph'
import { CoreError } from '../base/errors'
import { known, unknown, type Known } from '../base/known'
import { drivenIndex, type ChainLine } from '../file/parts/chainLine'
import type { Id } from '../file/parts/id'
import type { Lever } from '../file/build/lever'
import type { Quantity } from '../file/build/limit'
import { vectorAt } from '../measure/geometry/geometry'
import type { ChainDutyFigures } from '../vehicle/strength/chainDuty'
import type { SparePlace, SweptChain } from '../stand/compiledTravel'
import type { PlacedState } from '../stand/placedState'
import type { AnglesRead, SprocketPose } from './sprocketPoses'

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

/** One each for the place where a chain is tightest, and where it is slackest, of its travel. */
export interface OfExtremes<T> {
  readonly tightest: T
  readonly slackest: T
}
/** What a chain needs there, and its slack run, in mm. */
export type ExtremeColumns = OfExtremes<SparePlace & { readonly neededMm: Column; readonly spanMm: Column }>

/** How much a chain hangs at ride height, as columns in mm, and what is wanted. */
export interface ChainSlackColumns {
  readonly by: ChainLengthColumns['by']
  readonly lengthMm: Column
  readonly neededMm: Column
  readonly spanMm: Column
  readonly excessMm: Column
  /** Total movement at the middle of the slack run; below nought it is too short. */
  readonly playMm: Column
  readonly percent: Column
  /** How much more length the tightest place of its travel needs; nought for a chain that stands still. */
  readonly moreMm: Column
  /** Movement that is wanted, from and to, in percent of the run and in mm; null where no limit says so. */
  readonly wantedPercent: readonly [number, number] | null
  readonly wantedMm: readonly [Column, Column] | null
}

/** A place of the adjuster, and what of the chain is left over where it is nowhere. */
export interface SprocketColumns {
  readonly at: Column
  readonly overMm: Column
}

/** Where the adjuster of a chain has to stand, as columns. */
export interface AdjusterColumns {
  readonly lever: Lever
  readonly right: SprocketColumns
  readonly taut: SprocketColumns
  readonly worn: Known<SprocketColumns>
  readonly fresh: Known<SprocketColumns>
  readonly leftMm: Known<Column>
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
  /** Null for one that goes along with no wheels, or cannot be placed. */
  readonly extremes: ExtremeColumns | null
  /** At ride height. */
  readonly slack: Known<ChainSlackColumns>
  /** Null without a lever that tightens it. */
  readonly adjuster: Known<AdjusterColumns> | null
  /** Run that goes slack, by the sprocket it starts from; null while the chain does not close. */
  readonly slackSpan: number | null
  readonly isUpright: boolean
  /** Some of its sprockets go along with wheels. */
  readonly isTravelling: boolean
  readonly duty: Known<ChainDutyFigures>
  /** Speeds, pull and safety under it. */
  readonly forces: Known<ReturnType<typeof driveForces>>
  readonly places: readonly CompiledChainPlace[]
  readonly plans: readonly PlannedChainCheck[]
  /** At the place that goes through the travel; null for one that does not go along. */
  readonly swept: { readonly plans: readonly PlannedCheck[]; readonly columns: SweptChain | null } | null
  /** Which angles of each sprocket but the first are read. */
  readonly angles: ReadonlyMap<Id, AnglesRead>
}

/** The run that hangs; the whole way round while it is not known which. */
export const chainRun = ({ spansMm, neededMm }: ChainColumns, slackSpan: number | null): Column =>
  spansMm[slackSpan ?? 0] ?? neededMm

/** A chain by teeth and sides. */
export const shapeOf = (chain: ChainLine): ChainShape => ({
  pitchMm: chain.pitchMm,
  sprockets: chain.sprockets.map(({ teeth, outside }) => ({
    teeth,
    side: outside ? 'outside' : 'inside',
  })),
  driven: drivenIndex(chain),
})

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

/** Every column that a chain's evaluation reads. */
export const chainWants = ({ places, length, plans, extremes, slack, adjuster }: CompiledChain): Column[] => [
  ...(length.known ? [length.value.lengthMm] : []),
  ...(extremes
    ? [extremes.tightest, extremes.slackest].flatMap(({ neededMm, spanMm }) => [neededMm, spanMm])
    : []),
  ...(slack.known ? slackWants(slack.value) : []),
  ...(adjuster?.known ? adjusterWants(adjuster.value) : []),
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

const slackWants = ({ excessMm, playMm, spanMm, wantedMm }: ChainSlackColumns): Column[] => [
  ...[excessMm, playMm, spanMm],
  ...(wantedMm ?? []),
]

const adjusterWants = ({ right, taut, fresh, worn, leftMm }: AdjusterColumns): Column[] => [
  ...[known(right), known(taut), fresh, worn].flatMap((place) =>
    place.known ? [place.value.at, place.value.overMm] : [],
  ),
  ...(leftMm.known ? [leftMm.value] : []),
]
