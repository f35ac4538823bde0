import { isUneven } from '../file/parts/joints'
import type { Line } from '../file/parts/lineSpec'
import type { Radians } from '../base/units/angle'
import { smallAngleAcceleration } from './uniformity'

/**
 * Acceleration by the small-angle rule of the shaft beside one joint, in rad/s²; none beside a joint of constant velocity.
 *
 * @param joint - counted from 0 along the power flow: the first swings the shaft on drive, the last on overrun
 */
export const inertialRule = (line: Line, joint: number, angle: Radians, speedRpm: number): number =>
  isUneven(line.joints[joint]) ? smallAngleAcceleration(angle, speedRpm) : 0
