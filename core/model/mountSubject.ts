import type { Bound } from '../check/judge'
import { plainCheck } from '../check/plainCheck'
import type { Check } from '../check/check'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import { TIMES } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph } from '../base/columns/graph'
import { allKnown, andThen, mapKnown, unknown, type Known } from '../base/known'
import { norm } from '../base/linalg/vec3'
import type { Build } from '../file/build/build'
import { outputOf } from '../file/open/output'
import { casesFor, type MountCaseKey } from '../making/mounts/mountCases'
import { chainOf } from '../making/mounts/unitDrive'
import { GAPS } from './gapSubject'
import type { CompiledGap } from './gaps'
import { mountColumns, type MountCaseColumns, type MountColumns } from './mountColumns'
import { mountsFound, type CaseFound, type MountsFound } from './mountFound'
import { compiledThings, plannedColumns, type Ground, type Subject, type SubjectFigure } from './subject'

interface CompiledMounts {
  readonly build: Build
  readonly columns: Known<MountColumns>
  readonly plans: readonly PlannedCheck[]
}

/** What is found of the mounts of a build. */
export interface MountsEvaluation {
  /** Unknown with every figure that is still missing. */
  readonly found: Known<MountsFound>
  readonly checks: readonly Check[]
}

/** The powertrain of a build on its mounts; none for one that nobody said how it is held. */
export const MOUNTS: Subject<CompiledMounts, MountsEvaluation> = {
  key: 'mounts',
  compile: (ground, before) => {
    const isTold = (ground.build.mounts ?? []).length > 0
    const things = isTold ? [compileMounts(ground, compiledThings(before, GAPS))] : []
    const plans = things.flatMap((thing) => thing.plans)
    const figures = things.flatMap(figuresOf)
    const wants = things.flatMap(({ columns }) => (columns.known ? columnsOf(columns.value) : []))
    return {
      key: 'mounts',
      things,
      plans,
      mustKeep: [],
      wants: [...wants, ...plannedColumns(plans)],
      swept: { plans: [], wants: [] },
      spares: [],
      figures,
      look: () => ({
        set: [],
        found: ({ figure }) =>
          things.map(({ build, columns, plans: planned }) => ({
            found: andThen(columns, (value) => mountsFound(build, value, figure)),
            checks: planned.map((plan) => plainCheck(plan, figure)),
          })),
      }),
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  json: (all) => all.flatMap(({ found }) => (found.known ? [mountsJson(found.value)] : [])),
  rejudged: (found, change) => found.map((one) => ({ ...one, checks: one.checks.map(change) })),
}

function compileMounts({ build, graph, places }: Ground, gaps: readonly CompiledGap[]): CompiledMounts {
  const ride = places.placed(null, null)
  const output = outputOf(build)?.point ?? chainOf(build)?.sprockets[0]?.point
  const place =
    output === undefined
      ? unknown('the first joint or sprocket that the powertrain drives', 'lines')
      : ride.point(output)
  const columns = mapKnown(allKnown([places.sprung(), place] as const), ([sprung, at]) =>
    mountColumns({ build, graph, ride, gaps }, sprung, at),
  )
  return { build, columns, plans: sharePlan(graph, build, columns) }
}

const TWISTS: Bound = {
  warnAbove: 30,
  basis: 'what goes out by the mounts at the gearbox twists its tail housing',
}

function sharePlan(graph: Graph, build: Build, columns: Known<MountColumns>): PlannedCheck[] {
  const share = columns.known ? columns.value.share : null
  if (share === null || !Number.isFinite(graph.at(share))) return []
  const head = { id: 'mount/share', quantity: 'mount-share', thing: 'mounts', name: 'mounts' } as const
  const percent = scalarStep(graph, TIMES, [share], [100])
  return [thingPlan(head, build.limits.entries, [TWISTS], columns, percent)]
}

/** Figures of a case that have a ±. */
const CASE_FIGURES = ['rollDeg', 'outputMm'] as const

/** Under which the ± of a figure of a case is kept: of the unit, or the force of a mount by its id. */
export const mountFigureId = (
  at: MountCaseKey,
  of: (typeof CASE_FIGURES)[number] | { force: string },
): string => (typeof of === 'string' ? `mount/${at}/${of}` : `mount/${at}/force/${of.force}`)

function figuresOf({ build, columns }: CompiledMounts): SubjectFigure<MountsEvaluation>[] {
  if (!columns.known) return []
  return columns.value.cases.flatMap((one, k) => {
    const place = `mounts[0].cases[${k}]`
    const { key } = one.of.at
    const stands = ([found]: readonly MountsEvaluation[]) =>
      found?.found.known === true && found.found.value.cases.some(({ at }) => at.key === key)
    const whole = CASE_FIGURES.map((name) => ({
      ...{ id: mountFigureId(key, name), place: `${place}.${name}` },
      ...{ column: one[name], stands },
    }))
    const forces = one.sizes.map((column, i) => ({
      ...{
        id: mountFigureId(key, { force: build.mounts?.[i]?.id ?? '' }),
        place: `${place}.forces[${i}].sizeN`,
      },
      ...{ column, stands },
    }))
    return [...whole, ...forces]
  })
}

function columnsOf({ sprung, output, cases, share }: MountColumns): Column[] {
  return [
    ...sprung.centre,
    ...sprung.places.flat(),
    ...output,
    ...(share === null ? [] : [share]),
    ...cases.flatMap(columnsOfCase),
  ]
}

const columnsOfCase = ({ of, gaps, joints, ...one }: MountCaseColumns): Column[] => [
  ...of.shift,
  ...of.turn,
  ...of.forces.flat(),
  ...one.output,
  ...one.sizes,
  ...[one.rollDeg, one.fallDeg, one.planDeg, one.outputMm],
  ...joints.map(({ byDeg }) => byDeg),
  ...gaps.flatMap(({ ride, left }) => [ride, left]),
]

/** What is published: every case in its order, one in which the mounts do not hold with why. */
function mountsJson({ unit, cases, failed, tailShare }: MountsFound) {
  const told = new Map<MountCaseKey, object>([
    ...cases.map((one) => [one.at.key, caseJson(one)] as const),
    ...failed.map(({ at, why }) => [at.key, { case: at.key, why }] as const),
  ])
  return {
    massKg: unit.massKg,
    tailShare: tailShare.known ? tailShare.value : null,
    cases: casesFor(unit).flatMap(({ key }) => told.get(key) ?? []),
  }
}

const caseJson = ({ at, outputMm, rollDeg, fallDeg, planDeg, forces, gaps, joints }: CaseFound) => ({
  case: at.key,
  ...{ rollDeg, fallDeg, planDeg },
  outputMm: norm(outputMm),
  output: { forwardMm: outputMm[0], leftMm: outputMm[1], upMm: outputMm[2] },
  forces: forces.map(({ id, sizeN, lifts, bolt, force: [forwardN, leftN, upN] }) => ({
    ...{ mount: id, sizeN, forwardN, leftN, upN, lifts },
    ...(bolt && { boltAlongN: bolt.alongN, boltShearN: bolt.shearN }),
  })),
  gaps: gaps.map(({ gap, leftMm }) => ({ gap, leftMm })),
  joints,
})
