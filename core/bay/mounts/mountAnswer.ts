import { CoreError } from '../../base/errors'
import { allKnown, known, mapKnown, unknown, type Known, type Missing } from '../../base/known'
import { movePoint } from '../../base/linalg/mat3'
import { dot, norm, scale, sub, type Vec3 } from '../../base/linalg/vec3'
import { degrees } from '../../base/units/angle'
import type { Build } from '../../file/build/build'
import { MOUNT_FIGURES, type ElasticMountEntry } from '../../file/kinds/mountKinds'
import { outputOf } from '../../file/open/output'
import { powertrainOf } from '../../file/parts/bodies'
import { together } from '../../making/mounts/load'
import { movedBy, settle, type ElasticMount, type Settled } from '../../making/mounts/settle'
import { reactionShare } from '../../making/mounts/share'
import type { MountSpring } from '../../making/mounts/spring'
import { pointOf } from '../../measure/geometry/geometry'
import type { Evaluation } from '../../model/evaluateBuild'
import { centreOfMass } from '../../vehicle/weight/masses'
import { hangingMasses } from '../../vehicle/weight/weightOf'
import {
  loadsOf,
  MOUNT_CASES,
  REVERSE_CASE,
  REVERSE_SHOCK,
  type MountCase,
  type MountedUnit,
} from './mountCases'

/** What a mount bears in a case, on the powertrain: forward, left and up. */
export interface MountForce {
  readonly id: string
  readonly name: string
  readonly force: Vec3
  readonly sizeN: number
  /** A pad that stands off. */
  readonly lifts: boolean
}

/** A gap of the powertrain in a case. */
export interface GapLeft {
  readonly gap: string
  readonly name: string
  readonly gapMm: number
  readonly leftMm: number
}

/** How the powertrain stands in a case, against standing still. */
export interface CaseFound {
  readonly at: MountCase
  readonly forces: readonly MountForce[]
  /** Of the output's centre: forward, left and up. */
  readonly outputMm: Vec3
  /** Left side up, tail down, tail to the left. */
  readonly rollDeg: number
  readonly fallDeg: number
  readonly planDeg: number
  /** The least of what is left, first. */
  readonly gaps: readonly GapLeft[]
  readonly settled: Settled
}

export interface MountsFound {
  readonly unit: MountedUnit
  readonly mounts: readonly ElasticMount[]
  readonly output: Vec3
  readonly cases: readonly CaseFound[]
  /** Cases in which the mounts do not hold it, and why. */
  readonly failed: readonly { readonly at: MountCase; readonly why: string }[]
  /** Share of the reaction that goes out through the mounts at the gearbox; unknown where a pad has no one share, or nobody said which are there. */
  readonly tailShare: Known<number>
}

/** Taken for a clutch that is let go, where nobody said how hard. */
const USUAL_SHOCK = 2

/**
 * A powertrain on its mounts, case by case.
 *
 * @returns unknown with every figure that is still missing, or with why the mounts do not hold it
 * @see docs/methods/making.md
 */
export function mountsFound(build: Build, evaluation: Evaluation): Known<MountsFound> {
  const mounts = mountsOf(build, evaluation)
  const unit = unitOf(build, evaluation)
  const output = outputPlace(build, evaluation)
  const all = allKnown([mounts, unit, output] as const)
  if (!all.known) return all
  const [springs, held, place] = all.value
  return answered(() => casesOf(build, evaluation, { springs, unit: held, output: place }), all.assumptions)
}

interface Ready {
  readonly springs: readonly ElasticMount[]
  readonly unit: MountedUnit
  readonly output: Vec3
}

function casesOf(build: Build, evaluation: Evaluation, { springs, unit, output }: Ready): MountsFound {
  const reverse = (build.drivetrain.gears ?? []).find(({ ratio }) => ratio < 0)
  const cases = [...MOUNT_CASES, ...(reverse ? [REVERSE_CASE] : [])]
  const backwards = reverse && {
    ...unit,
    torque: { ...unit.torque, gearRatio: reverse.ratio, shock: REVERSE_SHOCK },
  }
  const settledIn = (at: MountCase) =>
    settle(springs, together(loadsOf(at, at === REVERSE_CASE && backwards ? backwards : unit)))
  const standing = settledIn(cases[0] as MountCase)
  const tried = cases.map((at) => ({ at, settled: answered(() => settledIn(at)) }))
  const tail = new Set((build.mounts ?? []).filter(({ isTail }) => isTail).map(({ id }) => id))
  return {
    unit,
    mounts: springs,
    output,
    cases: tried.flatMap(({ at, settled }) =>
      settled.known ? [caseOf({ build, evaluation, springs, output }, at, settled.value, standing)] : [],
    ),
    failed: tried.flatMap(({ at, settled }) =>
      settled.known ? [] : [{ at, why: settled.missing.map(({ what }) => what).join('; ') }],
    ),
    tailShare:
      tail.size === 0
        ? unknown('which mounts are at the gearbox')
        : answered(() => reactionShare(springs, tail, unit.torque, output).tail),
  }
}

/** What a mathematical refusal says is what is missing. */
function answered<T>(work: () => T, assumptions: readonly string[] = []): Known<T> {
  try {
    return known(work(), assumptions)
  } catch (error) {
    if (error instanceof CoreError) return unknown(error.message)
    throw error
  }
}

interface Stands {
  readonly build: Build
  readonly evaluation: Evaluation
  readonly springs: readonly ElasticMount[]
  readonly output: Vec3
}

function caseOf(
  { build, evaluation, springs, output }: Stands,
  at: MountCase,
  settled: Settled,
  standing: Settled,
): CaseFound {
  const moved = (place: Vec3) => sub(movedBy(settled, place), movedBy(standing, place))
  const turn = sub(settled.turn, standing.turn)
  return {
    at,
    settled,
    forces: springs.map(({ id, spring }): MountForce => {
      const force = settled.forces.get(id) ?? [0, 0, 0]
      const name = build.mounts?.find((one) => one.id === id)?.name ?? id
      return { id, name, force, sizeN: norm(force), lifts: spring.kind === 'pad' && !settled.presses.has(id) }
    }),
    outputMm: moved(output),
    rollDeg: degrees(turn[0]),
    fallDeg: degrees(-turn[1]),
    planDeg: degrees(-turn[2]),
    gaps: gapsLeft(build, evaluation, moved),
  }
}

/** Gaps between the powertrain and what does not move with it; one of a service is looked at with the engine off. */
function gapsLeft(build: Build, { gaps }: Evaluation, moved: (place: Vec3) => Vec3): GapLeft[] {
  const powertrain = powertrainOf(build)?.id
  const bodyOf = new Map(build.points.map(({ id, body }) => [id, body]))
  return gaps
    .flatMap(({ gap, ride }): GapLeft[] => {
      const isOurs = bodyOf.get(gap.point) === powertrain && gap.obstacle !== powertrain
      if (!isOurs || !ride.known || gap.kind === 'service' || gap.shaft) return []
      const { gapMm, point, toward } = ride.value
      const way = scale(toward, 1 / norm(toward))
      return [{ gap: gap.id, name: gap.name, gapMm, leftMm: gapMm - dot(way, moved(point)) }]
    })
    .sort((a, b) => a.leftMm - b.leftMm)
}

function mountsOf(build: Build, { placed }: Evaluation): Known<ElasticMount[]> {
  const entries = build.mounts ?? []
  if (entries.length === 0) return unknown('what the powertrain stands on', 'mounts')
  const all = entries.map((entry) => {
    const lacks = MOUNT_FIGURES[entry.kind].find((figure) => entry[figure] === undefined)
    if (lacks) return unknown(`how stiff ${entry.name} is`, 'mounts')
    return mapKnown(pointOf(placed, entry.point), (at): ElasticMount => ({
      id: entry.id,
      at,
      spring: springOf(entry),
    }))
  })
  return allKnown(all) as Known<ElasticMount[]>
}

const BOLTS: Readonly<Record<'along' | 'across' | 'up', Vec3>> = {
  along: [1, 0, 0],
  across: [0, 1, 0],
  up: [0, 0, 1],
}

function springOf(entry: ElasticMountEntry): MountSpring {
  const { axialNPerMm = NaN, radialNPerMm = NaN, pressNPerMm = NaN, shearNPerMm = NaN } = entry
  const { forwardNPerMm = NaN, leftNPerMm = NaN, upNPerMm = NaN } = entry
  switch (entry.kind) {
    case 'bush':
      return { kind: 'bush', axis: BOLTS[entry.bolt ?? 'along'], axial: axialNPerMm, radial: radialNPerMm }
    case 'pad':
      return { kind: 'pad', normal: [0, 0, 1], press: pressNPerMm, shear: shearNPerMm }
    case 'ways':
      return { kind: 'axes', perMm: [forwardNPerMm, leftNPerMm, upNPerMm] }
  }
}

/** What hangs on the hoist stands on the mounts; it goes along with the powertrain. */
function unitOf(build: Build, { moves }: Evaluation): Known<MountedUnit> {
  const hanging = hangingMasses(build.weight ?? { masses: [] })
  const { peakTorqueNm, converterRatio = 1, gears = [], ranges = [], turns } = build.drivetrain
  const missing: Missing[] = [
    ...(hanging.known ? [] : hanging.missing),
    ...(peakTorqueNm === undefined
      ? [{ what: 'the engine’s highest torque', path: 'drivetrain.peakTorqueNm' }]
      : []),
    ...(gears.length > 0 ? [] : [{ what: 'the gears', path: 'drivetrain.gears' }]),
  ]
  if (missing.length > 0 || !hanging.known || peakTorqueNm === undefined) return { known: false, missing }
  const { kg, station, offset, height } = centreOfMass(hanging.value)
  const move = moves.get(powertrainOf(build)?.id ?? '')
  const asMeasured: Vec3 = [-station, offset, height]
  const isApart = build.bodies.some(({ kind }) => kind === 'transfer-case')
  const shock = build.weight?.shock
  const unit: MountedUnit = {
    massKg: kg,
    centre: move?.known ? movePoint(move.value, asMeasured) : asMeasured,
    torque: {
      engineNm: peakTorqueNm,
      gearRatio: Math.max(...gears.map(({ ratio }) => ratio)),
      range: isApart ? 1 : Math.max(1, ...ranges.map(({ ratio }) => ratio)),
      converter: converterRatio,
      shock: shock ?? USUAL_SHOCK,
      turns: turns ?? 'anticlockwise',
    },
  }
  return known(unit, [
    ...(shock === undefined ? [`a shock of ${USUAL_SHOCK}, as nobody said another`] : []),
    ...(turns === undefined ? ['the shaft turns anticlockwise in first gear, seen from behind'] : []),
  ])
}

/** The first joint that the powertrain turns: where it goes, the shaft follows. */
function outputPlace(build: Build, { placed }: Evaluation): Known<Vec3> {
  const output = outputOf(build)
  return output ? pointOf(placed, output.point) : unknown('the first joint behind the powertrain', 'lines')
}
