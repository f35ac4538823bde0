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
import type { BodyId } from '../file/parts/body'
import type { Id } from '../file/parts/id'
import { chainOf } from '../making/mounts/chainRuns'
import { casesFor, type MountCaseKey } from '../making/mounts/mountCases'
import type { MountableBody, MountedBody } from '../making/mounts/mountedBodies'
import { lineInto, linesFrom } from '../making/mounts/unitDrive'
import type { SprungBody } from '../stand/sprung'
import { GAPS } from './gapSubject'
import type { CompiledGap } from './gaps'
import { mountColumns, type MountCaseColumns, type MountColumns } from './mountColumns'
import { mountsFound, type CaseFound, type MountsFound } from './mountFound'
import { compiledThings, plannedColumns, type Ground, type Subject, type SubjectFigure } from './subject'

interface CompiledMounts {
  readonly mounted: MountedBody
  readonly columns: Known<MountColumns>
  readonly plans: readonly PlannedCheck[]
}

/** What is found of a body on its mounts. */
export interface MountsEvaluation {
  readonly mounted: MountedBody
  /** Unknown with every figure that is still missing. */
  readonly found: Known<MountsFound>
  readonly checks: readonly Check[]
}

/** The bodies of a build on their mounts, the powertrain first; none for one that nobody said how it is held. */
export const MOUNTS: Subject<CompiledMounts, MountsEvaluation> = {
  key: 'mounts',
  compile: (ground, before) => {
    const gaps = compiledThings(before, GAPS)
    const things = ground.places.sprung().map((one) => compileMounts(ground, one, gaps))
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
          things.map(({ mounted, columns, plans: planned }) => ({
            mounted,
            found: andThen(columns, (value) => mountsFound(mounted, value, figure)),
            checks: planned.map((plan) => plainCheck(plan, figure)),
          })),
      }),
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  json: (all) => all.map(mountsJson),
  rejudged: (found, change) => found.map((one) => ({ ...one, checks: one.checks.map(change) })),
}

function compileMounts(
  { build, graph, places }: Ground,
  { body, mounts, sprung }: SprungBody,
  gaps: readonly CompiledGap[],
): CompiledMounts {
  const ride = places.placed(null, null)
  const mounted = { body, mounts }
  const output = outputAt(build, body)
  const place =
    output === undefined
      ? unknown(`the first joint or sprocket of ${body.name}`, 'lines')
      : ride.point(output)
  const columns = mapKnown(allKnown([sprung, place] as const), ([value, at]) =>
    mountColumns({ build, graph, ride, gaps, mounted }, value, at),
  )
  return { mounted, columns, plans: sharePlan(graph, build, columns) }
}

/** Where torque goes out of a body, or in at the pinion of a differential. */
function outputAt(build: Build, body: MountableBody): Id | undefined {
  if (body.kind === 'axle') return lineInto(build, body)?.joints.at(-1)?.point
  const joint = linesFrom(build, body)[0]?.joints[0]?.point
  return joint ?? (body.kind === 'powertrain' ? chainOf(build)?.sprockets[0]?.point : undefined)
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

/** Under which the ± of a figure of a case is kept: of a body, or the force of a mount. */
export const mountFigureId = (
  at: MountCaseKey,
  of: { readonly body: BodyId; readonly figure: (typeof CASE_FIGURES)[number] } | { readonly force: Id },
): string => ('force' in of ? `mount/${at}/force/${of.force}` : `mount/${at}/${of.figure}/${of.body}`)

function figuresOf({ mounted, columns }: CompiledMounts, index: number): SubjectFigure<MountsEvaluation>[] {
  if (!columns.known) return []
  return columns.value.cases.flatMap((one, k) => {
    const place = `mounts[${index}].cases[${k}]`
    const { key } = one.of.at
    const stands = (all: readonly MountsEvaluation[]) => {
      const found = all[index]?.found
      return found?.known === true && found.value.cases.some(({ at }) => at.key === key)
    }
    const whole = CASE_FIGURES.map((figure) => ({
      ...{ id: mountFigureId(key, { body: mounted.body.id, figure }), place: `${place}.${figure}` },
      ...{ column: one[figure], stands },
    }))
    const forces = one.sizes.map((column, i) => ({
      ...{
        id: mountFigureId(key, { force: mounted.mounts[i]?.id ?? '' }),
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
    ...sprung.rearward,
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

/** What is published of a body: every case in its order, one in which the mounts do not hold with why. */
function mountsJson({ mounted, found }: MountsEvaluation) {
  if (!found.known) return { body: mounted.body.id, massKg: null, tailShare: null, cases: [] }
  const { unit, cases, failed, tailShare } = found.value
  const told = new Map<MountCaseKey, object>([
    ...cases.map((one) => [one.at.key, caseJson(one)] as const),
    ...failed.map(({ at, why }) => [at.key, { case: at.key, why }] as const),
  ])
  return {
    body: mounted.body.id,
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
