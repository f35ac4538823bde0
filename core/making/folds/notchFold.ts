import { CoreError, requireFinite } from '../../base/errors'
import { radians } from '../../base/units/angle'
import { pathOf } from '../bends/developBar'

/** A fold of a square tube: positive turns what follows up. */
export interface Fold {
  readonly angleDeg: number
  /** A V is cut from the wall inside the turn and closed, or one cut through the wall outside it opens. */
  readonly how: 'close' | 'open'
}

/** Where the metal turns: at the inner face of the wall left whole, in its middle, or at its outside. */
export type HingeLine = 'inner' | 'middle' | 'outer'
/** What legs are measured along: the middle of the tube, one of its outer faces, or from hinge to hinge. */
export type FoldDims = 'centreline' | 'bottom' | 'top' | 'hinge'

/** A square tube that is notched and folded, seen from the side. */
export interface FoldedTube {
  /** In the plane of folding. */
  readonly heightMm: number
  readonly wallMm: number
  readonly folds: readonly Fold[]
  /** One more than there are folds. */
  readonly legsMm: readonly number[]
  readonly hingeLine: HingeLine
  readonly legsAre: FoldDims
  /** Width of the saw's cut; not said when absent. */
  readonly kerfMm?: number
  /** What has to stay whole between two notches in one wall, and at the ends. */
  readonly leastLandMm?: number
}

type Wall = 'top' | 'bottom'

/** A fold on the straight tube. */
export interface Hinge {
  /** The wall that is left whole, and the one that is cut. */
  readonly wall: Wall
  readonly cutWall: Wall
  readonly xMm: number
  /** How far from the corner of the mid-lines it lies. */
  readonly shiftMm: number
  /** Width of the V, or of the plate that fills the opened cut. */
  readonly mouthMm: number
  readonly edgesMm: readonly [number, number]
  /** The mouth in cuts of the saw; null where nobody said how wide it cuts. */
  readonly sawCuts: number | null
}

export interface NotchedTube {
  readonly hinges: readonly Hinge[]
  readonly blankMm: number
  readonly centrelineLegsMm: readonly number[]
  /** Where the middle of its end comes to lie, and which way it then points. */
  readonly end: readonly [x: number, z: number]
  readonly endDirectionDeg: number
  /** Least that stays whole; null without folds. */
  readonly leastLandMm: number | null
}

/** A sharper fold has a mouth wider than the tube is long there. */
const BELOW_DEG = 150

/**
 * Notches of a folded square tube on the straight length.
 *
 * A hinge lies beside the corner of the mid-lines, so that each place carries those before it: a table that adds only the legs puts the second
 * and later notches wrong.
 *
 * @throws CoreError `wrong-length` when legs and folds do not fit, `out-of-range` for a fold that cannot be or notches without room
 */
export function notchFold(tube: FoldedTube): NotchedTube {
  const { folds, legsMm, heightMm, wallMm } = tube
  if (legsMm.length !== folds.length + 1)
    throw new CoreError(
      'wrong-length',
      'legs',
      `${folds.length} folds have ${folds.length + 1} legs between them`,
    )
  if (!(wallMm > 0 && wallMm < heightMm / 2))
    throw new CoreError('out-of-range', 'wall', 'is above 0 and less than half the height')
  folds.forEach(requireFold)
  const shifts = folds.map((fold) => shiftOf(tube, fold))
  const centrelineLegsMm = legsMm.map((leg, i) => leg - beyondCorners(tube, i, shifts))
  if (centrelineLegsMm.some((leg) => !(leg >= 0)))
    throw new CoreError('out-of-range', 'legs', 'one of them is too short for its corners')
  let along = 0
  const hinges = folds.map((fold, i): Hinge => {
    const shiftMm = shifts[i] ?? 0
    const xMm = along + (centrelineLegsMm[i] ?? 0) + shiftMm
    along = xMm + shiftMm
    return hingeAt(tube, fold, xMm, shiftMm)
  })
  const blankMm = along + (centrelineLegsMm.at(-1) ?? 0)
  const leastLandMm = landOf(hinges, blankMm)
  if (leastLandMm !== null && !(leastLandMm >= Math.max(0, tube.leastLandMm ?? 0)))
    throw new CoreError(
      'out-of-range',
      'legs',
      `notches leave ${leastLandMm.toFixed(1)} mm between them or to the end`,
    )
  const { path, endDirectionDeg } = pathOf(centrelineLegsMm, folds)
  return { hinges, blankMm, centrelineLegsMm, end: path.at(-1) ?? [0, 0], endDirectionDeg, leastLandMm }
}

function requireFold({ angleDeg }: Fold, i: number): void {
  requireFinite(angleDeg, `folds[${i}]`)
  const size = Math.abs(angleDeg)
  if (!(size > 0 && size < BELOW_DEG))
    throw new CoreError('out-of-range', `folds[${i}]`, `lies above 0 and below ${BELOW_DEG}°`)
}

const HINGE_DEPTHS: Readonly<Record<HingeLine, number>> = { inner: 1, middle: 0.5, outer: 0 }
/** From the outer face of the wall left whole to where it turns. */
const hingeDepth = ({ hingeLine, wallMm }: FoldedTube): number => HINGE_DEPTHS[hingeLine] * wallMm
const halfTangent = ({ angleDeg }: Fold): number => Math.tan(radians(Math.abs(angleDeg)) / 2)

const shiftOf = (tube: FoldedTube, fold: Fold): number =>
  (fold.how === 'close' ? 1 : -1) * (tube.heightMm / 2 - hingeDepth(tube)) * halfTangent(fold)

/** How much longer a leg is as it was measured than along the middle of the tube. */
function beyondCorners(
  { folds, legsAre, heightMm }: FoldedTube,
  leg: number,
  shifts: readonly number[],
): number {
  const atFold = (i: number): number => {
    const fold = folds[i]
    if (!fold || legsAre === 'centreline') return 0
    if (legsAre === 'hinge') return shifts[i] ?? 0
    const isOutside = legsAre === (fold.angleDeg > 0 ? 'bottom' : 'top')
    return (isOutside ? 1 : -1) * (heightMm / 2) * halfTangent(fold)
  }
  return atFold(leg - 1) + atFold(leg)
}

function hingeAt(tube: FoldedTube, fold: Fold, xMm: number, shiftMm: number): Hinge {
  const isClosed = fold.how === 'close'
  const wall: Wall = fold.angleDeg > 0 === isClosed ? 'bottom' : 'top'
  const angle = radians(Math.abs(fold.angleDeg))
  const mouthMm =
    2 * (tube.heightMm - hingeDepth(tube)) * (isClosed ? Math.tan(angle / 2) : Math.sin(angle / 2))
  return {
    wall,
    cutWall: wall === 'top' ? 'bottom' : 'top',
    xMm,
    shiftMm,
    mouthMm,
    edgesMm: isClosed ? [xMm - mouthMm / 2, xMm + mouthMm / 2] : [xMm, xMm],
    sawCuts: tube.kerfMm ? mouthMm / tube.kerfMm : null,
  }
}

/** Least between two cuts of one wall, or from a cut to an end. */
function landOf(hinges: readonly Hinge[], blankMm: number): number | null {
  if (hinges.length === 0) return null
  const lands = (['top', 'bottom'] as const).flatMap((wall) => {
    const cuts = hinges.filter(({ cutWall }) => cutWall === wall).map(({ edgesMm }) => edgesMm)
    if (cuts.length === 0) return []
    const ends = [...cuts.map(([from]) => from), blankMm]
    return ends.map((from, i) => from - (cuts[i - 1]?.[1] ?? 0))
  })
  return Math.min(...lands)
}
