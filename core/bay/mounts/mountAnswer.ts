import { answered } from '../../base/answered'
import { allKnown, unknown, type Known } from '../../base/known'
import { dot, norm, scale, sub, type Vec3 } from '../../base/linalg/vec3'
import { degrees } from '../../base/units/angle'
import type { Build } from '../../file/build/build'
import { powertrainOf } from '../../file/parts/bodies'
import { together } from '../../making/mounts/load'
import { movedBy, settle, type ElasticMount, type Settled } from '../../making/mounts/settle'
import { reactionShare } from '../../making/mounts/share'
import type { Evaluation } from '../../model/evaluateBuild'
import {
  loadsOf,
  MOUNT_CASES,
  REVERSE_CASE,
  REVERSE_SHOCK,
  type MountCase,
  type MountedUnit,
} from './mountCases'
import { mountsOf, outputPlace, unitOf } from './mountedUnit'

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
