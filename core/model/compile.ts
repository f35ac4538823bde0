import type { PlannedCheck } from '../check/plannedCheck'
import type { Graph } from '../base/columns/graph'
import type { LeverColumns } from '../vehicle/moves/bodyMove'
import { bodiesUnder } from '../vehicle/bodies/bodyMoves'
import type { BodyId, WheeledBody } from '../file/parts/body'
import type { Build } from '../file/build/build'
import { measuredModel, type MeasuredModel } from '../measure/geometry/geometry'
import { CHAINS } from './chainSubject'
import type { CompiledChain } from '../chain/compiledChain'
import type { CompiledLine } from './compiledLine'
import type { CompiledTravel, SparePlace } from '../stand/compiledTravel'
import { GAPS } from './gapSubject'
import type { CompiledGap } from './gaps'
import { LINES } from './lineSubject'
import { placeFigures, type PlaceFigure } from '../stand/placeFigures'
import { bodiesOf, type BodyOf, type PlacedState } from '../stand/placedState'
import { placesOf } from '../stand/places'
import { compiledThings, type CompiledSubject, type Ground } from './subject'
import { SUBJECTS } from './subjects'
import { SWEEP_ID, sparePlaces } from '../stand/travel'
import { travelling } from '../stand/wheelHeights'

/**
 * A build with everything decided that its levers and the exact readings do not change: what can be computed and from what,
 * what is missing or taken for granted, which limits speak of what. What is left is a graph of steps on columns.
 */
export interface CompiledBuild {
  readonly build: Build
  readonly graph: Graph
  readonly measured: MeasuredModel
  readonly levers: LeverColumns
  readonly bodyOf: BodyOf
  /** Cruising, at ride height. */
  readonly ride: PlacedState
  /** Everything it is told and judged by, in the order of `SUBJECTS`. */
  readonly subjects: readonly CompiledSubject[]
  readonly lines: readonly CompiledLine[]
  readonly gaps: readonly CompiledGap[]
  readonly chains: readonly CompiledChain[]
  /** Station, offset and height of every point in mm, fall and plan of every axis in degrees, cruising. */
  readonly placeFigures: readonly PlaceFigure[]
  /** Null where nobody has told how far the wheels go. */
  readonly travel: CompiledTravel | null
}

/** Every check of a compiled build in every state it is made in, but those that are certain. */
export const plannedChecks = ({ subjects }: Pick<CompiledBuild, 'subjects'>): PlannedCheck[] =>
  subjects.flatMap(({ plans }) => plans)

/** Compilations that were asked for last: a build never changes, so neither does what it compiles to. */
const last: CompiledBuild[] = []
/** As many as are compared side by side. Nothing weak: what a weak map holds is copied about until all of the memory is cleared. */
const MOST_KEPT = 4

/**
 * Compiles a build, once.
 *
 * @see docs/architecture.md
 */
export function compile(build: Build): CompiledBuild {
  const there = last.find((one) => one.build === build)
  if (there) return there
  const made = compileAnew(build)
  last.push(made)
  if (last.length > MOST_KEPT) last.shift()
  return made
}

function compileAnew(build: Build): CompiledBuild {
  const measured = measuredModel(build)
  const { graph } = measured
  const levers = new Map(build.levers.map((lever) => [lever.id, graph.source(0)] as const))
  const axles = travelling(build)
  const set = axles.length > 0 ? sparePlaces(graph, axles) : null
  const own = set ? SUBJECTS.flatMap((subject) => subject.spares?.(build, graph, axles) ?? []) : []
  const spare: readonly SparePlace[] = set ? [...set.spares, set.sweep, ...own] : []
  const places = placesOf(build, measured, levers, new Map(spare.map(({ id, wheels }) => [id, wheels])))
  const ground: Ground = {
    build,
    graph,
    measured,
    places,
    levers,
    travel: set && {
      axles,
      moving: goingAlong(build, axles),
      between: set.spares.map(({ id }) => ({ id, name: '' })),
      through: { id: SWEEP_ID, name: '' },
      spare: (id) => own.find((one) => one.id === id),
    },
  }
  const ride = places.placed(null, null)
  const subjects = SUBJECTS.reduce<readonly CompiledSubject[]>(
    (before, subject) => [...before, subject.compile(ground, before)],
    [],
  )
  const made: CompiledBuild = {
    build,
    graph,
    measured,
    levers,
    bodyOf: bodiesOf(build),
    ride,
    subjects,
    lines: compiledThings(subjects, LINES),
    gaps: compiledThings(subjects, GAPS),
    chains: compiledThings(subjects, CHAINS),
    placeFigures: placeFigures(build, graph, ride),
    travel: set && {
      axles,
      ...set,
      plans: subjects.flatMap(({ swept }) => swept.plans),
      wants: subjects.flatMap(({ swept }) => swept.wants),
    },
  }
  graph.close()
  return made
}

/** The bodies that go along with an axle or a hub. */
const goingAlong = (build: Build, axles: readonly WheeledBody[]): ReadonlySet<BodyId> =>
  new Set(
    build.bodies
      .filter(({ id }) => bodiesUnder(build, id).some((body) => axles.some((axle) => axle.id === body.id)))
      .map(({ id }) => id),
  )
