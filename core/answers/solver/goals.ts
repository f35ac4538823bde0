import { HALFWAY, PLUS_TIMES } from '../../base/columns/arithmetic'
import { scalarStep, type Column } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import type { CheckSubject } from '../../check/check'
import { allKnown, known, unknown, type Known } from '../../base/known'
import type { CompiledBuild } from '../../model/compile'
import type { LeverSettings } from '../../vehicle/moves/settings'
import { powertrainOf } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import { leverFacts } from '../../file/build/lever'
import { buildProblem } from './buildProblem'
import type { Proof } from './cure'
import { differentSettings, type FoundSetting } from './differentSettings'
import { failures } from './failures'
import { freeLevers, judged, newSearch } from './findCures'
import { bestSettings } from './byRoom'
import type { SearchLimit, SearchProblem } from './problem'

/** What a builder may be after, besides the least work. */
export const GOALS = ['room', 'lowest', 'reversible', 'service', 'lever', 'angles', 'made'] as const
export type Goal = (typeof GOALS)[number]

/** What a goal came to: a setting, none that holds, no way to ask, or more settings than can be gone through. */
export type GoalFound =
  | { readonly kind: 'found'; readonly setting: FoundSetting; readonly looked: number }
  | { readonly kind: 'none'; readonly looked: number }
  | { readonly kind: 'too-many'; readonly looked: number }
  /** The best ones hold as computed, but none of so many holds with its ±. */
  | { readonly kind: 'unproved'; readonly looked: number }
  | { readonly kind: 'cannot'; readonly missing: readonly string[] }

/** Candidates proved with their ± at the most. */
const MOST_PROOFS = 600
/** Beginnings kept open at the most: more would fill the memory. */
const MOST_OPEN = 600_000

/**
 * The best setting for a goal among all of the grid in which every check holds with its ±; of equals the cheapest.
 *
 * `room`: most room to the closest limit; `lowest`: front mounts as low and as far back as they go, a mm for a mm; `reversible`: least
 * work with nothing cut or welded; `service`: most room to get things out; `lever`: shift lever nearest to its hole; `angles`: most
 * room to the limits of the line; `made`: most room to those of crossmembers, tubes and mounts. Yields the settings looked at, so that the caller can report and stop.
 *
 * @see docs/methods/placement.md
 */
export function* goalSetting(
  build: Build,
  settings: LeverSettings,
  goal: Goal,
  prove: Proof | null = null,
): Generator<number, GoalFound> {
  if (goal === 'reversible') return yield* reversible(build, settings, prove)
  const search = newSearch(build, settings, prove)
  const levers = freeLevers(build)
  const { compiled, unread, spreads } = search
  const graph = compiled.graph.extended()
  const wanted = { unread, strictness: 'holds', spreads } as const
  const problem = { ...buildProblem(compiled, settings, levers, wanted), graph }
  const judgedBy = goalLimits({ ...compiled, graph }, problem, goal)
  if (!judgedBy.known) return { kind: 'cannot', missing: judgedBy.missing.map(({ what }) => what) }
  const goals = new Set(judgedBy.value.map(({ id }) => id))
  const kept = new Set(problem.limits.flatMap(({ id }) => (goals.has(id) ? [] : [id])))
  const limits = [...problem.limits.filter(({ id }) => !goals.has(id)), ...judgedBy.value]
  const failed = failures(problem)
  // A goal that is itself a limit has to be kept as well.
  const isLimit = goal !== 'lowest' && goal !== 'lever'
  let [looked, proofs] = [0, 0]
  for (const report of bestSettings({ ...problem, limits }, kept, 'soonest', isLimit ? 0 : -Infinity)) {
    looked = report.looked
    if (report.open > MOST_OPEN) return { kind: 'too-many', looked }
    if (report.found) {
      const { amounts } = report.found
      if (failed.isKnown(amounts)) continue
      const cure = judged(search, levers, amounts, prove)
      if (cure.reaches === 'holds')
        return {
          kind: 'found',
          setting: { cure, effort: report.found.effort, room: report.found.room },
          looked,
        }
      for (const check of cure.leaves) failed.learn(check.id, amounts)
      if (++proofs >= MOST_PROOFS) return { kind: 'unproved', looked }
    }
    yield looked
  }
  return { kind: 'none', looked }
}

function* reversible(
  build: Build,
  settings: LeverSettings,
  prove: Proof | null,
): Generator<number, GoalFound> {
  const bolted = {
    ...build,
    levers: build.levers.map((lever) =>
      leverFacts(lever.kind).isLasting ? { ...lever, locked: true } : lever,
    ),
  }
  const { settings: found, looked } = yield* differentSettings(bolted, settings, prove, 1)
  const [setting] = found
  return setting ? { kind: 'found', setting, looked } : { kind: 'none', looked }
}

/** What the angles of a line are judged by. */
const OF_LINES: readonly CheckSubject['of'][] = ['joint', 'shaft', 'line']

/** What a goal is judged by, as limits: the more room, the better. */
function goalLimits(
  compiled: CompiledBuild,
  { limits }: SearchProblem,
  goal: Exclude<Goal, 'reversible'>,
): Known<readonly SearchLimit[]> {
  const { build } = compiled
  const some = (list: readonly SearchLimit[], what: string): Known<readonly SearchLimit[]> =>
    list.length > 0 ? known(list) : unknown(what)
  if (goal === 'room') return some(limits, 'a check with a limit')
  if (goal === 'angles')
    return some(
      limits.filter(({ subject }) => subject !== undefined && OF_LINES.includes(subject)),
      'a line with limits',
    )
  if (goal === 'made')
    return some(
      limits.filter(({ subject }) => subject === 'thing'),
      'a made part with limits',
    )
  if (goal === 'service') {
    const ids: (string | undefined)[] = build.gaps.flatMap(({ id, kind }) =>
      kind === 'service' ? [`gap/${id}`] : [],
    )
    return some(
      // In mm, all alike: a share of a long way would count less than one of a short way.
      limits.flatMap((limit) => (ids.includes(limit.check) ? [{ ...limit, scale: 1 }] : [])),
      'a gap that is there to get something out',
    )
  }
  const column = goal === 'lowest' ? lowColumn(compiled) : leverColumn(compiled)
  return column.known
    ? known([{ id: `goal/${goal}`, column: column.value, least: null, most: 0, scale: 1 }])
    : column
}

/** How high and how far forward the middle of the front mounts stands, in mm. */
function lowColumn({ build, graph, ride }: CompiledBuild): Known<Column> {
  const mounts = powertrainOf(build)?.mounts
  if (!mounts) return unknown('the mounts of the powertrain')
  const places = allKnown([ride.point(mounts.frontLeft), ride.point(mounts.frontRight)] as const)
  if (!places.known) return places
  const [[leftX, , leftZ], [rightX, , rightZ]] = places.value
  const middle = (one: Column, other: Column) => scalarStep(graph, HALFWAY, [one, other])
  return known(scalarStep(graph, PLUS_TIMES, [middle(leftX, rightX), middle(leftZ, rightZ)], [1]))
}

/** How far a place lies from another seen from above. */
const PLAN_DISTANCE: Kernel = {
  name: 'how far a place lies from another, seen from above',
  page: 'placement',
  outputs: 1,
  run: (count, [x, y], [distance], [toX, toY]) => {
    for (let i: Row = 0; i < count; i++) distance[i] = Math.hypot(x[i] - toX, y[i] - toY)
  },
}

/** How far the shift lever comes out from the middle of its hole, in mm. */
function leverColumn({ build, graph, ride }: CompiledBuild): Known<Column> {
  const { shiftLever } = build
  if (!shiftLever) return unknown('where the shift lever is to come through')
  const place = ride.point(shiftLever.point)
  if (!place.known) return place
  const [x, y] = place.value
  return known(scalarStep(graph, PLAN_DISTANCE, [x, y], [-shiftLever.holeStationMm, shiftLever.holeLeftMm]))
}
