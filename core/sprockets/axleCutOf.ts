import { CoreError } from '../base/errors'
import { allKnown, known, mapKnown, unknown, type Known } from '../base/known'
import { CUT_SIDE_FIGURES, type AxleCut, type AxleCutSide, type CutSideFigure } from '../file/parts/axleCut'
import { cutSide, neededLength, type AxleJoin, type AxleSide, type CutSide } from './cutAxle'

/** One side of an axle that is made to another width. */
export interface CutAnswer {
  readonly side: 'left' | 'right'
  /** Length that is needed, from its stop to the hub's seat. */
  readonly needMm: Known<number>
  /** End play that the shaft which came leaves, below nought it is so much too long; unknown until one came. */
  readonly playMm: Known<number>
  /** How its pieces are cut; unknown while they were not measured, or where they leave no place. */
  readonly cut: Known<CutSide>
}

/** How a sleeve fits the shaft: below nought it is to be pressed on. */
export type SleeveFit = { readonly playMm: number; readonly isPressed: boolean }

/**
 * Both sides of an axle that is made to another width, by either school: the length of a new shaft, or how old pieces are cut and joined.
 *
 * @see docs/methods/chains.md
 */
export const axleCutAnswers = (cut: AxleCut): readonly [CutAnswer, CutAnswer] => [
  answerOf(cut, 'left', cut.left),
  answerOf(cut, 'right', cut.right),
]

function answerOf(cut: AxleCut, side: 'left' | 'right', pieces: AxleCutSide | undefined): CutAnswer {
  const needMm = needOf(cut, side)
  const came = entered(pieces?.cameMm, `how long the shaft of the ${side} side came`)
  const playMm = mapKnown(allKnown([needMm, came] as const), ([need, long]) =>
    toMicron(need + (cut.endPlayMm ?? 0) - long),
  )
  const read = pieces ? piecesOf(pieces) : unknown(`the pieces of the ${side} side`)
  const all = allKnown([needMm, joinOf(cut, pieces), read] as const)
  if (!all.known) return { side, needMm, playMm, cut: all }
  const [need, join, measured] = all.value
  return { side, needMm, playMm, cut: tried(() => cutSide({ ...measured, join }, need, cut.endPlayMm ?? 0)) }
}

/** A shaft that came as it was asked is not too long by what is lost in adding. */
const toMicron = (mm: number): number => Math.round(mm * 1000) / 1000

const entered = (value: number | undefined, what: string): Known<number> =>
  value === undefined ? unknown(what) : known(value)

/** Length of shaft that a side needs. */
function needOf({ widthMm, hubMm, stopMm, offsetLeftMm = 0, endPlayMm }: AxleCut, side: 'left' | 'right') {
  const room = allKnown([
    entered(widthMm, 'hub face to hub face'),
    entered(hubMm, 'hub face in to the shaft’s seat'),
    entered(stopMm, 'differential’s middle out to its stop'),
  ] as const)
  if (!room.known) return room
  const [width, hub, stop] = room.value
  return tried(() =>
    neededLength(side, { widthMm: width, hubMm: hub, stopMm: stop, offsetLeftMm, endPlayMm }),
  )
}

const FIGURE_WORDS: Readonly<Record<CutSideFigure, string>> = {
  innerMm: 'length of the inner piece',
  innerPlainFromMm: 'where the inner piece is round from',
  innerPlainToMm: 'where the inner piece is round to',
  outerMm: 'length of the outer piece',
  outerPlainFromMm: 'where the outer piece is round from',
  outerPlainToMm: 'where the outer piece is round to',
  shaftSplineFromMm: 'where the spline of the shaft begins',
  shaftSplineToMm: 'where the spline of the shaft ends',
  gearSplineFromMm: 'where the spline of the gear begins',
  gearSplineToMm: 'where the spline of the gear ends',
  leastSplineMm: 'how much spline is wanted',
  leastBiteMm: 'how much bite is wanted',
}

/** What was measured of a side; unknown with all that is still missing. */
function piecesOf(pieces: AxleCutSide): Known<Omit<AxleSide, 'join'>> {
  const figures = allKnown<number[]>(CUT_SIDE_FIGURES.map((key) => entered(pieces[key], FIGURE_WORDS[key])))
  return mapKnown(figures, () => {
    const of = (key: CutSideFigure): number => pieces[key] ?? NaN
    return {
      inner: { lengthMm: of('innerMm'), plain: [of('innerPlainFromMm'), of('innerPlainToMm')] },
      outer: { lengthMm: of('outerMm'), plain: [of('outerPlainFromMm'), of('outerPlainToMm')] },
      spline: {
        shaft: [of('shaftSplineFromMm'), of('shaftSplineToMm')],
        gear: [of('gearSplineFromMm'), of('gearSplineToMm')],
        leastMm: of('leastSplineMm'),
      },
      leastBiteMm: of('leastBiteMm'),
    }
  })
}

function joinOf(cut: AxleCut, pieces: AxleCutSide | undefined): Known<AxleJoin> {
  const at = pieces?.atMm === undefined ? {} : { atMm: pieces.atMm }
  if (cut.school === 'lap')
    return cut.overlapMm === undefined
      ? unknown('how far the pieces overlap')
      : known({ kind: 'lap', overlapMm: cut.overlapMm, ...at })
  return cut.sleeveMm === undefined
    ? unknown('how long the sleeve is')
    : known({ kind: 'butt', gapMm: cut.gapMm ?? 0, sleeveMm: cut.sleeveMm, ...at })
}

/** How the sleeve fits; null while shaft and bore were not measured. */
export const sleeveFit = ({ shaftMm, sleeveBoreMm }: AxleCut): SleeveFit | null =>
  shaftMm === undefined || sleeveBoreMm === undefined
    ? null
    : { playMm: sleeveBoreMm - shaftMm, isPressed: sleeveBoreMm < shaftMm }

function tried<T>(work: () => T): Known<T> {
  try {
    return known(work())
  } catch (error) {
    if (error instanceof CoreError) return unknown(error.message)
    throw error
  }
}
