import type { Line } from '../../file/parts/lineSpec'
import { trainOf } from '../../line/lineGeometry'
import type { LineFigures } from '../../line/lineFigures'
import { phasesOf } from '../../line/phases'
import { sampledTrain } from '../../line/sampledTrain'
import { degrees } from '../../base/units/angle'

/** Speed and acceleration of the output over one turn of the input, sampled. */
export interface TurnCurves {
  /** Input rotation of each sample, in degrees. */
  readonly turnDeg: readonly number[]
  /** Speed of each member behind a joint over input speed; the last is the output. */
  readonly ratios: readonly (readonly number[])[]
  /** How far each member runs ahead of the input, in degrees, its mean taken away. */
  readonly errorsDeg: readonly (readonly number[])[]
  /** Angular acceleration of each member, in rad/s²; null without a shaft speed. */
  readonly accelerations: readonly (readonly number[])[] | null
}

/**
 * Curves of a line over one turn, for drawing.
 *
 * @param speedRpm - of the driving axis; null while it is not known, and then without accelerations
 * @param steps - samples over the turn
 */
export function turnCurves(
  line: Line,
  figures: LineFigures,
  speedRpm: number | null,
  steps = 180,
): TurnCurves {
  const members = sampledTrain(trainOf(line, figures.geometry), phasesOf(line), speedRpm ?? 0, steps)
  const count = members[0]?.ratio.length ?? 0
  return {
    turnDeg: Array.from({ length: count }, (_, i) => (360 * i) / count),
    ratios: members.map((member) => [...member.ratio]),
    errorsDeg: members.map((member) => [...member.error].map(degrees)),
    accelerations: speedRpm !== null ? members.map((member) => [...member.acceleration]) : null,
  }
}
