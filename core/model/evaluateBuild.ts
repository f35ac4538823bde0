import type { FigureOf } from '../columns/graph'
import { requireFinite } from '../errors'
import { allKnown, known, unknown, type Known, type Missing } from '../known'
import type { RigidMove } from '../linalg/mat3'
import type { Vec3 } from '../linalg/vec3'
import type { Verdict } from '../project/limit'
import { gravest } from '../limits/verdict'
import { figuresOf, type LineFigures } from '../line/lineFigures'
import { turning } from '../line/turning'
import { compile, type CompiledBuild, type CompiledLine, type CompiledState } from './compile'
import { evaluateChain, type ChainEvaluation } from './chainEvaluation'
import { chainsAlong } from './chainTravel'
import { evaluateGap, type GapEvaluation } from './gaps'
import { asMeasured, chainAt, figuresAt, placesAt } from './screen'
import type { LeverSettings } from '../placement/settings'
import type { CompiledTravel } from './compiledTravel'
import { halfshaftsAlong, type HalfshaftEvaluation } from './halfshafts'
import { sweepAt } from './sweep'
import { needsIn } from './stateNeeds'
import { placesBetween, type PlaceBetween, type SetPlace } from './travel'
import type { BodyId } from '../project/body'
import type { Build } from '../project/build'
import type { Line } from '../project/lineSpec'
import type { Geometry } from '../readings/geometry'
import type { LineTorque } from '../strength/lineTorque'
import type { ShaftSpeed } from '../strength/shaftSpeed'
import { isSameState, type Check, type CheckState, type WheelPlace } from '../check/check'
import { judgedPlan, type JudgedState } from '../check/judgedPlan'

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

/** A build at one setting of its levers: geometry, figures, checks. */
export interface Evaluation {
  readonly settings: LeverSettings
  readonly measured: Geometry
  readonly placed: Geometry
  readonly moves: ReadonlyMap<BodyId, Known<RigidMove>>
  /** How far what lies behind the block face was set back by an adapter, in mm; null for not at all. */
  readonly setBack: Known<Vec3> | null
  readonly lines: readonly LineEvaluation[]
  readonly gaps: readonly GapEvaluation[]
  readonly chains: readonly ChainEvaluation[]
  /** Places of the wheels between the named ones where something stands worse. */
  readonly between: readonly PlaceBetween[]
  /** Shafts with a joint that plunges, through the whole travel. */
  readonly halfshafts: readonly HalfshaftEvaluation[]
  /** Places of the wheels as they are set for all this. */
  readonly set: readonly SetPlace[]
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
 */
export const evaluateBuild = (build: Build, settings: LeverSettings): Evaluation =>
  evaluate(compile(build), settings)

/**
 * A compiled build at a setting of its levers.
 *
 * @param settings - lever amounts by id, mm or degrees
 * @throws CoreError `not-finite` for a lever amount that is no number
 */
export function evaluate(compiled: CompiledBuild, settings: LeverSettings): Evaluation {
  for (const [lever, amount] of Object.entries(settings)) requireFinite(amount, `settings.${lever}`)
  const { build, ride, graph, levers, travel } = compiled
  const sweep = travel && sweepAt(graph, build, levers, travel, settings)
  const between = sweep ? placesBetween(build, travel, sweep, settings) : []
  const halfshafts = sweep ? halfshaftsAlong(travel, { build, sweep, settings }) : []
  const along = sweep ? chainsAlong(compiled.chains, travel, { build, sweep, settings }) : []
  const set: SetPlace[] = [...between, ...halfshafts, ...along]
  const figure = figuresAt(compiled, settings, set)
  const places = placesAt(compiled, ride, figure)
  const lines = compiled.lines.map((line) => evaluateLine(compiled, line, figure, between))
  const gaps = compiled.gaps.map((gap) =>
    evaluateGap(gap, figure, (moves) => chainAt(moves, figure), placeIn(travel, between)),
  )
  const chains = compiled.chains.map((chain) =>
    evaluateChain(chain, {
      settings,
      figure,
      along,
      reaches: (moves) => chainAt(moves, figure),
      calledNow: placeIn(travel, between),
    }),
  )
  const checks = checksOf({ lines, gaps, chains })
  return {
    settings,
    measured: asMeasured(compiled),
    placed: {
      points: new Map(build.points.map(({ id }) => [id, places.point(id)])),
      axes: new Map(build.axes.map(({ id }) => [id, places.axis(id)])),
    },
    moves: new Map([...ride.moves.keys()].map((body) => [body, places.move(body)])),
    setBack: places.setBack,
    lines,
    gaps,
    chains,
    between,
    halfshafts: halfshafts.flatMap(({ evaluated }) => evaluated(figure) ?? []),
    set,
    checks,
    verdict: gravest(checks.map((check) => check.verdict)),
    missing: onceEach(checks.flatMap((check) => check.missing)),
    assumptions: [...new Set(checks.flatMap((check) => check.assumptions))],
  }
}

/** Every check of lines, gaps and chains. */
export const checksOf = ({ lines, gaps, chains }: Pick<Evaluation, 'lines' | 'gaps' | 'chains'>): Check[] => [
  ...lines.flatMap((line) => line.checks),
  ...gaps.map(({ check }) => check),
  ...chains.flatMap((chain) => chain.checks),
]

/** Settings of the position that is chosen. */
export const chosenSettings = (build: Build): LeverSettings =>
  build.positions.find((position) => position.id === build.chosen)?.settings ?? {}

function evaluateLine(
  compiled: CompiledBuild,
  { line, speed, torque, states, checks }: CompiledLine,
  figure: FigureOf,
  between: readonly PlaceBetween[],
): LineEvaluation {
  const placed = placeIn(compiled.travel, between)
  const judged = states.flatMap((state): JudgedState[] => {
    const at = placed(state.state.at)
    if (at === undefined) return []
    const figures = figuresIn(compiled, line, state, figure)
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

/** A place of the wheels as it is called now; undefined for a spare one that nothing stands at. */
function placeIn(
  travel: CompiledTravel | null,
  between: readonly PlaceBetween[],
): (at: WheelPlace | null) => WheelPlace | null | undefined {
  const spares = new Set(travel?.spares.map(({ id }) => id))
  const used = new Map(between.map(({ id, name }) => [id, { id, name }]))
  return (at) => (at !== null && spares.has(at.id) ? used.get(at.id) : at)
}

/** A line's figures in one state; unknown with everything that was not read or cannot be reached. */
function figuresIn(
  compiled: CompiledBuild,
  line: Line,
  { state, placed, columns, figures: own, needs: resting }: CompiledState,
  figure: FigureOf,
): Known<LineFigures> {
  const places = placesAt(compiled, placed, figure)
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

function onceEach(missing: readonly Missing[]): Missing[] {
  return missing.filter((one, index) => missing.findIndex((other) => other.what === one.what) === index)
}
