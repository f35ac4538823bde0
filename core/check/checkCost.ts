import type { Build } from '../file/build/build'
import { wheelPlaces } from '../file/build/wheelPlaces'
import { measuredModel } from '../measure/geometry/geometry'
import { lineStates } from './lineStates'

/** What a build asks of the sampling. */
export interface CheckCost {
  readonly inputs: number
  readonly figures: number
}

/** Figures of a line that each joint and shaft bring, roundly, in one state. */
const PER_JOINT = 12
const PER_LINE = 12

/**
 * How much there is to sample in a build, without sampling it: for whoever has to say no beforehand.
 *
 * @returns measured figures the model rests on, and figures computed for each sample, roundly
 */
export function checkCost(build: Build): CheckCost {
  const figures = build.lines.reduce(
    (sum, line) => sum + lineStates(build, line).length * (PER_LINE + PER_JOINT * line.joints.length),
    3 * build.points.length + 2 * build.axes.length + build.gaps.length * (1 + wheelPlaces(build).length),
  )
  return { inputs: measuredModel(build).list.inputs.length, figures }
}
