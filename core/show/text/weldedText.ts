import type { ChangedFigure } from '../../answers/trials/changedFigures'
import type { WeldedStand } from '../../answers/trials/weldedStand'
import { formatAngle, formatLength, signedText } from '../../base/units/format'
import type { Build } from '../../file/build/build'
import type { Verdict } from '../../file/build/limit'
import { checkLabel, checkSentence } from './checkText'

/** A figure before and after a weld, in words. */
export interface WeldedRow {
  readonly of: string
  readonly before: string
  readonly after: string
  readonly by: string
  /** Further than its readings leave in doubt. */
  readonly hasMoved: boolean
}

/** A check that is worse than it was, in words. */
export interface WorseCheck {
  readonly label: string
  readonly sentence: string
  readonly verdict: Verdict
}

/** What a weld made of where the powertrain stands: joints, points, and what is worse than it was. */
export interface WeldedTold {
  readonly joints: readonly WeldedRow[]
  readonly points: readonly WeldedRow[]
  readonly worse: readonly WorseCheck[]
}

const hasMoved = ({ by, plusMinus }: ChangedFigure): boolean => Math.abs(by) > plusMinus

/** Counted the other way. */
const turned = (change: ChangedFigure): ChangedFigure => ({
  ...change,
  from: -change.from,
  to: -change.to,
  by: -change.by,
})

/** A row a joint, and a row for each way of a point that was read again. */
export function weldedTold(build: Build, { joints, points, worse }: WeldedStand): WeldedTold {
  const { units } = build
  const isMany = build.lines.length > 1
  const rowOf = (of: string, change: ChangedFigure, text: (figure: number) => string): WeldedRow => ({
    of,
    before: text(change.from),
    after: text(change.to),
    by: `${signedText(change.by, text)} ± ${text(change.plusMinus)}`,
    hasMoved: hasMoved(change),
  })
  const angle = (deg: number) => formatAngle(deg, units, 2)
  const lengthOf = (mm: number) => formatLength(mm, units)
  return {
    joints: joints.map(({ line, index, angleDeg }) => {
      const name = build.lines.find(({ id }) => id === line)?.name ?? ''
      return rowOf(`${isMany ? `${name}: ` : ''}joint ${index + 1}`, angleDeg, angle)
    }),
    points: points.flatMap(({ point, backMm, leftMm, upMm }) => {
      const name = build.points.find(({ id }) => id === point)?.name ?? point
      const along = (change: ChangedFigure, [far, near]: readonly [string, string]) =>
        change.from >= 0
          ? rowOf(`${name}, ${far}`, change, lengthOf)
          : rowOf(`${name}, ${near}`, turned(change), lengthOf)
      return [
        along(backMm, ['behind the datum', 'ahead of it']),
        along(leftMm, ['left', 'right']),
        along(upMm, ['above the plane', 'below it']),
      ]
    }),
    worse: worse.map((check) => ({
      label: checkLabel(check, isMany),
      sentence: checkSentence(check, units, isMany),
      verdict: check.verdict,
    })),
  }
}

/** What it comes to, in one sentence, with the gravest verdict that is worse than it was. */
export function weldedSentence({ joints, points, worse }: WeldedTold): {
  readonly text: string
  readonly verdict: Verdict
} {
  const [gravest] = worse
  if (gravest)
    return {
      text: `Worse than tacked: ${worse.map(({ label }) => label).join(', ')}.`,
      verdict: gravest.verdict,
    }
  const moved = [...joints, ...points].filter((row) => row.hasMoved)
  return {
    text:
      moved.length === 0
        ? 'It stands as it stood tacked, as far as the readings tell.'
        : `It stands otherwise, and nothing is worse: ${moved.map(({ of, by }) => `${of} ${by}`).join(', ')}.`,
    verdict: 'holds',
  }
}
