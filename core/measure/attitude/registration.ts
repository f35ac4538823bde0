import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import { apply3, movePoint, transpose3, type Mat3, type RigidMove } from '../../base/linalg/mat3'
import { norm, scale, sub, add, type Vec3 } from '../../base/linalg/vec3'

/** A datum point as measured in a setup's own frame and as known on the chassis, in mm. */
export interface DatumPair {
  readonly id: string
  readonly setup: Vec3
  readonly chassis: Vec3
}

/** How far a datum point misses the fit: chassis place less the carried-over one, chassis frame, mm. */
export interface DatumResidual {
  readonly id: string
  readonly vector: Vec3
  readonly length: number
}

/** The fit of the other points without this one. */
export interface LeftOut {
  readonly id: string
  /** Root mean square of the others, in mm. */
  readonly rms: number
  /** How far this point misses the fit of the others, in mm. */
  readonly miss: number
}

/** A setup brought to the chassis. */
export interface Registration {
  /** Setup frame to chassis frame. */
  readonly move: RigidMove
  readonly residuals: readonly DatumResidual[]
  /** √(Σ|r|²/n), in mm. */
  readonly rms: number
  /** √(Σ|r|²/(3n − 6)), in mm. */
  readonly rmsFreedom: number
  /** Length, width and height of the cloud of points: singular values of the centred chassis points, mm. */
  readonly spread: Vec3
  /** One a point; null where the other points lie on one line. Empty below four points, which name nobody. */
  readonly leftOut: readonly (LeftOut | null)[]
  /** The point without which the others fit clearly better, or null. */
  readonly suspect: string | null
  /** A mirrored fit would be ten times better: some axis was counted the wrong way. */
  readonly isMirrored: boolean
  /** All points lie in one plane: they fit upside down just as well, so which side is up has to come from elsewhere. */
  readonly isFlat: boolean
  /** The fit turns the setup's up to the chassis' down: left and right were swapped on flat points. */
  readonly isUpsideDown: boolean
}

export type RegistrationResult =
  | { readonly ok: true; readonly value: Registration }
  | { readonly ok: false; readonly reason: 'too-few' | 'duplicate' | 'collinear'; readonly message: string }

export interface SuspectRule {
  /** A suspect's absence brings the rms below this share. */
  readonly ratio: number
  /** Misfits up to this rms, in mm, accuse nobody. */
  readonly noise: number
}

const DEFAULT_RULE: SuspectRule = { ratio: 0.5, noise: 0.5 }
/** The cloud is a line when its width is below this share of its length, or below 1 mm. */
const LINE_SHARE = 1e-3
const LINE_WIDTH = 1
/** The cloud is flat when its height is below this share of its length. */
const FLAT_SHARE = 1e-3
/** A mirrored fit this many times better is no accident. */
const MIRROR_GAIN = 10

/**
 * The rigid move that brings a setup's own frame to the chassis, by least squares over datum points.
 *
 * Rotation by singular value decomposition with the sign forced to a proper one; no scale.
 *
 * @param pairs - at least three points, each with its own name
 * @returns the move with residuals and suspect, or why there is none
 * @see docs/methods/registration.md (Kabsch 1976; Umeyama 1991 for the proper rotation)
 */
export function registration(
  pairs: readonly DatumPair[],
  rule: SuspectRule = DEFAULT_RULE,
): RegistrationResult {
  if (new Set(pairs.map(({ id }) => id)).size < pairs.length)
    return { ok: false, reason: 'duplicate', message: 'two datum points have one name' }
  if (pairs.length < 3)
    return { ok: false, reason: 'too-few', message: 'three datum points are needed, not all on one line' }
  const fit = fitted(pairs)
  if (!fit) {
    return {
      ok: false,
      reason: 'collinear',
      message:
        'the datum points lie on one line, so the turn about it is not known: add one well to the side',
    }
  }
  const residuals = residualsOf(pairs, fit.move)
  const rms = rmsOf(residuals, pairs.length)
  const leftOut = pairs.length >= 4 ? pairs.map((pair) => withoutOne(pairs, pair)) : []
  const best = leftOut.reduce((a, b) => (b !== null && (a === null || b.rms < a.rms) ? b : a), null)
  const isFlat = fit.spread[2] < FLAT_SHARE * fit.spread[0]
  return {
    ok: true,
    value: {
      move: fit.move,
      residuals,
      rms,
      rmsFreedom: rmsOf(residuals, 3 * pairs.length - 6),
      spread: fit.spread,
      leftOut,
      suspect: best && rms > rule.noise && best.rms < rule.ratio * rms ? best.id : null,
      isMirrored: !isFlat && rms > rule.noise && mirroredRms(pairs) * MIRROR_GAIN <= rms,
      isFlat,
      // A vehicle that is measured from a floor never lies on its roof.
      isUpsideDown: fit.move.rotation[2][2] < 0,
    },
  }
}

interface Fit {
  readonly move: RigidMove
  readonly spread: Vec3
}

/** Proper rigid fit; null for points on one line in either frame. */
export function fitted(pairs: readonly DatumPair[], isMirrored = false): Fit | null {
  const spread = spreadOf(centred(pairs.map(({ chassis }) => chassis)).points)
  if (isLine(spread) || isLine(spreadOf(centred(pairs.map(({ setup }) => setup)).points))) return null
  return { move: rigidFit(pairs, isMirrored), spread }
}

/** The rigid move of a fit whose points are known not to lie on one line. */
export function rigidFit(pairs: readonly Omit<DatumPair, 'id'>[], isMirrored = false): RigidMove {
  const from = centred(pairs.map(({ setup }) => setup))
  const to = centred(pairs.map(({ chassis }) => chassis))
  const rotation = rotationBetween(from.points, to.points, isMirrored)
  return { rotation, shift: sub(to.middle, apply3(rotation, from.middle)) }
}

const isLine = ([length, width]: Vec3): boolean => width < LINE_WIDTH || width < LINE_SHARE * length

/** Rotation R that least-squares takes each `from` to its `to`: covariance H = Σ from·toᵀ = U·S·Vᵀ, R = V·D·Uᵀ. */
function rotationBetween(from: readonly Vec3[], to: readonly Vec3[], isMirrored: boolean): Mat3 {
  const covariance = Matrix.zeros(3, 3)
  from.forEach((a, i) => {
    const b = to[i] as Vec3
    for (let row = 0; row < 3; row++)
      for (let column = 0; column < 3; column++)
        covariance.set(row, column, covariance.get(row, column) + (a[row] as number) * (b[column] as number))
  })
  const svd = new SingularValueDecomposition(covariance)
  const u = toMat3(svd.leftSingularVectors)
  const v = toMat3(svd.rightSingularVectors)
  const sign = Math.sign(determinant(u) * determinant(v)) * (isMirrored ? -1 : 1)
  // The weakest direction takes the sign, so that the fit stays proper at the least cost.
  return multiplyDiagonal(v, [1, 1, sign], u)
}

/** V·D·Uᵀ. */
function multiplyDiagonal(v: Mat3, d: Vec3, u: Mat3): Mat3 {
  const row = (r: Vec3): Vec3 => {
    const weighted: Vec3 = [r[0] * d[0], r[1] * d[1], r[2] * d[2]]
    return apply3(u, weighted)
  }
  return [row(v[0]), row(v[1]), row(v[2])]
}

const toMat3 = (m: Matrix): Mat3 => m.to2DArray() as unknown as Mat3

const determinant = (m: Mat3): number => {
  const [a, b, c] = transpose3(m)
  return (
    a[0] * (b[1] * c[2] - b[2] * c[1]) -
    a[1] * (b[0] * c[2] - b[2] * c[0]) +
    a[2] * (b[0] * c[1] - b[1] * c[0])
  )
}

function centred(points: readonly Vec3[]): { readonly middle: Vec3; readonly points: readonly Vec3[] } {
  const middle = scale(points.reduce(add, [0, 0, 0]), 1 / points.length)
  return { middle, points: points.map((point) => sub(point, middle)) }
}

/** Singular values of a centred cloud, √ of its scatter along its own three directions, largest first. */
function spreadOf(points: readonly Vec3[]): Vec3 {
  const rows = points.map((point) => [...point])
  while (rows.length < 3) rows.push([0, 0, 0])
  const [a, b, c] = new SingularValueDecomposition(new Matrix(rows)).diagonal
  return [a ?? 0, b ?? 0, c ?? 0]
}

const residualsOf = (pairs: readonly DatumPair[], move: RigidMove): DatumResidual[] =>
  pairs.map(({ id, setup, chassis }) => {
    const vector = sub(chassis, movePoint(move, setup))
    return { id, vector, length: norm(vector) }
  })

const rmsOf = (residuals: readonly DatumResidual[], count: number): number =>
  Math.sqrt(residuals.reduce((sum, { length }) => sum + length ** 2, 0) / count)

function withoutOne(pairs: readonly DatumPair[], left: DatumPair): LeftOut | null {
  const others = pairs.filter((pair) => pair !== left)
  const fit = fitted(others)
  if (!fit) return null
  const residuals = residualsOf(others, fit.move)
  return {
    id: left.id,
    rms: rmsOf(residuals, others.length),
    miss: norm(sub(left.chassis, movePoint(fit.move, left.setup))),
  }
}

function mirroredRms(pairs: readonly DatumPair[]): number {
  const fit = fitted(pairs, true)
  return fit ? rmsOf(residualsOf(pairs, fit.move), pairs.length) : Infinity
}
