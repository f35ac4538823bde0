import type { VectorColumns } from '../base/columns/graph'
import { vectorAt } from '../measure/geometry/geometry'
import type { CheckHead } from '../check/judge'
import type { PlannedCheck } from '../check/plannedCheck'
import { gravestOf } from '../file/limits/grade'
import { standing } from '../file/limits/verdict'
import type { Vec3 } from '../base/linalg/vec3'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { Verdict, Window } from '../file/build/limit'
import type { Id } from '../file/parts/id'
import type { CompiledBuild } from './compile'
import { heightsInRow, sweepAt, sweptWorst, waysOf, type Sweep, type SweepWay } from '../stand/sweep'

/** A checked figure along one way through the travel, under the torque under which it is worst. */
export interface TravelCurve {
  readonly head: CheckHead
  readonly window: Window
  readonly way: SweepWay
  /** In the figure's unit, row by row; NaN where it is not reached. */
  readonly values: readonly number[]
  readonly worst: {
    readonly atMm: number
    readonly value: number
    readonly verdict: Exclude<Verdict, 'unknown'>
    /** As a check tells it: to what fails, else to the warning; null where nothing limits it. */
    readonly margin: number | null
  } | null
}

/** A line where it stands in each row of a way. */
export interface TravelLine {
  readonly lineId: Id
  /** Of its joints, row by row, in mm, chassis frame. */
  readonly centres: readonly (readonly Vec3[])[]
  /** Working angles of its joints, row by row, in degrees. */
  readonly anglesDeg: readonly (readonly number[])[]
  /** Of its driven axis, row by row: unit vectors along the power flow. */
  readonly driven: readonly Vec3[]
}

/** One way through the travel: both wheels together, or crossed. */
export interface TravelWay {
  readonly way: SweepWay
  /** How far the left and the right wheel of the first axle are up, row by row, in mm. */
  readonly leftUpMm: readonly number[]
  readonly rightUpMm: readonly number[]
  readonly curves: readonly TravelCurve[]
  readonly lines: readonly TravelLine[]
}

/**
 * Every check along the ways through the travel, as the levers stand.
 *
 * @returns none where nobody has told how far the wheels go
 * @see docs/methods/travel.md
 */
export function travelWays(compiled: CompiledBuild, settings: LeverSettings): TravelWay[] {
  const { travel, graph, build, levers } = compiled
  const [axle] = travel?.axles ?? []
  if (!travel || !axle) return []
  const sweep = sweepAt(graph, build, levers, travel, settings)
  const ways = [...new Set(sweep.rows.map(({ way }) => way))]
  return ways.map((way): TravelWay => {
    const part = partOf(sweep, way)
    const heights = part.rows.map((row) => heightsInRow(build, axle, row, settings))
    return {
      way,
      leftUpMm: heights.map(([left]) => left),
      rightUpMm: heights.map(([, right]) => right),
      curves: curvesOf(travel.plans, part, way),
      lines: compiled.lines.flatMap(({ swept }): TravelLine[] => {
        if (!swept?.columns) return []
        const { lineId, columns } = swept
        const vectors = (list: readonly VectorColumns[], i: number): Vec3[] =>
          list.map((vector) => vectorAt((column) => part.cells(column)[i] ?? NaN)(vector))
        const last = columns.axes.slice(-1)
        return [
          {
            lineId,
            centres: part.rows.map((_, i) => vectors(columns.centres, i)),
            anglesDeg: part.rows.map((_, i) =>
              columns.anglesDeg.map((column) => part.cells(column)[i] ?? NaN),
            ),
            driven: part.rows.flatMap((_, i) => vectors(last, i)),
          },
        ]
      }),
    }
  })
}

/** The rows of one way of a sweep. */
function partOf({ rows, atMm, rideMm, cells }: Sweep, way: SweepWay): Sweep {
  const from = rows.findIndex((row) => row.way === way)
  const to = rows.findLastIndex((row) => row.way === way) + 1
  const [own, places] = [rows.slice(from, to), atMm.slice(from, to)]
  return {
    rows: own,
    atMm: places,
    ways: waysOf(own, places),
    rideMm,
    cells: (column) => cells(column).subarray(from, to),
  }
}

/** One curve for each check: under the torque under which it comes worst. */
function curvesOf(plans: readonly PlannedCheck[], part: Sweep, way: SweepWay): TravelCurve[] {
  return [...grouped(plans).values()].flatMap((states): TravelCurve[] => {
    const found = states.flatMap((plan) => {
      const worst = sweptWorst(plan, part)
      return worst ? [{ ...worst, plan }] : []
    })
    const worst = gravestOf(found)
    if (!worst) return states.slice(0, 1).flatMap((plan) => curveOf(plan, part, way))
    const { plan } = worst
    const { verdict, margin } = standing(worst.value, plan.window)
    return curveOf(plan, part, way, { atMm: worst.atMm, value: worst.value, verdict, margin })
  })
}

function curveOf(
  { head, window, value }: PlannedCheck,
  part: Sweep,
  way: SweepWay,
  worst: TravelCurve['worst'] = null,
): TravelCurve[] {
  if (value === null || typeof value === 'number') return []
  return [{ head, window, way, values: [...part.cells(value.column)], worst }]
}

function grouped(plans: readonly PlannedCheck[]): Map<Id, PlannedCheck[]> {
  const groups = new Map<Id, PlannedCheck[]>()
  for (const plan of plans) groups.set(plan.head.id, [...(groups.get(plan.head.id) ?? []), plan])
  return groups
}

/** A line somewhere along a way, between its rows by the straight line. */
export function lineAt(
  { leftUpMm, rightUpMm }: Pick<TravelWay, 'leftUpMm' | 'rightUpMm'>,
  { centres, anglesDeg, driven }: TravelLine,
  mm: number,
) {
  const over = (values: readonly number[]) => valueAt(leftUpMm, values, mm)
  const vector = (rows: readonly Vec3[]): Vec3 => [
    over(rows.map(([x]) => x)),
    over(rows.map(([, y]) => y)),
    over(rows.map(([, , z]) => z)),
  ]
  return {
    centres: (centres[0] ?? []).map((_, i) => vector(centres.map((row) => row[i] ?? [NaN, NaN, NaN]))),
    anglesDeg: (anglesDeg[0] ?? []).map((_, i) => over(anglesDeg.map((row) => row[i] ?? NaN))),
    driven: vector(driven),
    /** Left wheel above the right one, in mm. */
    slope: mm - over(rightUpMm),
  }
}

/** What stands over a place between rows, by the straight line between the two nearest; NaN beyond them. */
export function valueAt(atMm: readonly number[], values: readonly number[], mm: number): number {
  const i = atMm.findIndex((one, index) => index > 0 && one >= mm)
  const [x0 = NaN, x1 = NaN, y0 = NaN, y1 = NaN] = [atMm[i - 1], atMm[i], values[i - 1], values[i]]
  if (mm < (atMm[0] ?? NaN) - 1e-9) return NaN
  return x1 === x0 ? y1 : y0 + ((mm - x0) / (x1 - x0)) * (y1 - y0)
}
