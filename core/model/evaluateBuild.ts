import type { Check, WheelPlace } from '../check/check'
import { requireFinite } from '../base/errors'
import type { Known, Missing } from '../base/known'
import { gravest } from '../file/limits/verdict'
import type { RigidMove } from '../base/linalg/mat3'
import type { Vec3 } from '../base/linalg/vec3'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { BodyId } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { Verdict } from '../file/build/limit'
import type { Geometry } from '../measure/geometry/geometry'
import type { ChainEvaluation } from '../chain/chainEvaluation'
import { CHAINS } from './chainSubject'
import { compile, type CompiledBuild } from './compile'
import type { CompiledTravel } from '../stand/compiledTravel'
import { GAPS } from './gapSubject'
import type { GapEvaluation } from './gaps'
import type { HalfshaftEvaluation } from './halfshafts'
import { HALFSHAFTS } from './halfshaftSubject'
import type { LineEvaluation } from './lineEvaluation'
import { LINES } from './lineSubject'
import { asMeasured, chainAt, figuresAt, placesAt } from './screen'
import { foundOf, type FoundSubject } from './subject'
import { SUBJECTS } from './subjects'
import { sweepAt } from '../stand/sweep'
import { placesBetween, type PlaceBetween, type SetPlace } from '../stand/travel'

/** A build at one setting of its levers: geometry, figures, checks. */
export interface Evaluation {
  readonly settings: LeverSettings
  readonly measured: Geometry
  readonly placed: Geometry
  readonly moves: ReadonlyMap<BodyId, Known<RigidMove>>
  /** How far what lies behind the block face was set back by an adapter, in mm; null for not at all. */
  readonly setBack: Known<Vec3> | null
  /** Everything that is told and judged, in the order of `SUBJECTS`. */
  readonly subjects: readonly FoundSubject[]
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
  const { build, ride, graph, levers, travel, subjects } = compiled
  const sweep = travel && sweepAt(graph, build, levers, travel, settings)
  const between = sweep ? placesBetween(build, travel, sweep, settings) : []
  const looks = subjects.map((subject) => subject.look(sweep && { build, sweep, settings }))
  const set: SetPlace[] = [...between, ...looks.flatMap((look) => look.set)]
  const figure = figuresAt(compiled, settings, set)
  const places = placesAt(compiled, ride, figure)
  const stand = {
    settings,
    figure,
    placesAt: (placed: CompiledBuild['ride']) => placesAt(compiled, placed, figure),
    reaches: (moves: Parameters<typeof chainAt>[0]) => chainAt(moves, figure),
    calledNow: placeIn(travel, between),
  }
  const found = looks.map((look, i) => ({ key: subjects[i]?.key ?? '', found: look.found(stand) }))
  return {
    settings,
    measured: asMeasured(compiled),
    placed: {
      points: new Map(build.points.map(({ id }) => [id, places.point(id)])),
      axes: new Map(build.axes.map(({ id }) => [id, places.axis(id)])),
    },
    moves: new Map([...ride.moves.keys()].map((body) => [body, places.move(body)])),
    setBack: places.setBack,
    between,
    set,
    ...judged(found),
  }
}

/** What was found of all subjects, as it is told: each by its name, and all checks together. */
function judged(
  subjects: readonly FoundSubject[],
): Omit<Evaluation, 'settings' | 'measured' | 'placed' | 'moves' | 'setBack' | 'between' | 'set'> {
  const checks = subjects.flatMap(({ key, found }) => subjectBy(key)?.checksOf(found) ?? [])
  return {
    subjects,
    lines: foundOf(subjects, LINES),
    gaps: foundOf(subjects, GAPS),
    chains: foundOf(subjects, CHAINS),
    halfshafts: foundOf(subjects, HALFSHAFTS),
    checks,
    verdict: gravest(checks.map((check) => check.verdict)),
    missing: onceEach(checks.flatMap((check) => check.missing)),
    assumptions: [...new Set(checks.flatMap((check) => check.assumptions))],
  }
}

const subjectBy = (key: string) => SUBJECTS.find((one) => one.key === key)

/** An evaluation with every check judged anew. */
export const rejudged = (evaluation: Evaluation, change: (check: Check) => Check): Evaluation => ({
  ...evaluation,
  ...judged(
    evaluation.subjects.map(({ key, found }) => ({
      key,
      found: subjectBy(key)?.rejudged(found, change) ?? found,
    })),
  ),
})

/** The position that is chosen; null for none. */
export const chosenPosition = ({ positions, chosen }: Pick<Build, 'positions' | 'chosen'>) =>
  positions.find(({ id }) => id === chosen) ?? null

/** Its settings. */
export const chosenSettings = (build: Build): LeverSettings => chosenPosition(build)?.settings ?? {}

/** A place of the wheels as it is called now; undefined for a spare one that nothing stands at. */
function placeIn(
  travel: CompiledTravel | null,
  between: readonly PlaceBetween[],
): (at: WheelPlace | null) => WheelPlace | null | undefined {
  const spares = new Set(travel?.spares.map(({ id }) => id))
  const used = new Map(between.map(({ id, name }) => [id, { id, name }]))
  return (at) => (at !== null && spares.has(at.id) ? used.get(at.id) : at)
}

function onceEach(missing: readonly Missing[]): Missing[] {
  return missing.filter((one, index) => missing.findIndex((other) => other.what === one.what) === index)
}
