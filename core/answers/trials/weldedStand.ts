import { known, unknown, type Known } from '../../base/known'
import type { Check } from '../../check/check'
import type { Build } from '../../file/build/build'
import type { WeldEntry } from '../../file/kinds/weldKinds'
import { byGravity } from '../../file/limits/verdict'
import type { Id } from '../../file/parts/id'
import { lineFigureId } from '../../model/lineSubject'
import { changedFigures, evaluatedAs, standingIn, type ChangedFigure } from './changedFigures'
import { trialFaults, trialPoses } from './trialPoses'

/** How the powertrain stands welded against how it stood tacked. */
export interface WeldedStand {
  /** Points read again: how far each stands further back, further left and higher, in mm. */
  readonly points: readonly {
    readonly point: Id
    readonly backMm: ChangedFigure
    readonly leftMm: ChangedFigure
    readonly upMm: ChangedFigure
  }[]
  /** Angles of joints cruising at ride height, in degrees. */
  readonly joints: readonly { readonly line: Id; readonly index: number; readonly angleDeg: ChangedFigure }[]
  /** Checks that are worse than they were. */
  readonly worse: readonly Check[]
}

const RIDE = { state: 'ride', at: null } as const

/**
 * What a weld made of where the powertrain stands, from the lift-ins in which its points were read; unknown where three of them
 * were not read again.
 *
 * @see docs/methods/welds.md
 */
export function weldedStand(
  build: Build,
  { tackedIn, weldedIn }: Pick<WeldEntry, 'tackedIn' | 'weldedIn'>,
): Known<WeldedStand> {
  if (weldedIn === undefined) return unknown('a lift-in after welding')
  const read = trialPoses(build, weldedIn).flatMap(({ points }) => points)
  if (read.length === 0) {
    const [fault] = trialFaults(build, weldedIn)
    return unknown(
      fault?.what ?? 'three points of the powertrain, not in one line, each read three ways once welded',
    )
  }
  const [from, to] = [standingIn(build, tackedIn ?? null), standingIn(build, weldedIn)]
  const joints = build.lines.flatMap(({ id, joints: all }) => all.map((_, index) => ({ line: id, index })))
  const pointId = (point: Id, figure: string) => `point/${point}/${figure}`
  const jointId = ({ line, index }: { readonly line: Id; readonly index: number }) =>
    lineFigureId(line, RIDE, `joints[${index}].angleDeg`)
  const ids = [
    ...read.flatMap((point) => PLACE_FIGURES.map((figure) => pointId(point, figure))),
    ...joints.map(jointId),
  ]
  const changes = new Map(changedFigures(from, to, ids).map((one) => [one.id, one] as const))
  return known({
    points: read.flatMap((point) => {
      const [backMm, leftMm, upMm] = PLACE_FIGURES.map((figure) => changes.get(pointId(point, figure)))
      return backMm && leftMm && upMm ? [{ point, backMm, leftMm, upMm }] : []
    }),
    joints: joints.flatMap((joint) => {
      const angleDeg = changes.get(jointId(joint))
      return angleDeg ? [{ ...joint, angleDeg }] : []
    }),
    worse: worseChecks(evaluatedAs(from).checks, evaluatedAs(to).checks),
  })
}

const PLACE_FIGURES = ['stationMm', 'offsetLeftMm', 'heightMm'] as const

/** The gravest first. */
function worseChecks(before: readonly Check[], after: readonly Check[]): Check[] {
  const verdicts = new Map(before.map(({ id, verdict }) => [id, verdict] as const))
  return after
    .filter(({ id, verdict }) => {
      const was = verdicts.get(id)
      return was !== undefined && byGravity(verdict, was) < 0
    })
    .sort((a, b) => byGravity(a.verdict, b.verdict))
}
