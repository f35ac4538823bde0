import type { Column, VectorColumns } from '../../base/columns/graph'
import { faceKernel } from '../../sprockets/chainKernels'
import { areApart, type FacePoint } from '../../sprockets/alignment'
import { pitchRadius } from '../../sprockets/sprocket'
import { allKnown, andThen, known, mapKnown, unknown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import { sprocketName, type ChainLine, type ChainSprocket } from '../../file/parts/chainLine'
import type { Id } from '../../file/parts/id'
import {
  FACE_PLACES,
  type ChainSlackReading,
  type FacePlace,
  type SprocketFaceReading,
} from '../../file/kinds/chainKinds'
import type { PlacedReading } from '../targets/chosen'
import type { ReadingContext } from '../figures/context'
import { measuredFigure } from '../figures/figure'
import { lengthParser } from './pointReading'

/** A sprocket as its face was read from a laser or straight-edge. */
export interface ReadFace {
  /** Of the middle of its teeth, to the left of the line, in mm. */
  readonly left: Column
  readonly direction: VectorColumns
  /** Which of its two angles the readings show. */
  readonly shows: { readonly yaw: boolean; readonly tilt: boolean }
  /** The lift-in it was read in; null for the first. */
  readonly trial: Id | null
}

const isFirstTrial = ({ trials }: Build, trial: Id | undefined): boolean =>
  trial === undefined || trial === trials[0]?.id

/** Where on the face a reading was taken, from the middle, in mm forward and up. */
export const FACE_WAYS: Readonly<Record<FacePlace, readonly [number, number]>> = {
  front: [1, 0],
  rear: [-1, 0],
  top: [0, 1],
  bottom: [0, -1],
}

/** Where on a face it was read, in mm from its middle, forward and up. */
type FaceSpot = Pick<FacePoint, 'x' | 'z'>

/** The readings of a face that are in force: the last one at each place, of the lift-in in which it was read last. */
export function faceReadings(build: Build, sprocket: Id): PlacedReading<SprocketFaceReading>[] {
  const all = build.readings.flatMap((reading, i): PlacedReading<SprocketFaceReading>[] =>
    reading.kind === 'sprocket-face' && reading.sprocket === sprocket
      ? [{ reading, path: `readings[${i}]` }]
      : [],
  )
  const trial = all.at(-1)?.reading.trial
  const own = all.filter(({ reading }) => reading.trial === trial)
  return FACE_PLACES.flatMap((place) => own.filter(({ reading }) => reading.place === place).slice(-1))
}

/**
 * A sprocket by the readings of its face; two places in one line show one angle, the other is not known.
 *
 * @returns null while fewer than two places were read
 * @see docs/methods/chains.md
 */
export function readFace(
  context: ReadingContext,
  chain: ChainLine,
  sprocket: ChainSprocket,
): Known<ReadFace> | null {
  const { build, graph } = context
  const placed = faceReadings(build, sprocket.id)
  if (placed.length < 2) return null
  const name = sprocketName(sprocket)
  const figures = allKnown<Column[]>(placed.map((one) => faceFigure(context, name, one)))
  const radii = allKnown<number[]>(placed.map((one) => radiusOf(build, chain, sprocket, one)))
  const spots = andThen(radii, (radius): Known<FaceSpot[]> => {
    const places = placed.map(({ reading }, i): FaceSpot => {
      const [x, z] = FACE_WAYS[reading.place]
      return { x: x * (radius[i] ?? NaN), z: z * (radius[i] ?? NaN) }
    })
    if (areApart(places)) return known(places)
    const path = `${placed[0]?.path ?? ''}.radius`
    return unknown(`${name}: the points where its face was read coincide`, path)
  })
  return mapKnown(allKnown([figures, spots] as const), ([read, places]) => {
    const [left, ...direction] = graph.step(faceKernel(places, sprocket.faceToTeethMm ?? 0), read)
    graph.name([...(left === undefined ? [] : [left]), ...direction], `${name}, as its face was read`)
    const trial = placed[0]?.reading.trial
    const at = (...of: FacePlace[]) =>
      of.every((place) => placed.some(({ reading }) => reading.place === place))
    // Three places round a face show both angles; two in one line show one.
    const isRound = placed.length > 2
    return {
      left: left as Column,
      direction: direction as unknown as VectorColumns,
      shows: { yaw: isRound || at('front', 'rear'), tilt: isRound || at('top', 'bottom') },
      trial: isFirstTrial(build, trial) ? null : (trial ?? null),
    }
  })
}

/** Distance of a face to the left of the line it was read from, in mm, as an input. */
export const faceFigure = (
  context: ReadingContext,
  name: string,
  placed: PlacedReading<SprocketFaceReading>,
): Known<Column> => {
  const { reading, path } = placed
  const label = `${name}, face at the ${reading.place}`
  return measuredFigure(context, placed, {
    field: 'value',
    label,
    unit: 'mm',
    texts: reading.values,
    textPath: `${path}.values`,
    parse: lengthParser(context.build, reading.unit),
    magnitude: (shown) =>
      shown < 0
        ? unknown(`${label}: a distance from a line is not below nought`, `${path}.values`)
        : known(shown),
    direction: {
      word: reading.stands,
      positive: 'right',
      fallback: null,
      question: `${label}: which side the laser or straight-edge stands on`,
      path: `${path}.stands`,
    },
  })
}

function radiusOf(
  build: Build,
  { pitchMm }: ChainLine,
  { teeth }: ChainSprocket,
  { reading, path }: PlacedReading<SprocketFaceReading>,
): Known<number> {
  if (reading.radius === undefined) return known(pitchRadius(teeth, pitchMm))
  const parsed = lengthParser(build, reading.unit)(reading.radius)
  return parsed.ok && parsed.value > 0
    ? known(parsed.value)
    : unknown('how far from the middle of the shaft it was read', `${path}.radius`)
}

/** Slack as read: total movement in mm of one run, and the lift-in. */
export interface MeasuredSlack {
  readonly figure: Column
  readonly span: number | null
  readonly trial: Id | null
}

/** The reading of a chain's slack that is in force: the last one; null where there is none. */
export function slackReading({ readings }: Build, chain: Id): PlacedReading<ChainSlackReading> | null {
  const index = readings.findLastIndex((one) => one.kind === 'chain-slack' && one.chain === chain)
  const reading = readings[index]
  return reading?.kind === 'chain-slack' ? { reading, path: `readings[${index}]` } : null
}

/** Slack of a chain as an input. */
export function measuredSlack(context: ReadingContext, chain: ChainLine): Known<MeasuredSlack> | null {
  const placed = slackReading(context.build, chain.id)
  if (!placed) return null
  const { reading, path } = placed
  const figure = measuredFigure(context, placed, {
    field: 'value',
    label: `${chain.name}, slack`,
    unit: 'mm',
    texts: reading.values,
    textPath: `${path}.values`,
    parse: lengthParser(context.build, reading.unit),
    direction: { word: undefined, positive: 'up', fallback: 'up', question: chain.name, path },
  })
  return mapKnown(figure, (column) => ({
    figure: column,
    span: reading.span ?? null,
    trial: isFirstTrial(context.build, reading.trial) ? null : (reading.trial ?? null),
  }))
}
