import type { FigureOf, VectorColumns } from '../base/columns/graph'
import { unknown, known, type Known } from '../base/known'
import { add, cross, norm, scale, type Vec3 } from '../base/linalg/vec3'
import type { ElasticMountEntry } from '../file/kinds/mountKinds'
import type { BodyId } from '../file/parts/body'
import { loadOf, type MountCase } from '../making/mounts/mountCases'
import { faceLoad, type FaceLoad } from '../making/mounts/load'
import type { MountedBody } from '../making/mounts/mountedBodies'
import type { CarriedUnit } from '../making/mounts/mountedUnit'
import { directionOf } from '../making/mounts/mountSprings'
import { whyUnsettled } from '../making/mounts/settle'
import type { MountCaseColumns, MountColumns } from './mountColumns'

/** What a mount bears in a case, on the body: forward, left and up. */
export interface MountForce {
  readonly id: string
  readonly name: string
  readonly force: Vec3
  readonly sizeN: number
  /** A pad that stands off. */
  readonly lifts: boolean
  /** What its bolt bears: along it, below nought pulled where it holds a face, and across it; null of a stop. */
  readonly bolt: FaceLoad | null
}

/** A gap between a body and what stands in a case. */
export interface GapLeft {
  readonly gap: string
  readonly name: string
  readonly gapMm: number
  readonly leftMm: number
}

/** How a body stands in a case, against standing still. */
export interface CaseFound {
  readonly at: MountCase
  /** Of its point at the origin, mm, and its turn, radians: right-handed about forward, left and up. */
  readonly shift: Vec3
  readonly turn: Vec3
  readonly forces: readonly MountForce[]
  /** Of the output's centre: forward, left and up. */
  readonly outputMm: Vec3
  /** Left side up, tail down, tail to the left. */
  readonly rollDeg: number
  readonly fallDeg: number
  readonly planDeg: number
  /** The least of what is left, first. */
  readonly gaps: readonly GapLeft[]
  /** Working angles, how much more. */
  readonly joints: readonly { readonly line: string; readonly joint: number; readonly byDeg: number }[]
}

/** A body on its mounts as the levers stand. */
export interface MountsFound {
  readonly body: BodyId
  readonly unit: CarriedUnit
  /** Where the centre of gravity, the mounts and the output are: forward, left and up. */
  readonly centre: Vec3
  readonly mounts: readonly { readonly id: string; readonly at: Vec3 }[]
  readonly output: Vec3
  readonly cases: readonly CaseFound[]
  /** Cases in which the mounts do not hold it, and why. */
  readonly failed: readonly { readonly at: MountCase; readonly why: string }[]
  /** Share of the reaction that goes out through the mounts at the gearbox; unknown where a pad has no one share, or nobody said which are there. */
  readonly tailShare: Known<number>
}

/** All that is told of a body on its mounts, read where the levers stand; unknown, with why, where they do not hold it standing still. */
export function mountsFound(
  { body, mounts }: MountedBody,
  { sprung, output, cases, share }: MountColumns,
  figure: FigureOf,
): Known<MountsFound> {
  const at = ([x, y, z]: VectorColumns): Vec3 => [figure(x), figure(y), figure(z)]
  const [centre, places] = [at(sprung.centre), sprung.places.map(at)]
  const isHeld = ({ of }: MountCaseColumns) => Number.isFinite(figure(of.shift[0]))
  const failed = cases.flatMap((one) => {
    if (isHeld(one)) return []
    const { force, moment, alongNmm } = loadOf(one.of.at, sprung.unit)
    const about = add(moment, scale(at(sprung.rearward), alongNmm))
    const load = { force, moment: add(cross(centre, force), about) }
    return [{ at: one.of.at, why: whyUnsettled(sprung.springs, places, load) ?? '' }]
  })
  // Every other case is told against it.
  const [first] = failed
  if (first && first.at === cases[0]?.of.at) return unknown(first.why, 'mounts')
  return known({
    body: body.id,
    unit: sprung.unit,
    centre,
    mounts: places.map((place, i) => ({ id: mounts[i]?.id ?? '', at: place })),
    output: at(output),
    cases: cases.filter(isHeld).map((one) => caseFound(mounts, one, figure)),
    failed,
    tailShare: shareOf(share === null ? null : figure(share)),
  })
}

function shareOf(tail: number | null): Known<number> {
  if (tail === null) return unknown('which mounts are at the gearbox')
  return Number.isFinite(tail) ? known(tail) : unknown('mounts that press one way only have no one share')
}

function caseFound(mounts: readonly ElasticMountEntry[], one: MountCaseColumns, figure: FigureOf): CaseFound {
  const at = ([x, y, z]: VectorColumns): Vec3 => [figure(x), figure(y), figure(z)]
  const { of, gaps, joints } = one
  return {
    at: of.at,
    shift: at(of.shift),
    turn: at(of.turn),
    forces: of.forces.map((columns, i): MountForce => {
      const entry = mounts[i]
      const force = at(columns)
      const told = entry && faceLoad(force, directionOf(entry))
      // It bears something along its own way while it presses.
      const lifts = entry?.kind === 'pad' && !((told?.alongN ?? 0) > 0)
      const bolt = entry && entry.kind !== 'stop' ? (told ?? null) : null
      return { id: entry?.id ?? '', name: entry?.name ?? '', force, sizeN: norm(force), lifts, bolt }
    }),
    outputMm: at(one.output),
    rollDeg: figure(one.rollDeg),
    fallDeg: figure(one.fallDeg),
    planDeg: figure(one.planDeg),
    gaps: gaps
      .map(({ gap, ride, left }) => ({
        ...{ gap: gap.id, name: gap.name },
        ...{ gapMm: figure(ride), leftMm: figure(left) },
      }))
      .filter(({ leftMm }) => Number.isFinite(leftMm))
      .sort((a, b) => a.leftMm - b.leftMm),
    joints: joints
      .map(({ line, joint, byDeg }) => ({ line, joint, byDeg: figure(byDeg) }))
      .filter(({ byDeg }) => Number.isFinite(byDeg)),
  }
}
