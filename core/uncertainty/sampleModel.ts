import type { Check, CheckState } from '../check/check'
import { checkValue } from '../check/checkValue'
import { evaluateBuild } from '../check/evaluateBuild'
import type { FallPlan } from '../frame/axis'
import { lineNumbers } from '../line/lineNumbers'
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
import { lineFigureList, sampledLine, type SampledLine } from './figures'

/** One figure that is sampled. */
export interface SampledFigure {
  readonly id: string
  /** Where a check may stand; null for figures that are not judged. */
  readonly window: Window | null
}

/** A build at one setting of its levers as a function of its measured figures. */
export interface SampleModel {
  readonly inputs: readonly Input[]
  readonly figures: readonly SampledFigure[]
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
  const stages: Stage[] = evaluation.lines.flatMap(({ line, speed, ride: atRide, drive, checks }) => {
    const speedRpm = speed.known ? speed.value.speedRpm : null
    const of = (state: CheckState) =>
      checks.filter((check) => check.state === state && check.value !== null && isGeometric(check))
    const axle = build.axes.find((axis) => axis.id === line.driven)?.body ?? ''
    return [
      ...(atRide.known ? [{ line, state: 'ride' as const, speedRpm, rules: ride, checks: of('ride') }] : []),
      ...(drive?.known
        ? [
            {
              line,
              state: 'drive' as const,
              speedRpm,
              rules: moveRules(build, settings, { [axle]: line.expectedRiseDeg ?? 0 }),
              checks: of('drive'),
            },
          ]
        : []),
    ]
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
  return {
    inputs: model.inputs,
    figures: [
      ...placedIds.points.flatMap((id) =>
        POINT_FIGURES.map((name) => ({ id: `point/${id}/${name}`, window: null })),
      ),
      ...placedIds.axes.flatMap((id) =>
        AXIS_FIGURES.map((name) => ({ id: `axis/${id}/${name}`, window: null })),
      ),
      ...lines.flatMap((figures) => figures.map(({ id, window }) => ({ id, window }))),
    ],
    evaluate: (values, out) => {
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
      stages.forEach((stage, i) => {
        const sample = sampleAt(stage, places(stage.rules))
        for (const { of } of lines[i] ?? []) out[k++] = of(sample)
      })
    },
  }
}

/** Figures of a point and of an axis, in the order in which they are filled in. */
const POINT_FIGURES = ['stationMm', 'offsetLeftMm', 'heightMm'] as const
const AXIS_FIGURES = ['fallDeg', 'planDeg'] as const

const sampleAt = ({ line, state }: Stage, places: Places): SampledLine =>
  sampledLine(line, lineNumbers(line, placedLine(line, places)), state === 'ride')

interface StageFigure extends SampledFigure {
  readonly of: (sample: SampledLine) => number
}

function stageFigures({ line, state, speedRpm, checks }: Stage, atMeans: SampledLine): StageFigure[] {
  return [
    ...lineFigureList(line, atMeans, speedRpm).map(({ name, of }) => ({
      id: lineFigureId(line.id, state, name),
      window: null,
      of,
    })),
    ...checks.map((check) => ({
      id: checkFigureId(check),
      window: check.window,
      of: ({ numbers }: SampledLine) => checkValue(check, numbers, speedRpm),
    })),
  ]
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

/** Places after their bodies have moved. */
function movedPlaces(raw: Places, rules: ReadonlyMap<BodyId, MoveRule>, bodies: Bodies): Places {
  const moves = new Map<BodyId, RigidMove>()
  const moveOf = (body: BodyId | undefined): RigidMove => {
    const there = moves.get(body ?? '')
    if (there) return there
    const move = rules.get(body ?? '')?.move(raw) ?? NO_MOVE
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
