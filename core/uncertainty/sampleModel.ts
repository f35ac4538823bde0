import type { Check, CheckState } from '../check/check'
import { checkValue } from '../check/checkValue'
import { evaluateBuild, windingBody } from '../check/evaluateBuild'
import { lineStates } from '../check/lineStates'
import { CoreError } from '../errors'
import type { FallPlan } from '../frame/axis'
import { lineNumbers } from '../line/lineNumbers'
import { turning } from '../line/turning'
import { placedLine } from '../line/lineGeometry'
import { movePoint, NO_MOVE, type RigidMove } from '../linalg/mat3'
import type { Vec3 } from '../linalg/vec3'
import type { Window } from '../limits/limit'
import { movedAxis, moveRules, type LeverSettings, type MoveRule } from '../placement/bodyMoves'
import type { BodyId, Build } from '../project/build'
import type { Id } from '../project/id'
import type { Line } from '../project/lineSpec'
import { geometryAt, geometryModel, type GeometryModel, type Places } from '../readings/geometry'
import { meansOf, type Formula, type Input, type Values } from '../readings/formula'
import { degrees } from '../units/angle'
import {
  jointVector,
  lineFigureList,
  pairVector,
  sampledLine,
  unevennessVector,
  type FigureVector,
  type SampledLine,
} from './figures'

/** One figure that is sampled. */
export interface SampledFigure {
  readonly id: string
  /** Where a check may stand; null for figures that are not judged. */
  readonly window: Window | null
  /** Where in the filled columns the vector behind the figure stands, and what the figure is when it is nought. */
  readonly vector?: { readonly at: number; readonly figureAtNought: number }
}

/** A build at one setting of its levers as a function of its measured figures. */
export interface SampleModel {
  readonly inputs: readonly Input[]
  readonly figures: readonly SampledFigure[]
  /** How many columns `evaluate` fills: the figures, then the vectors behind some of them. */
  readonly columns: number
  /** Fills `out` with the figures, in their order; NaN where a sample has no answer. */
  readonly evaluate: (values: Values, out: Float64Array) => void
}

/** Id under which a check's value is sampled. */
export const checkFigureId = (check: Pick<Check, 'id'>): string => `check/${check.id}`
/** Id under which a figure of a line is sampled. */
export const lineFigureId = (lineId: Id, state: CheckState, name: string): string =>
  `line/${lineId}/${state}/${name}`

/** One line in one state, ready to be placed for any sample. */
interface Stage {
  readonly line: Line
  readonly state: CheckState
  readonly speedRpm: number | null
  readonly rules: ReadonlyMap<BodyId, MoveRule>
  readonly checks: readonly Check[]
}

/**
 * The whole way from readings to checks as one function, for sampling: the same formulas as `evaluateBuild`.
 *
 * Figures that are unknown at the means are left out.
 *
 * @see docs/methods/uncertainty.md
 */
export function sampleModel(build: Build, settings: LeverSettings): SampleModel {
  const model = geometryModel(build)
  const means = meansOf(model.inputs)
  const evaluation = evaluateBuild(build, settings, geometryAt(model, means))
  const bodies = bodiesOf(build)
  const ride = moveRules(build, settings)
  const stages: Stage[] = evaluation.lines.flatMap((found) => {
    const { line, speed, checks } = found
    const speedRpm = speed.known ? speed.value.speedRpm : null
    return lineStates(line).flatMap(({ state, noseUpDeg }) => {
      const figures = found[state]
      // Beyond a right angle nothing can be sampled: ratios run away.
      if (!figures || !turning(line, figures).known || !noseUpDeg.known) return []
      const rise = { [windingBody(build, line)]: noseUpDeg.value }
      const judged = checks.filter((check) => check.state === state && check.value !== null)
      return [
        {
          line,
          state,
          speedRpm,
          rules: state === 'ride' ? ride : moveRules(build, settings, rise),
          checks: judged.filter(isGeometric),
        },
      ]
    })
  })
  const placedIds = {
    points: [...evaluation.placed.points].filter(([, place]) => place.known).map(([id]) => id),
    axes: [...evaluation.placed.axes].filter(([, place]) => place.known).map(([id]) => id),
  }
  const placesAt = (values: Values) => {
    const raw = rawPlaces(model, values)
    return (rules: ReadonlyMap<BodyId, MoveRule>) => movedPlaces(raw, rules, bodies)
  }
  const atMeans = placesAt(means)
  const lines = stages.map((stage) => stageFigures(stage, sampleAt(stage, atMeans(stage.rules))))
  const plain = [
    ...placedIds.points.flatMap((id) =>
      POINT_FIGURES.map((name) => ({ id: `point/${id}/${name}`, window: null })),
    ),
    ...placedIds.axes.flatMap((id) =>
      AXIS_FIGURES.map((name) => ({ id: `axis/${id}/${name}`, window: null })),
    ),
  ]
  let columns = plain.length + lines.reduce((sum, figures) => sum + figures.length, 0)
  const figures: SampledFigure[] = [
    ...plain,
    ...lines.flat().map(({ id, window, vector }) => {
      if (!vector) return { id, window }
      columns += 2
      return { id, window, vector: { at: columns - 2, figureAtNought: vector.figureAtNought } }
    }),
  ]
  return {
    inputs: model.inputs,
    figures,
    columns,
    evaluate: answeringNaN((values, out) => {
      const places = placesAt(values)
      const placed = places(ride)
      let k = 0
      for (const id of placedIds.points) {
        const [x, y, z] = placed.point(id)
        out[k++] = -x
        out[k++] = y
        out[k++] = z
      }
      for (const id of placedIds.axes) {
        const { fall, plan } = placed.axis(id)
        out[k++] = degrees(fall)
        out[k++] = degrees(plan)
      }
      let v = figures.length
      stages.forEach((stage, i) => {
        const sample = sampleAt(stage, places(stage.rules))
        for (const { of, vector } of lines[i] ?? []) {
          out[k++] = of(sample)
          if (!vector) continue
          const [x, y] = vector.of(sample)
          out[v++] = x
          out[v++] = y
        }
      })
    }),
  }
}

/** A sample that strays beyond what the formulas can answer has no figures; that is for the tallies to count. */
function answeringNaN(evaluate: SampleModel['evaluate']): SampleModel['evaluate'] {
  return (values, out) => {
    try {
      evaluate(values, out)
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      out.fill(NaN)
    }
  }
}

/** Figures of a point and of an axis, in the order in which they are filled in. */
const POINT_FIGURES = ['stationMm', 'offsetLeftMm', 'heightMm'] as const
const AXIS_FIGURES = ['fallDeg', 'planDeg'] as const

const sampleAt = ({ line, state }: Stage, places: Places): SampledLine =>
  sampledLine(line, lineNumbers(line, placedLine(line, places)), state === 'ride')

interface StageFigure {
  readonly id: string
  readonly window: Window | null
  readonly of: (sample: SampledLine) => number
  readonly vector?: FigureVector
}

function stageFigures({ line, state, speedRpm, checks }: Stage, atMeans: SampledLine): StageFigure[] {
  return [
    ...lineFigureList(line, atMeans, speedRpm).map(({ name, of, vector }) => ({
      id: lineFigureId(line.id, state, name),
      window: null,
      of,
      vector,
    })),
    ...checks.map((check) => ({
      id: checkFigureId(check),
      window: check.window,
      of: ({ numbers }: SampledLine) => checkValue(check, numbers, speedRpm),
      vector: checkVector(line, check, atMeans),
    })),
  ]
}

/** The vector behind a checked figure; absent for one that is not the length of any. */
function checkVector(line: Line, { quantity, subject }: Check, like: SampledLine): FigureVector | undefined {
  const index = subject.of === 'line' ? 0 : subject.index
  switch (quantity) {
    case 'joint-angle':
    case 'flex-disc-angle':
      return jointVector(index, like)
    case 'pair-difference':
      return pairVector(index)
    case 'torsional-acceleration':
      return unevennessVector(line.joints.length - 1, like)
    default:
      return undefined
  }
}

const isGeometric = (check: Check): boolean =>
  check.quantity !== 'set-in' && check.quantity !== 'centring-pilot'

interface Bodies {
  readonly ofPoint: ReadonlyMap<Id, BodyId>
  readonly ofAxis: ReadonlyMap<Id, BodyId>
}

const bodiesOf = (build: Build): Bodies => ({
  ofPoint: new Map(build.points.map((point) => [point.id, point.body])),
  ofAxis: new Map(build.axes.map((axis) => [axis.id, axis.body])),
})

/** Places as measured in one sample, each worked out once and only when asked for. */
function rawPlaces({ points, axes }: GeometryModel, values: Values): Places {
  const once = <T>(formulas: GeometryModel['points'] | GeometryModel['axes']) => {
    const made = new Map<Id, T>()
    return (id: Id): T => {
      const there = made.get(id)
      if (there !== undefined) return there
      const formula = formulas.get(id)
      const value = (formula?.known ? (formula.value as Formula<unknown>)(values) : undefined) as T
      made.set(id, value)
      return value
    }
  }
  return { point: once<Vec3>(points), axis: once<FallPlan>(axes) }
}

/** A move that does not exist takes every point nowhere. */
const IMPOSSIBLE_MOVE: RigidMove = {
  rotation: [
    [NaN, NaN, NaN],
    [NaN, NaN, NaN],
    [NaN, NaN, NaN],
  ],
  shift: [NaN, NaN, NaN],
}

/** Places after their bodies have moved. */
function movedPlaces(raw: Places, rules: ReadonlyMap<BodyId, MoveRule>, bodies: Bodies): Places {
  const moves = new Map<BodyId, RigidMove>()
  const moveOf = (body: BodyId | undefined): RigidMove => {
    const there = moves.get(body ?? '')
    if (there) return there
    const rule = rules.get(body ?? '')
    const move = rule ? (rule.move(raw) ?? IMPOSSIBLE_MOVE) : NO_MOVE
    moves.set(body ?? '', move)
    return move
  }
  return {
    point: (id) => {
      const move = moveOf(bodies.ofPoint.get(id))
      return move === NO_MOVE ? raw.point(id) : movePoint(move, raw.point(id))
    },
    axis: (id) => movedAxis(moveOf(bodies.ofAxis.get(id)), raw.axis(id)),
  }
}
