import { lineChecks } from '../check/lineChecks'
import { windingBody, type LineState } from '../check/lineStates'
import type { CheckPlan } from '../check/plannedCheck'
import type { Graph, VectorColumns } from '../base/columns/graph'
import { known, mapKnown, type Known } from '../base/known'
import { lineFigureColumns, type LineFigureColumns } from '../line/figureColumns'
import { FLOW_DIRECTIONS, lineColumns, type LineColumns } from '../line/lineColumns'
import type { Build } from '../file/build/build'
import type { CentreBearing, Line } from '../file/parts/lineSpec'
import { crossesOf } from '../file/parts/stock'
import { lineTorque, type LineTorque } from '../vehicle/strength/lineTorque'
import { lineSpeed, type ShaftSpeed } from '../vehicle/strength/shaftSpeed'
import type { SweptLine } from '../stand/compiledTravel'
import { bodiesOf, type PlacedState } from '../stand/placedState'
import type { Places } from '../stand/places'
import { stateNeeds, type StateNeeds } from '../stand/stateNeeds'

/** A line in one state it is judged in. */
export interface CompiledState {
  readonly state: LineState
  readonly placed: PlacedState
  /** Unknown for want of a reading, whatever the levers do. */
  readonly columns: Known<LineColumns>
  readonly figures: LineFigureColumns | null
  readonly needs: StateNeeds
}

/** A line with its figures in every state and its checks. */
export interface CompiledLine {
  readonly line: Line
  readonly speed: Known<ShaftSpeed>
  readonly torque: Known<LineTorque>
  readonly states: readonly CompiledState[]
  readonly checks: readonly CheckPlan[]
  /** At the place that goes through the travel; null for one that does not go along. */
  readonly swept: SweptLine | null
}

/**
 * A line in some states.
 *
 * @param isFollowed - it was told how far its wheels go, so that a slip yoke is followed on its spline
 */
export function compiledIn(
  { build, graph, places }: { readonly build: Build; readonly graph: Graph; readonly places: Places },
  line: Line,
  inStates: readonly LineState[],
  isFollowed: boolean,
): Omit<CompiledLine, 'swept'> {
  const speed = lineSpeed(build, line)
  const torque = lineTorque(build, line)
  const duty = {
    speedRpm: speed.known ? speed.value.speedRpm : null,
    torqueNm: torque.known ? torque.value.designNm : null,
    crosses: line.joints.map(({ cross }) => crossesOf(build).find(({ id }) => id === cross) ?? null),
  }
  const resting = lineColumns(graph, line, places.placed(null, null))
  const states = inStates.map((state): CompiledState => {
    const placed = places.placed(state, windingBody(build, line))
    const isResting = placed === places.placed(null, null)
    const columns = isResting
      ? resting
      : lineColumns(graph, line, placed, isFollowed && resting.known ? resting.value : null)
    const isRide = state.state === 'ride' && state.at === null
    const seats = line.shafts.map(({ bearing }) => (bearing ? seatOf(graph, line, bearing, placed) : null))
    const figures = columns.known ? lineFigureColumns(graph, line, columns.value, duty, seats, isRide) : null
    return { state, placed, columns, figures, needs: stateNeeds(line, placed, bodiesOf(build)) }
  })
  const planned = states.map(({ state, figures }) => ({ state: state.state, at: state.at, figures }))
  const needs = {
    speed,
    torque,
    seats: line.shafts.map(({ bearing }) => seatNeed(bearing, states[0]?.placed)),
  }
  return { line, speed, torque, states, checks: lineChecks(line, build.limits.entries, needs, planned) }
}

/** The axis of a bearing's seat; straight along the power flow where it has none of its own. */
function seatOf(
  graph: Graph,
  line: Line,
  { axis }: CentreBearing,
  placed: PlacedState,
): VectorColumns | null {
  if (axis === undefined)
    return FLOW_DIRECTIONS[line.flow ?? 'rearward'].map(graph.source) as unknown as VectorColumns
  const direction = placed.axis(axis)
  return direction.known ? direction.value : null
}

/** What is taken for granted of a seat, or missing for it. */
function seatNeed(bearing: CentreBearing | undefined, placed: PlacedState | undefined): Known<null> {
  if (!bearing || !placed) return known(null)
  if (bearing.axis !== undefined) return mapKnown(placed.axis(bearing.axis), () => null)
  return known(null, ['the seat of the centre bearing is taken to look straight along the vehicle'])
}
