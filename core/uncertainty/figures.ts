import { fallPlan } from '../frame/axis'
import { shaftLengths, type ShaftLengths } from '../lengths/shaftLengths'
import type { LineNumbers } from '../line/lineNumbers'
import { angleAbout } from '../joints/jointMap'
import { inertialRule } from '../line/inertialRule'
import { peakAcceleration, unevenness } from '../line/uniformity'
import type { Mat2 } from '../linalg/mat2'
import { anyPerpendicular, cross, dot, scale, type Vec3 } from '../linalg/vec3'
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
  /** For a figure that is the length of a vector, or rises with it: the vector. */
  readonly vector?: FigureVector
}

/** A vector behind a figure; where it may as well be nought, a ± about its length says nonsense. */
export interface FigureVector {
  readonly of: (line: SampledLine) => readonly [number, number]
  /** The figure when the vector is nought. */
  readonly figureAtNought: number
}

/** A joint's angle as a vector: the turn from its incoming to its outgoing axis, across two fixed directions. */
export const jointVector = (index: number, like: SampledLine): FigureVector => {
  const along = like.numbers.geometry.axes[index] as Vec3
  const first = anyPerpendicular(along)
  const second = cross(along, first)
  return {
    figureAtNought: 0,
    of: ({ numbers: { geometry } }) => {
      const turn = cross(geometry.axes[index] as Vec3, geometry.axes[index + 1] as Vec3)
      return [dot(turn, first), dot(turn, second)]
    },
  }
}

/**
 * The unevenness behind a joint of the line as a vector.
 *
 * @param index - of the joint up to which the line is looked at; the last for the whole line
 */
export const unevennessVector = (index: number, like: SampledLine): FigureVector => {
  const along = like.numbers.geometry.axes[0] as Vec3
  const fixed = anyPerpendicular(along)
  let last: { readonly line: SampledLine; readonly vector: readonly [number, number] } | null = null
  return {
    figureAtNought: 0,
    of: (line) => {
      // Five figures of one line ask for the same vector.
      if (last?.line === line) return last.vector
      const { maps, geometry } = line.numbers
      const normal = angleAbout(geometry.axes[0] as Vec3, fixed, maps.normals[0] as Vec3)
      last = { line, vector: unevenness(maps.upTo[index] as Mat2, normal) }
      return last.vector
    },
  }
}

/** The difference of two joint angles, with its sign. */
export const pairVector = (index: number): FigureVector => ({
  figureAtNought: 0,
  of: ({ numbers: { anglesDeg } }) => [(anglesDeg[index + 1] ?? NaN) - (anglesDeg[index] ?? NaN), 0],
})

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
  const uneven = unevennessVector(last, like)
  return [
    ...line.joints.map((_, i) => ({
      name: `joints[${i}].angleDeg`,
      of: ({ numbers }: SampledLine) => numbers.anglesDeg[i] ?? NaN,
      vector: jointVector(i, like),
    })),
    {
      name: 'errorPeakToPeakDeg',
      of: ({ numbers }) => degrees(numbers.whole.errorPeakToPeak),
      vector: uneven,
    },
    {
      name: 'equivalentAngleDeg',
      of: ({ numbers }) => degrees(numbers.whole.equivalentAngle),
      vector: uneven,
    },
    {
      name: 'ratioMin',
      of: ({ numbers }) => numbers.whole.ratioMin,
      vector: { ...uneven, figureAtNought: 1 },
    },
    {
      name: 'ratioMax',
      of: ({ numbers }) => numbers.whole.ratioMax,
      vector: { ...uneven, figureAtNought: 1 },
    },
    ...line.shafts.flatMap((_, index) => shaftFigureList(line, like, index, speedRpm)),
    ...(speedRpm === null
      ? []
      : [
          {
            name: 'outputPeakAccelerationRadS2',
            of: ({ numbers }: SampledLine) => peakAcceleration(numbers.whole, speedRpm),
            vector: uneven,
          },
          { name: 'inertialDriveRadS2', of: inertial(line, 0, speedRpm), vector: jointVector(0, like) },
          { name: 'inertialCoastRadS2', of: inertial(line, last, speedRpm), vector: jointVector(last, like) },
        ]),
  ]
}

const inertial =
  (line: Line, joint: number, speedRpm: number) =>
  ({ numbers }: SampledLine): number =>
    inertialRule(line, joint, numbers.maps.angles[joint] ?? asRadians(NaN), speedRpm)

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
      vector: unevennessVector(index, like),
    })
  if (line.shafts[index]?.tube)
    figures.push({
      name: `${at}.criticalSpeedRpm`,
      of: ({ numbers }) => numbers.criticalSpeedsRpm[index] ?? NaN,
    })
  return figures
}
