import { fallPlan } from '../frame/axis'
import { shaftLengths, type ShaftLengths } from '../lengths/shaftLengths'
import type { LineNumbers } from '../line/lineNumbers'
import { peakAcceleration, smallAngleAcceleration } from '../line/uniformity'
import { scale, type Vec3 } from '../linalg/vec3'
import type { Line } from '../project/lineSpec'
import { asRadians, degrees } from '../units/angle'

/** A placed line with the lengths of its shafts. */
export interface SampledLine {
  readonly numbers: LineNumbers
  readonly lengths: readonly ShaftLengths[]
}

/** A figure of a line under the name of its place in the published result, `joints[0].angleDeg`. */
export interface LineFigure {
  readonly name: string
  readonly of: (line: SampledLine) => number
}

/** A placed line for sampling; shafts are ordered by their lengths at ride height, so only that state needs them. */
export const sampledLine = (line: Line, numbers: LineNumbers, hasLengths: boolean): SampledLine => ({
  numbers,
  lengths: hasLengths ? line.shafts.map((_, index) => shaftLengths(line, numbers.geometry, index)) : [],
})

/**
 * Every figure of a line that carries a ±.
 *
 * @param like - the line at the means: it tells how many lengths there are
 */
export function lineFigureList(line: Line, like: SampledLine, speedRpm: number | null): LineFigure[] {
  const last = line.joints.length - 1
  return [
    ...line.joints.map((_, i) => ({
      name: `joints[${i}].angleDeg`,
      of: ({ numbers }: SampledLine) => numbers.anglesDeg[i] ?? NaN,
    })),
    { name: 'errorPeakToPeakDeg', of: ({ numbers }) => degrees(numbers.whole.errorPeakToPeak) },
    { name: 'equivalentAngleDeg', of: ({ numbers }) => degrees(numbers.whole.equivalentAngle) },
    { name: 'ratioMin', of: ({ numbers }) => numbers.whole.ratioMin },
    { name: 'ratioMax', of: ({ numbers }) => numbers.whole.ratioMax },
    ...line.shafts.flatMap((_, index) => shaftFigureList(line, like, index, speedRpm)),
    ...(speedRpm === null
      ? []
      : [
          {
            name: 'outputPeakAccelerationRadS2',
            of: ({ numbers }: SampledLine) => peakAcceleration(numbers.whole, speedRpm),
          },
          { name: 'inertialDriveRadS2', of: inertial(0, speedRpm) },
          { name: 'inertialCoastRadS2', of: inertial(last, speedRpm) },
        ]),
  ]
}

const inertial =
  (joint: number, speedRpm: number) =>
  ({ numbers }: SampledLine): number =>
    smallAngleAcceleration(numbers.maps.angles[joint] ?? asRadians(NaN), speedRpm)

function shaftFigureList(
  line: Line,
  like: SampledLine,
  index: number,
  speedRpm: number | null,
): LineFigure[] {
  const at = `shafts[${index}]`
  const sense = line.flow === 'forward' ? -1 : 1
  const lie = ({ numbers }: SampledLine) => fallPlan(scale(numbers.geometry.axes[index + 1] as Vec3, sense))
  const figures: LineFigure[] = [
    { name: `${at}.fallDeg`, of: (sample) => degrees(lie(sample).fall) },
    { name: `${at}.planDeg`, of: (sample) => degrees(lie(sample).plan) },
    ...(like.lengths[index]?.all ?? []).map((_, i) => ({
      name: `${at}.lengths[${i}].vehicleMm`,
      of: ({ lengths }: SampledLine) => lengths[index]?.all[i]?.length ?? NaN,
    })),
  ]
  if (speedRpm !== null)
    figures.push({
      name: `${at}.peakAccelerationRadS2`,
      of: ({ numbers }) => {
        const member = numbers.members[index]
        return member ? peakAcceleration(member, speedRpm) : NaN
      },
    })
  if (line.shafts[index]?.tube)
    figures.push({
      name: `${at}.criticalSpeedRpm`,
      of: ({ numbers }) => numbers.criticalSpeedsRpm[index] ?? NaN,
    })
  return figures
}
