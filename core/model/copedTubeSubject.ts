import type { Bound } from '../check/judge'
import { plainCheck } from '../check/plainCheck'
import type { Check } from '../check/check'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import type { Column, FigureOf, VectorColumns } from '../base/columns/graph'
import { mapKnown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import type { LimitEntry } from '../file/build/limit'
import type { CopedTube } from '../file/kinds/copedTubeKinds'
import type { TubeJoint } from '../making/copes/copeCut'
import { plannedColumns, type Ground, type Subject, type SubjectFigure } from './subject'
import {
  TUBE_END_FIGURES,
  TUBE_FIGURES,
  tubeColumns,
  type TubeColumns,
  type TubeEndFigure,
  type TubeFigure,
} from './copedTubeColumns'

interface CompiledCopedTube {
  readonly tube: CopedTube
  readonly columns: Known<TubeColumns>
  readonly plans: readonly PlannedCheck[]
}

/** An end of a tube: forward, left and up, and its figures; one that is square has none, nor has a branch that overhangs a tip. */
export interface TubeEndFound {
  readonly at: Vec3
  readonly main: readonly [Vec3, Vec3] | null
  readonly figures: Readonly<Partial<Record<TubeEndFigure, number>>>
}

/** A tube as the levers stand. */
export interface TubeFound {
  readonly ends: readonly TubeEndFound[]
  readonly figures: Readonly<Partial<Record<TubeFigure, number>>>
}
export interface CopedTubeEvaluation {
  readonly tube: CopedTube
  readonly found: Known<TubeFound>
  readonly checks: readonly Check[]
}

/** How an end lies on its main tube; null for a square one, or while it is not known. */
export function jointOf(
  { outerMm, wallMm, ends }: CopedTube,
  k: number,
  end: TubeEndFound,
): TubeJoint | null {
  const main = ends[k]?.main
  const { angleDeg, offsetMm } = end.figures
  if (!main || angleDeg === undefined || offsetMm === undefined) return null
  return { branchOuterMm: outerMm, branchWallMm: wallMm, mainOuterMm: main.outerMm, angleDeg, offsetMm }
}

/** The tubes of a build. */
export const COPED_TUBES: Subject<CompiledCopedTube, CopedTubeEvaluation> = {
  key: 'copedTubes',
  compile: (ground) => {
    const things = (ground.build.copedTubes ?? []).map((tube) => compileTube(ground, tube))
    const plans = things.flatMap((thing) => thing.plans)
    const figures = things.flatMap(figuresOf)
    const places = things.flatMap(({ columns }) =>
      columns.known ? columns.value.ends.flatMap(({ at, main }) => [...at, ...(main?.flat() ?? [])]) : [],
    )
    return {
      key: 'copedTubes',
      things,
      plans,
      mustKeep: [],
      wants: [...figures.map(({ column }) => column), ...plannedColumns(plans), ...places],
      swept: { plans: [], wants: [] },
      spares: [],
      figures,
      look: () => ({ set: [], found: ({ figure }) => things.map((thing) => evaluationOf(thing, figure)) }),
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  json: (all) =>
    all.map(({ tube: { id, name }, found }) => ({
      id,
      name,
      ...(found.known && found.value.figures),
      ends: found.known ? found.value.ends.map(({ figures }) => figures) : null,
    })),
  rejudged: (found, change) => found.map((one) => ({ ...one, checks: one.checks.map(change) })),
}

/** Which end of a tube is meant. */
export const TUBE_ENDS = ['first end', 'second end'] as const

function compileTube({ build, graph, places }: Ground, tube: CopedTube): CompiledCopedTube {
  const columns = tubeColumns(graph, tube, places.placed(null, null).point)
  const plans = tube.ends.flatMap(({ main }, k) =>
    main ? [roomPlan(build.limits.entries, tube, k, columns)] : [],
  )
  return { tube, columns, plans }
}

const CLOSES: Bound = { failBelow: 0, basis: 'below nought the branch overhangs: no cope closes round it' }

function roomPlan(
  limits: readonly LimitEntry[],
  tube: CopedTube,
  end: number,
  columns: Known<TubeColumns>,
): PlannedCheck {
  const column = columns.known ? columns.value.ends[end]?.figures.roomMm : undefined
  const name = `${tube.name}, ${TUBE_ENDS[end] ?? ''}`
  const head = { id: `tube/${tube.id}/${end}`, quantity: 'tube-room', thing: tube.id, name } as const
  return thingPlan(head, limits, [CLOSES], columns, column)
}

function figuresOf(
  { tube, columns }: CompiledCopedTube,
  index: number,
): SubjectFigure<CopedTubeEvaluation>[] {
  if (!columns.known) return []
  const place = `copedTubes[${index}]`
  const foundIn = (found: readonly CopedTubeEvaluation[]) => {
    const one = found[index]?.found
    return one?.known ? one.value : null
  }
  const whole = TUBE_FIGURES.flatMap((name) => {
    const column = columns.value.figures[name]
    if (column === undefined) return []
    const stands = (found: readonly CopedTubeEvaluation[]) => foundIn(found)?.figures[name] !== undefined
    return [{ id: tubeFigureId(tube.id, name), place: `${place}.${name}`, column, stands }]
  })
  const ends = columns.value.ends.flatMap(({ figures }, k) =>
    TUBE_END_FIGURES.flatMap((name) => {
      const column = figures[name]
      if (column === undefined) return []
      const stands = (found: readonly CopedTubeEvaluation[]) =>
        foundIn(found)?.ends[k]?.figures[name] !== undefined
      return [
        { id: tubeFigureId(tube.id, `${k}/${name}`), place: `${place}.ends[${k}].${name}`, column, stands },
      ]
    }),
  )
  return [...whole, ...ends]
}

/** Under which the ± of a figure is kept; one of an end by its number. */
export const tubeFigureId = (tube: string, name: TubeFigure | `${number}/${TubeEndFigure}`): string =>
  `tube/${tube}/${name}`

function evaluationOf({ tube, columns, plans }: CompiledCopedTube, figure: FigureOf): CopedTubeEvaluation {
  const at = ([x, y, z]: VectorColumns): Vec3 => [figure(x), figure(y), figure(z)]
  return {
    tube,
    found: mapKnown(columns, ({ ends, figures }) => ({
      ends: ends.map((end) => ({
        at: at(end.at),
        main: end.main && [at(end.main[0]), at(end.main[1])],
        figures: read(TUBE_END_FIGURES, end.figures, figure),
      })),
      figures: read(TUBE_FIGURES, figures, figure),
    })),
    checks: plans.map((plan) => plainCheck(plan, figure)),
  }
}

/** What has a figure. */
const read = <Name extends string>(
  names: readonly Name[],
  columns: Readonly<Partial<Record<Name, Column>>>,
  figure: FigureOf,
) =>
  Object.fromEntries(
    names.flatMap((name) => {
      const column = columns[name]
      const value = column === undefined ? NaN : figure(column)
      return Number.isFinite(value) ? [[name, value] as const] : []
    }),
  ) as Partial<Record<Name, number>>
