import { requireFinite } from '../errors'
import { allKnown, mapKnown, type Known, type Missing } from '../known'
import type { RigidMove } from '../linalg/mat3'
import type { Verdict } from '../limits/limit'
import { gravest } from '../limits/verdict'
import { lineFigures, type LineFigures } from '../line/lineFigures'
import { bodyMoves, movedGeometry, type LeverSettings } from '../placement/bodyMoves'
import type { BodyId, Build } from '../project/build'
import type { Line } from '../project/lineSpec'
import { measuredGeometry, type Geometry } from '../readings/geometry'
import { shaftSpeed, type ShaftSpeed } from '../strength/shaftSpeed'
import type { Check, CheckState } from './check'
import type { JudgedState } from './judgedState'
import { lineChecks } from './lineChecks'
import { lineStates } from './lineStates'

/** One line at one setting of the levers. */
export interface LineEvaluation {
  readonly line: Line
  readonly speed: Known<ShaftSpeed>
  readonly ride: Known<LineFigures>
  /** With the axle wound up as expected; null unless the line is judged there. */
  readonly drive: Known<LineFigures> | null
  /** With the nose pressed down on overrun; null unless the line is judged there. */
  readonly coast: Known<LineFigures> | null
  readonly checks: readonly Check[]
}

/** A build at one setting of its levers: geometry, figures, checks. */
export interface Evaluation {
  readonly settings: LeverSettings
  readonly measured: Geometry
  readonly placed: Geometry
  readonly moves: ReadonlyMap<BodyId, Known<RigidMove>>
  readonly lines: readonly LineEvaluation[]
  readonly checks: readonly Check[]
  readonly verdict: Verdict
  readonly missing: readonly Missing[]
  readonly assumptions: readonly string[]
}

/**
 * From readings to verdicts: geometry, lines and checks at a setting of the levers.
 *
 * @param settings - lever amounts by id, mm or degrees
 * @throws CoreError `not-finite` for a lever amount that is no number
 * @param measured - pass the geometry of the same build to save deriving it again while a lever moves
 */
export function evaluateBuild(
  build: Build,
  settings: LeverSettings,
  measured: Geometry = measuredGeometry(build),
): Evaluation {
  for (const [lever, amount] of Object.entries(settings)) requireFinite(amount, `settings.${lever}`)
  const moves = bodyMoves(build, measured, settings)
  const placed = movedGeometry(build, measured, moves)
  const lines = build.lines.map((line) => evaluateLine(build, line, settings, measured, placed))
  const checks = lines.flatMap((line) => line.checks)
  return {
    settings,
    measured,
    placed,
    moves,
    lines,
    checks,
    verdict: gravest(checks.map((check) => check.verdict)),
    missing: onceEach(checks.flatMap((check) => check.missing)),
    assumptions: [...new Set(checks.flatMap((check) => check.assumptions))],
  }
}

/** Settings of the position that is chosen. */
export const chosenSettings = (build: Build): LeverSettings =>
  build.positions.find((position) => position.id === build.chosen)?.settings ?? {}

function evaluateLine(
  build: Build,
  line: Line,
  settings: LeverSettings,
  measured: Geometry,
  placed: Geometry,
): LineEvaluation {
  const speed = shaftSpeed(line)
  const states = lineStates(line).map(({ state, noseUpDeg }): JudgedState => {
    const geometry = state === 'ride' ? placed : woundUp(build, line, settings, measured, valueOf(noseUpDeg))
    const figures = lineFigures(line, geometry)
    return { state, figures: mapKnown(allKnown([figures, noseUpDeg]), ([found]) => found) }
  })
  const inState = (state: CheckState) => states.find((one) => one.state === state)?.figures ?? null
  return {
    line,
    speed,
    ride: inState('ride') ?? lineFigures(line, placed),
    drive: inState('drive'),
    coast: inState('coast'),
    checks: lineChecks(line, build.limits.entries, speed, states),
  }
}

const valueOf = (figure: Known<number>): number => (figure.known ? figure.value : 0)

/** The body of the driven axis, which winds up; a transfer case or gearbox does not. */
export const windingBody = (build: Build, line: Line): BodyId =>
  build.axes.find((axis) => axis.id === line.driven)?.body ?? ''

/** The geometry with the driven axle's nose turned up as its torque does. */
function woundUp(
  build: Build,
  line: Line,
  settings: LeverSettings,
  measured: Geometry,
  noseUpDeg: number,
): Geometry {
  const rise = { [windingBody(build, line)]: noseUpDeg }
  return movedGeometry(build, measured, bodyMoves(build, measured, settings, rise))
}

function onceEach(missing: readonly Missing[]): Missing[] {
  return missing.filter((one, index) => missing.findIndex((other) => other.what === one.what) === index)
}
