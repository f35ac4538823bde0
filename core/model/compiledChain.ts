import type { PlannedChainCheck } from '../check/chainChecks'
import type { WheelPlace } from '../check/check'
import { chainPlane, inChainPlane, loopOf, type ChainShape, type ToldLoop } from '../chain/chainKernels'
import type { Column } from '../columns/graph'
import { CoreError } from '../errors'
import { known, unknown, type Known } from '../known'
import { drivenIndex, type ChainLine } from '../project/chainLine'
import type { Id } from '../project/id'
import type { Quantity } from '../project/limit'
import { vectorAt } from '../readings/geometry'
import type { ChainDutyFigures } from '../strength/chainDuty'
import type { PlacedState } from './places'
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
