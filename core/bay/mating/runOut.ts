import { Matrix, SVD } from 'ml-matrix'
import { CoreError, requireFinite } from '../../base/errors'
import { asRadians, degrees, radians } from '../../base/units/angle'

/** One dial reading: where the plunger stands, clockwise from 12 seen from the rear, and what the dial shows in mm. */
export interface DialReading {
  readonly clockDeg: number
  readonly mm: number
}

/** A sine laid through dial readings by least squares: mean + cosine·cos + sine·sin of the clock angle. */
export interface DialFit {
  readonly cosine: number
  readonly sine: number
  /** Height of the sine in mm: the offset, which is half the total reading. */
  readonly amplitude: number
  /** Where the dial reads most, in degrees from 0 to 360; null without run-out. */
  readonly highClockDeg: number | null
  /** Largest less smallest reading, in mm. */
  readonly totalRaw: number
  readonly rmsResidual: number
  readonly maxResidual: number
  /** What each reading is off the sine, in mm, in their order. */
  readonly residuals: readonly number[]
  /** Ovality in mm; null where there are too few places to tell it. */
  readonly secondHarmonic: number | null
  /** (12 + 6) less (3 + 9), in mm: near nought unless it is oval or a reading is wrong; null without those four. */
  readonly closure: number | null
}

/** Where a bell housing's bore stands from the crank's centre. */
export interface BoreRunOut {
  readonly fit: DialFit
  /** Of the bore's centre, in mm: half the total reading. */
  readonly offsetMm: number
  readonly centre: { readonly leftMm: number; readonly upMm: number; readonly clockDeg: number | null }
}

/** How a bell housing's rear face stands to the crank. */
export interface FaceRunOut {
  readonly fit: DialFit
  readonly tiltDeg: number
  /** Where it stands furthest to the rear; null for a face that runs true. */
  readonly highClockDeg: number | null
  /** Side of the joint between housing and block to be packed. */
  readonly shimClockDeg: number | null
  /** Fall and plan of the face's rearward normal beside the crank's axis. */
  readonly fallDeg: number
  readonly planDeg: number
}

/** An offset dowel that brings a bore back. */
export interface DowelChoice {
  readonly sizeMm: number
  /** Way the housing has to move, or null for straight dowels. */
  readonly moveClockDeg: number | null
  readonly leftMm: number
}

/**
 * Singular values below this share of the largest are no direction of their own: readings within a sixth of the clock would make
 * run-out of the dial's own noise, twenty times as large.
 */
const RANK_SHARE = 0.05
/** A sine lower than this, in mm, points nowhere. */
const NO_RUN_OUT_MM = 1e-9
const LEAST_READINGS = 3
const HARMONIC_READINGS = 5

/**
 * A sine through dial readings.
 *
 * @param plungerInPositive - false for a dial that counts backwards when its plunger goes in
 * @throws CoreError `degenerate` where the places do not go round, `not-finite`
 */
export function fitDial(readings: readonly DialReading[], plungerInPositive = true): DialFit {
  for (const { clockDeg, mm } of readings) {
    requireFinite(clockDeg, 'clock place')
    requireFinite(mm, 'dial reading')
  }
  const sense = plungerInPositive ? 1 : -1
  const shown = readings.map(({ mm }) => sense * mm)
  const first = leastSquares(readings, shown, 1)
  if (readings.length < LEAST_READINGS || !first)
    throw new CoreError('degenerate', 'dial readings', 'three places well round the clock are needed')
  const [mean = 0, cosine = 0, sine = 0] = first
  const residuals = readings.map(({ clockDeg }, index) => {
    const turn = radians(clockDeg)
    return (shown[index] ?? NaN) - mean - cosine * Math.cos(turn) - sine * Math.sin(turn)
  })
  const second = readings.length >= HARMONIC_READINGS ? leastSquares(readings, shown, 2) : null
  return {
    cosine,
    sine,
    amplitude: Math.hypot(cosine, sine),
    highClockDeg: clock(cosine, sine),
    totalRaw: Math.max(...shown) - Math.min(...shown),
    rmsResidual: Math.sqrt(residuals.reduce((sum, one) => sum + one * one, 0) / residuals.length),
    maxResidual: Math.max(...residuals.map(Math.abs)),
    residuals,
    secondHarmonic: second ? Math.hypot(second[3] ?? NaN, second[4] ?? NaN) : null,
    closure: closureOf(readings, shown),
  }
}

/**
 * A bore read with the plunger outward on its wall, the indicator turning with the crank.
 *
 * Its centre lies where the dial reads least: there the wall is furthest away.
 *
 * @see docs/methods/mating.md
 */
export function boreRunOut(readings: readonly DialReading[], plungerInPositive = true): BoreRunOut {
  const fit = fitDial(readings, plungerInPositive)
  // Clockwise seen from the rear: 3 o'clock is to the right, against Y.
  return {
    fit,
    offsetMm: fit.amplitude,
    centre: {
      leftMm: fit.sine,
      upMm: -fit.cosine,
      clockDeg: clock(-fit.cosine, -fit.sine),
    },
  }
}

/**
 * A face read with the plunger forward on it: the dial reads most where the face stands furthest to the rear.
 *
 * @param radiusMm - at which the plunger goes round
 * @throws CoreError `out-of-range` for a radius that is not above nought
 * @see docs/methods/mating.md
 */
export function faceRunOut(
  readings: readonly DialReading[],
  radiusMm: number,
  plungerInPositive = true,
): FaceRunOut {
  if (!(radiusMm > 0)) throw new CoreError('out-of-range', 'radius', 'must be above nought')
  const fit = fitDial(readings, plungerInPositive)
  // The face is x = −(its reading): its rearward normal leans away from where it stands furthest back.
  const [left, up] = [fit.sine / radiusMm, -fit.cosine / radiusMm]
  return {
    fit,
    tiltDeg: degrees(asRadians(Math.atan(fit.amplitude / radiusMm))),
    highClockDeg: fit.highClockDeg,
    shimClockDeg: fit.highClockDeg === null ? null : (fit.highClockDeg + 180) % 360,
    fallDeg: degrees(asRadians(Math.atan2(-up, Math.hypot(1, left)))),
    planDeg: degrees(asRadians(Math.atan2(left, 1))),
  }
}

/**
 * The offset dowels that leave least; straight ones count too, and of equals the smaller.
 *
 * @param sizesMm - offsets on the shelf
 */
export function bestDowel({ offsetMm, centre }: BoreRunOut, sizesMm: readonly number[]): DowelChoice {
  const sizeMm = [0, ...sizesMm]
    .sort((a, b) => a - b)
    .reduce((best, size) => (Math.abs(offsetMm - size) < Math.abs(offsetMm - best) ? size : best))
  const isOffset = sizeMm > 0 && centre.clockDeg !== null
  return {
    sizeMm,
    moveClockDeg: isOffset ? ((centre.clockDeg ?? 0) + 180) % 360 : null,
    leftMm: Math.abs(offsetMm - sizeMm),
  }
}

/** Clock angle of a direction, from 0 up to but not including 360; null for no direction at all. */
const clock = (up: number, right: number): number | null => {
  if (Math.hypot(up, right) < NO_RUN_OUT_MM) return null
  // A hair before 12 is 12, and not a full turn.
  const angle = degrees(asRadians(Math.atan2(right, up)))
  return Math.abs(angle) < 1e-9 ? 0 : (angle + 360) % 360
}

/** Mean, then cosine and sine of each harmonic; null where the places do not tell them apart. */
function leastSquares(
  readings: readonly DialReading[],
  shown: readonly number[],
  harmonics: number,
): number[] | null {
  const columns = 1 + 2 * harmonics
  if (readings.length < columns) return null
  const rows = readings.map(({ clockDeg }) => [
    1,
    ...Array.from({ length: harmonics }, (_, k) => {
      const turn = radians(clockDeg) * (k + 1)
      return [Math.cos(turn), Math.sin(turn)]
    }).flat(),
  ])
  const parts = new SVD(new Matrix(rows))
  const [largest = 0] = parts.diagonal
  if (parts.diagonal.filter((one) => one > RANK_SHARE * largest).length < columns) return null
  return parts.solve(Matrix.columnVector([...shown])).to1DArray()
}

/** Means at 12, 3, 6 and 9, as far as all four were read. */
function closureOf(readings: readonly DialReading[], shown: readonly number[]): number | null {
  const [twelve, three, six, nine] = [0, 90, 180, 270].map((place) => {
    const there = shown.filter((_, index) => isAt(readings[index]?.clockDeg ?? NaN, place))
    return there.length > 0 ? there.reduce((sum, one) => sum + one, 0) / there.length : NaN
  }) as [number, number, number, number]
  const closure = twelve + six - three - nine
  return Number.isNaN(closure) ? null : closure
}

const isAt = (clockDeg: number, place: number): boolean =>
  Math.abs(((((clockDeg - place + 180) % 360) + 360) % 360) - 180) < 1e-6
