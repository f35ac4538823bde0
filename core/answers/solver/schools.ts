import { JOINTS } from '../../file/parts/joints'
import { habitAims, HABITS, schoolAims, type Aim, type Habit } from '../../line/schoolAims'
import { withJointKind } from '../../file/edits/partEdits'
import { compile } from '../../model/compile'
import { evaluate } from '../../model/evaluateBuild'
import type { Check } from '../../check/check'
import { worstOf } from '../../file/limits/worst'
import type { Verdict } from '../../file/build/limit'
import type { LeverSettings } from '../../vehicle/moves/settings'
import { axleById } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import { SCHOOLS, type Line, type School } from '../../file/parts/lineSpec'
import { buildProblem } from './buildProblem'
import { searchByEffort } from './byEffort'
import { roomiestSetting } from './byRoom'
import { settingsAfter, type Cure } from './cure'
import { freeLevers, judged, newSearch } from './findCures'
import type { SearchProblem } from './problem'

/** What a school would change of the parts before any lever is moved. */
export type SchoolPart = 'double-cardan' | 'centre-bearing' | 'rise'

/** What one school, or one habit, would ask of a line and what it would leave. */
export interface SchoolAnswer {
  readonly of: { readonly school: School } | { readonly habit: Habit }
  /** The line is judged by it now. */
  readonly isOwn: boolean
  /** It wants other parts; with a double-cardan joint it is answered as if that were in. */
  readonly part: SchoolPart | null
  /** The levers' moves; null where parts are missing that no lever makes up for. */
  readonly cure: Cure | null
  /** The aim is met there, with no limit failed. */
  readonly isMet: boolean
  /** Working angles of the line there, in degrees. */
  readonly anglesDeg: readonly number[]
  /** Gravest verdict of the line's checks there, and the check that has it. */
  readonly verdict: Verdict
  readonly worst: Check | null
}

/** How far the nose of a live axle rises under drive, where nobody has said it: in the middle of what is usual. */
const USUAL_RISE = { leaf: 3, 'soft-links': 1.5, 'rigid-links': 0, fixed: 0 } as const

/**
 * What every school and both habits would ask of a line: the least effort that meets the aim with no limit failed, else the nearest the levers
 * come. A habit is met for its own sake, whatever limits it breaks.
 *
 * Yields the number of answers so far.
 *
 * @see docs/methods/schools.md
 */
export function* schoolAnswers(
  build: Build,
  lineId: Id,
  settings: LeverSettings,
): Generator<number, SchoolAnswer[]> {
  const answers: SchoolAnswer[] = []
  for (const school of SCHOOLS) {
    answers.push(yield* answerOf(build, lineId, settings, { school }, answers.length))
    yield answers.length
  }
  for (const habit of Object.keys(HABITS) as Habit[]) {
    answers.push(yield* answerOf(build, lineId, settings, { habit }, answers.length))
    yield answers.length
  }
  return answers
}

function* answerOf(
  build: Build,
  lineId: Id,
  settings: LeverSettings,
  of: SchoolAnswer['of'],
  done: number,
): Generator<number, SchoolAnswer> {
  const own = build.lines.find(({ id }) => id === lineId)
  const { variant, part } =
    'school' in of && own ? asSchool(build, own, of.school) : { variant: build, part: null }
  const isOwn = 'school' in of && own?.school === of.school
  const nothing = {
    of,
    isOwn,
    part,
    cure: null,
    isMet: false,
    anglesDeg: [],
    worst: null,
    verdict: 'unknown',
  } as const
  if (part === 'centre-bearing') return nothing
  const search = newSearch(variant, settings, null)
  const { compiled, unread } = search
  const line = compiled.lines.find((one) => one.line.id === lineId)
  const ride = line?.states[0]?.columns
  if (!line || !ride?.known) return nothing
  const drive = line.states.find(({ state }) => state.state === 'drive' && state.at === null)?.columns
  // A search adds what it aims at to a graph of its own.
  const graph = compiled.graph.extended()
  const aims =
    'school' in of
      ? schoolAims(graph, of.school, ride.value, drive?.known ? drive.value : ride.value)
      : habitAims(graph, line.line, ride.value, of.habit)
  const levers = freeLevers(variant)
  const base = buildProblem(compiled, settings, levers, { unread, strictness: 'allowed' })
  const problem = { ...base, graph, limits: [...('school' in of ? base.limits : []), ...limitsOf(aims)] }
  const found = yield* firstSetting(problem, done)
  const amounts = found ?? (yield* nearest(problem, limitsOf(aims), done))
  const cure = judged(search, levers, amounts ?? [], null)
  const there = evaluate(compile(variant), settingsAfter(settings, cure))
  const lineThere = there.lines.find((one) => one.line.id === lineId)
  const worst = worstOf(lineThere?.checks ?? [])
  return {
    ...nothing,
    cure,
    isMet: found !== null,
    anglesDeg: lineThere?.ride.known ? lineThere.ride.value.anglesDeg : [],
    verdict: worst?.verdict ?? 'unknown',
    worst,
  }
}

const limitsOf = (aims: readonly Aim[]) =>
  aims.map((aim, index) => ({ ...aim, id: `aim/${index}`, scale: 1 }))

function* firstSetting(problem: SearchProblem, done: number): Generator<number, readonly number[] | null> {
  for (const { found } of searchByEffort(problem)) {
    const [first] = found
    if (first) return first.amounts
    yield done
  }
  return null
}

/** The setting that comes nearest: to the aim alone, for limits that are missed anyway would pull elsewhere. */
function* nearest(
  problem: SearchProblem,
  limits: SearchProblem['limits'],
  done: number,
): Generator<number, readonly number[] | null> {
  const search = roomiestSetting({ ...problem, limits })
  for (;;) {
    const step = search.next()
    if (step.done) return step.value?.amounts ?? null
    yield done
  }
}

/** A line as a school would have it: judged by it, with the joint or the rise it needs. */
function asSchool(build: Build, line: Line, school: School): { variant: Build; part: SchoolPart | null } {
  const judgedBy = (edit: (line: Line) => Line): Build => ({
    ...build,
    lines: build.lines.map((one) => (one.id === line.id ? edit({ ...one, school }) : one)),
  })
  if (school === 'two-piece' && line.shafts.length < 2)
    return { variant: judgedBy((one) => one), part: 'centre-bearing' }
  const [first] = line.joints
  if (school === 'pointed' && first && !JOINTS[first.kind].isAimed)
    return {
      variant: withJointKind(
        judgedBy((one) => one),
        line.id,
        0,
        'double-cardan',
      ),
      part: 'double-cardan',
    }
  if (school === 'low-pinion' && line.expectedRiseDeg === undefined) {
    const axle = axleById(build, build.axes.find(({ id }) => id === line.driven)?.body)
    const rise = axle ? USUAL_RISE[axle.suspension] : 0
    return { variant: judgedBy((one) => ({ ...one, expectedRiseDeg: rise })), part: 'rise' }
  }
  return { variant: judgedBy((one) => one), part: null }
}
