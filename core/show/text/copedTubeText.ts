import { fixed, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { Build } from '../../file/build/build'
import type { CopedTube } from '../../file/kinds/copedTubeKinds'
import { twoFlats } from '../../making/copes/cope'
import type { PrintedEnd } from '../../making/templates/wrapTemplate'
import { sectionName } from './sectionText'
import { jointOf, TUBE_ENDS, type CopedTubeEvaluation, type TubeEndFound } from '../../model/copedTubeSubject'

const NONE = '?'

/** The stock of a tube: "38 × 3 round tube". */
export const tubeStock = ({ outerMm, wallMm }: CopedTube): string =>
  sectionName({ section: 'round', heightMm: outerMm, wallMm })

/** An end of a tube in words. */
export interface TubeEndRow {
  readonly name: string
  /** What it lies on. */
  readonly main: string
  readonly angle: string
  /** How far the axes pass each other by. */
  readonly passes: string
  /** From the tip of the cut to its root. */
  readonly deep: string
  /** Two flats of the saw instead, and what they leave. */
  readonly flats: string
}

/** Both ends, in their order. */
export const tubeEndRows = ({ tube, found }: CopedTubeEvaluation, units: UnitSettings): TubeEndRow[] =>
  tube.ends.map(({ main }, k) => {
    const name = TUBE_ENDS[k] ?? ''
    if (!main) return { name, main: 'cut square', angle: '', passes: '', deep: '', flats: '' }
    const figures = found.known ? (found.value.ends[k]?.figures ?? {}) : {}
    const { angleDeg, offsetMm, tipMm, rootMm } = figures
    return {
      name,
      main: `on ${String(Number(fixed(main.outerMm, 2)))} mm`,
      angle: angleDeg === undefined ? NONE : `${fixed(Math.min(angleDeg, 180 - angleDeg), 1)}°`,
      passes: offsetMm === undefined ? NONE : formatLength(Math.abs(offsetMm), units),
      deep: tipMm === undefined || rootMm === undefined ? NONE : formatLength(rootMm - tipMm, units),
      flats: flatsOf(tube, main.outerMm, figures, units),
    }
  })

/** Flats are for a branch that is square to its main tube and meets it in the middle. */
const SQUARE = { deg: 3, mm: 1 }

function flatsOf(
  { outerMm }: CopedTube,
  mainMm: number,
  { angleDeg = NaN, offsetMm = NaN, roomMm = NaN }: TubeEndFound['figures'],
  units: UnitSettings,
): string {
  const isSquare = Math.abs(angleDeg - 90) <= SQUARE.deg && Math.abs(offsetMm) <= SQUARE.mm
  if (!isSquare || roomMm < 0) return 'not for this angle'
  const { angleDeg: flat, leftMm } = twoFlats(outerMm, mainMm)
  return `two at ${fixed(flat, 1)}°, then ${formatLength(leftMm, units)} to hollow out`
}

/** Of paper left beyond the root of a cut, to hold it by. */
const HELD_MM = 30

/** What is printed of a tube: its coped ends; none while they are not known. */
export function printedEnds({ tube, found }: CopedTubeEvaluation, points: Build['points']): PrintedEnd[] {
  if (!found.known) return []
  const { twistDeg = 0 } = found.value.figures
  return found.value.ends.flatMap((end, k): PrintedEnd[] => {
    const joint = jointOf(tube, k, end)
    const { rootMm } = end.figures
    const main = tube.ends[k]?.main
    if (!joint || rootMm === undefined || !main) return []
    const faces = points.find(({ id }) => id === main.b)?.name ?? main.b
    return [
      {
        name: `${TUBE_ENDS[k] ?? ''}, ${String(Number(fixed(tube.outerMm, 2)))} mm`,
        faces: k === 0 || tube.ends[0]?.main === undefined ? faces : 'as at the first end',
        end: { joint, matchDeg: k === 1 ? twistDeg : 0 },
        edgeMm: Math.ceil((rootMm + HELD_MM) / 10) * 10,
      },
    ]
  })
}

/** Between the straight edges of both wraps, or from the one to the square end. */
export const betweenEdges = (axisMm: number, ends: readonly PrintedEnd[]): number =>
  axisMm - ends.reduce((sum, { edgeMm }) => sum + edgeMm, 0)

/** How it is sawn and wrapped, a line each; none while it is not known. */
export function tubeSteps(
  evaluation: CopedTubeEvaluation,
  points: Build['points'],
  units: UnitSettings,
): string[] {
  const { tube, found } = evaluation
  if (!found.known) return []
  const { sawMm, matchMm, axisMm, twistDeg } = found.value.figures
  if (sawMm === undefined || matchMm === undefined || axisMm === undefined) return []
  const ends = printedEnds(evaluation, points)
  const between = betweenEdges(axisMm, ends)
  const turned =
    twistDeg === undefined
      ? []
      : [
          `the second end is turned by ${fixed(Math.abs(twistDeg), 1)}° against the first: the print holds it, if both wraps begin at one line`,
        ]
  return [
    `saw ${formatLength(sawMm, units)} of ${tubeStock(tube)} and scribe one line along it, the match line`,
    ...(ends.length === 0
      ? []
      : [
          ends.length === 2
            ? `wrap both prints with their edges along the match line, their straight edges ${formatLength(between, units)} apart`
            : `wrap the print with its edge along the match line, its straight edge ${formatLength(between, units)} from the square end`,
        ]),
    ...turned,
    `between the cuts along the match line: ${formatLength(matchMm, units)}`,
  ]
}

/** Less than this is how well it was read. */
const SAME = { mm: 0.5, deg: 0.1 }

/** How it is otherwise than when it was taken as made; null while nothing was made, or it cannot be told. */
export interface TubeChange {
  readonly longerMm: number
  /** The most that an angle is otherwise, the turn of the ends too. */
  readonly turnedDeg: number
  readonly isStale: boolean
}

export function tubeChange({ tube: { made }, found }: CopedTubeEvaluation): TubeChange | null {
  const axisMm = found.known ? found.value.figures.axisMm : undefined
  if (!made || !found.known || axisMm === undefined) return null
  const [first, second] = found.value.ends
  const by = (then: number | undefined, now: number | undefined): number =>
    then === undefined || now === undefined ? 0 : Math.abs(((now - then + 540) % 360) - 180)
  const turnedDeg = Math.max(
    by(made.firstDeg, first?.figures.angleDeg),
    by(made.secondDeg, second?.figures.angleDeg),
    by(made.twistDeg, found.value.figures.twistDeg),
  )
  const longerMm = axisMm - made.axisMm
  return { longerMm, turnedDeg, isStale: Math.abs(longerMm) > SAME.mm || turnedDeg > SAME.deg }
}
