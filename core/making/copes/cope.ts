import { CoreError } from '../../base/errors'
import { summit } from '../../base/summit'
import { degrees, radians } from '../../base/units/angle'
import { cutFrom, surfaceAt, type TubeJoint } from './copeCut'

/** The cut at one generator of the branch, along its axis from the foot of the common perpendicular. */
export interface CopeRow {
  /** Round the branch from the acute side; 90° lies toward the offset. */
  readonly phiDeg: number
  /** Along the paper that is wrapped round it. */
  readonly wrapMm: number
  /** Of the outside and of the inside of its wall; null where that passes the main tube by. */
  readonly outerMm: number | null
  readonly innerMm: number | null
  /** For a blade held square to the branch: the furthest of the whole wall, so that none of it fouls. */
  readonly cutMm: number | null
}

export interface Cope {
  readonly rows: readonly CopeRow[]
  readonly wrapMm: number
  /** The whole branch lies on the main tube. */
  readonly isComplete: boolean
  /** Of the outside, and of the cut, all the way round; null where the branch overhangs. */
  readonly outerMm: Extent | null
  readonly cutMm: Extent | null
}

interface Extent {
  readonly least: number
  readonly most: number
}

const FLATTEST_DEG = 10

/**
 * The cut of a branch that lies on a main tube: two cylinders whose axes cross or pass each other.
 *
 * @param steps - generators round the branch, the first told again at the end
 * @param paperMm - thickness of what is wrapped round it
 * @throws CoreError `out-of-range` for a wall thicker than the radius, too flat an angle, or a branch that passes the main tube by
 */
export function cope(joint: TubeJoint, steps = 24, paperMm = 0): Cope {
  requireJoint(joint)
  const wrapMm = Math.PI * (joint.branchOuterMm + paperMm)
  const rows = Array.from({ length: steps + 1 }, (_, i): CopeRow => {
    const phiDeg = (360 * i) / steps
    return { phiDeg, wrapMm: (wrapMm * i) / steps, ...cutAt(joint, phiDeg) }
  })
  const isComplete = Math.abs(joint.offsetMm) + joint.branchOuterMm / 2 <= joint.mainOuterMm / 2
  const extent = (of: 'outerMm' | 'cutMm'): Extent | null =>
    isComplete ? extentOf((phiDeg) => cutAt(joint, phiDeg)[of] ?? NaN) : null
  return { rows, wrapMm, isComplete, outerMm: extent('outerMm'), cutMm: extent('cutMm') }
}

function requireJoint({ branchOuterMm, branchWallMm, mainOuterMm, angleDeg, offsetMm }: TubeJoint): void {
  if (!(branchWallMm > 0 && branchWallMm < branchOuterMm / 2))
    throw new CoreError('out-of-range', 'wall', 'is above 0 and less than the radius of its tube')
  if (!(angleDeg >= FLATTEST_DEG && angleDeg <= 180 - FLATTEST_DEG))
    throw new CoreError('out-of-range', 'angle', `lies between ${FLATTEST_DEG} and ${180 - FLATTEST_DEG}°`)
  if (!(Math.abs(offsetMm) < (branchOuterMm + mainOuterMm) / 2))
    throw new CoreError('out-of-range', 'offset', 'is so large that the branch passes the main tube by')
}

function cutAt(joint: TubeJoint, phiDeg: number): Pick<CopeRow, 'outerMm' | 'innerMm' | 'cutMm'> {
  const outer = joint.branchOuterMm / 2
  const phi = radians(phiDeg)
  const met = (mm: number) => (Number.isNaN(mm) ? null : mm)
  return {
    outerMm: met(surfaceAt(joint, phi, outer)),
    innerMm: met(surfaceAt(joint, phi, outer - joint.branchWallMm)),
    cutMm: met(cutFrom(joint, phi)),
  }
}

/** Nearer than the tops and bottoms of a cut stand to each other. */
const SAMPLE_DEG = 2

/** Least and most all the way round: sampled, then narrowed to the tops and bottoms. */
function extentOf(of: (phiDeg: number) => number): Extent {
  const samples = Array.from({ length: 360 / SAMPLE_DEG + 1 }, (_, i) => of(i * SAMPLE_DEG))
  const best = (sense: 1 | -1): number => {
    const top = samples.reduce(
      (found, one, i) => (sense * one > sense * (samples[found] ?? NaN) ? i : found),
      0,
    )
    const upright = (phiDeg: number) => sense * of(phiDeg)
    return of(summit(upright, (top - 1) * SAMPLE_DEG, (top + 1) * SAMPLE_DEG))
  }
  return { least: best(-1), most: best(1) }
}

/** Two flats of the saw instead of a hollow cut, for a branch that is square to the main tube. */
export interface TwoFlats {
  /** Of each flat from square. */
  readonly angleDeg: number
  /** What is left to hollow out, at the deepest: nearly half of the way out. */
  readonly leftMm: number
}

/** Flats from the branch's edges to the top of the main tube; the arc stands over its chord by what is left. */
export function twoFlats(branchOuterMm: number, mainOuterMm: number): TwoFlats {
  const [branch, main] = [branchOuterMm / 2, mainOuterMm / 2]
  const angle = Math.atan((main - Math.sqrt(main * main - branch * branch)) / branch)
  return { angleDeg: degrees(angle), leftMm: main * (1 / Math.cos(angle) - 1) }
}
