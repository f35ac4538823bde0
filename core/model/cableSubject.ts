import type { FigureOf, VectorColumns } from '../base/columns/graph'
import { mapKnown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import type { Check } from '../check/check'
import { plainCheck } from '../check/plainCheck'
import type { PlannedCheck } from '../check/plannedCheck'
import type { Bulkhead, Cable } from '../file/parts/cable'
import type { BulkheadFrame } from '../shift/cable/bulkheadFrame'
import { CABLE_FIGURES, cableColumns, type CableColumns, type CableFigure } from './cableColumns'
import { cablePlans } from './cablePlans'
import { plannedColumns, type Ground, type Subject, type SubjectFigure } from './subject'

interface CompiledCable {
  readonly cable: Cable
  readonly columns: Known<CableColumns>
  readonly plans: readonly PlannedCheck[]
}

/** A bulkhead as it stands: the mark that holes are told from, and its frame. */
export interface BulkheadFound extends BulkheadFrame {
  readonly bulkhead: Bulkhead
  readonly mark: Vec3
}

/** A cable as the levers stand. */
export interface CableFound {
  /** Fixing, corners, fixing; with the radius at each inner one. */
  readonly points: readonly Vec3[]
  readonly radiiMm: readonly number[]
  /** How many of them are on the driver's side of the bulkhead. */
  readonly before: number
  readonly bulkhead: BulkheadFound | null
  readonly figures: Readonly<Partial<Record<CableFigure, number>>>
  readonly hot: readonly {
    readonly point: string
    readonly at: Vec3
    readonly gapMm: number
    readonly toMm: number
  }[]
}
export interface CableEvaluation {
  readonly cable: Cable
  readonly found: Known<CableFound>
  readonly checks: readonly Check[]
}

/** The cables of a build. */
export const CABLES: Subject<CompiledCable, CableEvaluation> = {
  key: 'cables',
  compile: (ground) => {
    const things = (ground.build.cables ?? []).map((cable) => compileCable(ground, cable))
    const plans = things.flatMap((thing) => thing.plans)
    const figures = things.flatMap(figuresOf)
    const stands = things.flatMap(({ columns }) => (columns.known ? standsOf(columns.value) : []))
    return {
      key: 'cables',
      things,
      plans,
      mustKeep: [],
      wants: [...figures.map(({ column }) => column), ...plannedColumns(plans), ...stands],
      swept: { plans: [], wants: [] },
      spares: [],
      figures,
      look: () => ({ set: [], found: ({ figure }) => things.map((thing) => evaluationOf(thing, figure)) }),
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  json: (all) =>
    all.map(({ cable: { id, name }, found }) => ({
      ...{ id, name },
      ...(found.known && found.value.figures),
      hot: found.known ? found.value.hot.map(({ point, toMm }) => ({ point, toMm })) : [],
      missing: found.known ? [] : found.missing,
    })),
  rejudged: (found, change) => found.map((one) => ({ ...one, checks: one.checks.map(change) })),
}

function compileCable(ground: Ground, cable: Cable): CompiledCable {
  const columns = cableColumns(ground, cable)
  return { cable, columns, plans: cablePlans(ground, cable, columns) }
}

const standsOf = ({ points, bulkhead, hot }: CableColumns) => [
  ...points.flat(),
  ...hot.flatMap(({ at, column }) => [...at, column]),
  ...(bulkhead ? [bulkhead.mark, bulkhead.left, bulkhead.up, bulkhead.through].flat() : []),
]

/** Under which the ± of a figure is kept. */
export const cableFigureId = (cable: string, name: string): string => `cable/${cable}/${name}`

function figuresOf({ cable, columns }: CompiledCable, index: number): SubjectFigure<CableEvaluation>[] {
  if (!columns.known) return []
  const { figures, hot } = columns.value
  const foundIn = (found: readonly CableEvaluation[]) => {
    const one = found[index]?.found
    return one?.known ? one.value : null
  }
  const plain = CABLE_FIGURES.flatMap((name) => {
    const column = figures[name]
    if (column === undefined) return []
    const stands = (found: readonly CableEvaluation[]) => foundIn(found)?.figures[name] !== undefined
    return [{ id: cableFigureId(cable.id, name), place: `cables[${index}].${name}`, column, stands }]
  })
  const toHot = hot.map(({ column }, k) => ({
    id: cableFigureId(cable.id, `hot/${k}`),
    place: `cables[${index}].hot[${k}].toMm`,
    column,
    stands: (found: readonly CableEvaluation[]) => Number.isFinite(foundIn(found)?.hot[k]?.toMm),
  }))
  return [...plain, ...toHot]
}

function evaluationOf({ cable, columns, plans }: CompiledCable, figure: FigureOf): CableEvaluation {
  const at = ([x, y, z]: VectorColumns): Vec3 => [figure(x), figure(y), figure(z)]
  return {
    cable,
    found: mapKnown(columns, ({ points, radiiMm, before, bulkhead, figures, hot }) => ({
      points: points.map(at),
      radiiMm,
      before,
      bulkhead: bulkhead && {
        bulkhead: bulkhead.bulkhead,
        ...{ mark: at(bulkhead.mark), left: at(bulkhead.left) },
        ...{ up: at(bulkhead.up), through: at(bulkhead.through) },
      },
      figures: read(figures, figure),
      hot: hot.map(({ point, at: place, gapMm, column }) => ({
        ...{ point, at: at(place), gapMm, toMm: figure(column) },
      })),
    })),
    checks: plans.map((plan) => plainCheck(plan, figure)),
  }
}

/** What has a figure. */
const read = (figures: CableColumns['figures'], figure: FigureOf): CableFound['figures'] =>
  Object.fromEntries(
    CABLE_FIGURES.flatMap((name) => {
      const column = figures[name]
      const value = column === undefined ? NaN : figure(column)
      return Number.isFinite(value) ? [[name, value] as const] : []
    }),
  )
