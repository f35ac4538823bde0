import { isSameState, type Check, type CheckState } from '../check/check'
import { judgedPlan, type JudgedState } from '../check/judgedPlan'
import type { FigureOf } from '../base/columns/graph'
import { allKnown, known, unknown, type Known } from '../base/known'
import { figuresOf, type LineFigures } from '../line/lineFigures'
import { turning } from '../line/turning'
import type { Line } from '../file/parts/lineSpec'
import type { LineTorque } from '../vehicle/strength/lineTorque'
import type { ShaftSpeed } from '../vehicle/strength/shaftSpeed'
import type { CompiledLine, CompiledState } from './compiledLine'
import type { PlacesAt } from '../stand/placesAt'
import { needsIn } from '../stand/stateNeeds'
import type { Stand } from './subject'

/** One line at one setting of the levers. */
export interface LineEvaluation {
  readonly line: Line
  readonly speed: Known<ShaftSpeed>
  /** The most torque of its driving axis. */
  readonly torque: Known<LineTorque>
  readonly ride: Known<LineFigures>
  /** With the axle wound up as expected; null unless the line is judged there. */
  readonly drive: Known<LineFigures> | null
  /** With the nose pressed down on overrun; null unless the line is judged there. */
  readonly coast: Known<LineFigures> | null
  /** In every state it is judged in, at ride height first. */
  readonly states: readonly JudgedState[]
  readonly checks: readonly Check[]
}

/** A line with its values. */
export function evaluateLine(
  { line, speed, torque, states, checks }: CompiledLine,
  { figure, placesAt, calledNow }: Stand,
): LineEvaluation {
  const judged = states.flatMap((state): JudgedState[] => {
    const at = calledNow(state.state.at)
    if (at === undefined) return []
    const figures = figuresIn(line, state, placesAt(state.placed), figure)
    return [{ state: state.state.state, at, figures, turning: turning(line, figures) }]
  })
  const atRide = (state: CheckState) =>
    judged.find((one) => isSameState(one, { state, at: null }))?.figures ?? null
  return {
    line,
    speed,
    torque,
    ride: atRide('ride') ?? unknown(`${line.name}: not judged`),
    drive: atRide('drive'),
    coast: atRide('coast'),
    states: judged,
    checks: checks.flatMap((plan) => judgedPlan(plan, judged, figure) ?? []),
  }
}

/** A line's figures in one state; unknown with everything that was not read or cannot be reached. */
function figuresIn(
  line: Line,
  { state, columns, figures: own, needs: resting }: CompiledState,
  places: PlacesAt,
  figure: FigureOf,
): Known<LineFigures> {
  const needs = needsIn(resting, line, places, figure)
  if (!needs.known) return needs
  if (!columns.known) return columns
  const bearings = line.shafts.map(({ bearing }, index) => {
    if (!bearing) return null
    const [seat, force] = [own?.misalignments[index], own?.bearingForces[index]]
    return {
      place: places.point(bearing.point),
      misalignmentDeg: seat ? figure(seat.column) : null,
      forceN: force ? figure(force.column) : null,
    }
  })
  const crossShares = line.joints.map((_, joint) => {
    const share = own?.crossShares[joint]
    return share ? figure(share.column) : null
  })
  const figures = figuresOf(line, columns.value, figure, { bearings, crossShares })
  const all = allKnown<[LineFigures, number]>([figures, state.noseUpDeg])
  return all.known ? known(all.value[0], [...new Set([...needs.assumptions, ...all.assumptions])]) : all
}
