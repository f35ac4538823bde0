import type { Column, FigureOf, Graph } from '../base/columns/graph'
import { mapKnown, type Known } from '../base/known'
import type { Check } from '../check/check'
import type { Bound } from '../check/judge'
import { plainCheck } from '../check/plainCheck'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import type { Quantity } from '../file/build/limit'
import type { Clutch } from '../file/parts/clutch'
import { clutchFigures, type ClutchFigures } from '../shift/hands/clutch'
import { plannedColumns, type Ground, type Subject, type SubjectFigure } from './subject'

type ClutchFigure = keyof ClutchFigures

interface CompiledClutch {
  readonly clutch: Clutch
  readonly columns: Known<ReadonlyMap<ClutchFigure, Column>>
  readonly plans: readonly PlannedCheck[]
}

/** A clutch; no lever of the build moves it. */
export interface ClutchEvaluation {
  readonly clutch: Clutch
  readonly found: Known<ClutchFigures>
  readonly checks: readonly Check[]
}

const FREES: Bound = { failBelow: 0, basis: 'a plate that is not freed drags, and the gears grind' }
const HAS: Bound = { failBelow: 0, basis: 'a cylinder that is at its end moves nothing more' }
const CHECKED: readonly (readonly [ClutchFigure, Quantity, Bound])[] = [
  ['leftMm', 'clutch-left', FREES],
  ['masterLeftMm', 'cylinder-left', HAS],
  ['slaveLeftMm', 'cylinder-left', HAS],
]

/** The clutches of a build that a pedal works by oil. */
export const CLUTCHES: Subject<CompiledClutch, ClutchEvaluation> = {
  key: 'clutches',
  compile: (ground) => {
    const things = (ground.build.clutches ?? []).map((clutch) => compileClutch(ground, clutch))
    const plans = things.flatMap((thing) => thing.plans)
    const figures = things.flatMap(figuresOf)
    return {
      ...{ key: 'clutches', things, plans, figures },
      ...{ mustKeep: [], swept: { plans: [], wants: [] }, spares: [] },
      wants: [...figures.map(({ column }) => column), ...plannedColumns(plans)],
      look: () => ({ set: [], found: ({ figure }) => things.map((thing) => evaluationOf(thing, figure)) }),
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  json: (all) =>
    all.map(({ clutch: { id, name }, found }) => ({
      ...{ id, name },
      ...(found.known && found.value),
      missing: found.known ? [] : found.missing,
    })),
  rejudged: (found, change) => found.map((one) => ({ ...one, checks: one.checks.map(change) })),
}

function compileClutch({ build, graph }: Ground, clutch: Clutch): CompiledClutch {
  const columns = mapKnown(clutchFigures(clutch), (figures) => columnsOf(graph, figures))
  const plans = CHECKED.flatMap(([key, quantity, bound]) => {
    const column = columns.known ? columns.value.get(key) : undefined
    // What a cylinder has is judged once it is told.
    if (column === undefined && key !== 'leftMm') return []
    const head = { id: `clutch/${clutch.id}/${key}`, quantity, thing: clutch.id, name: clutch.name }
    return [thingPlan(head, build.limits.entries, [bound], columns, column)]
  })
  return { clutch, columns, plans }
}

const columnsOf = (graph: Graph, figures: ClutchFigures) =>
  new Map(
    Object.entries(figures).map(([key, value]: [string, number]) => [
      key as ClutchFigure,
      graph.source(value),
    ]),
  )

const figuresOf = ({ clutch, columns }: CompiledClutch, index: number): SubjectFigure<ClutchEvaluation>[] =>
  columns.known
    ? [...columns.value].map(([key, column]) => ({
        ...{ id: `clutch/${clutch.id}/${key}`, place: `clutches[${index}].${key}`, column },
        stands: () => true,
      }))
    : []

const evaluationOf = ({ clutch, columns, plans }: CompiledClutch, figure: FigureOf): ClutchEvaluation => ({
  clutch,
  found: mapKnown(
    columns,
    (all) =>
      Object.fromEntries([...all].map(([key, column]) => [key, figure(column)])) as unknown as ClutchFigures,
  ),
  checks: plans.map((plan) => plainCheck(plan, figure)),
})
