import type { BodyId } from './body'
import type { Id } from './id'

/** A gear or a range and what it does to the speed: input turns for one turn out. */
export interface Gear {
  readonly name: string
  readonly ratio: number
}

/** What turns with the axis of an output, behind the gearbox's own gears. */
export interface Output {
  readonly axis: Id
  /** Turns of the gearbox's output shaft for one of this axis; 1 when absent. */
  readonly ratio?: number
}

/** The final drive of an axle. */
export interface AxleRatio {
  readonly axle: BodyId
  /** Turns of the pinion for one of the wheels. */
  readonly ratio: number
}

/** Engine, gears and final drives: from them each line gets its speed and its torque. */
export interface Drivetrain {
  readonly redlineRpm?: number
  /** Highest torque of the engine. */
  readonly peakTorqueNm?: number
  /** What a converter multiplies the torque by at the most; 1 when absent. */
  readonly converterRatio?: number
  readonly gears?: readonly Gear[]
  /** Ranges of a transfer case, high and low. */
  readonly ranges?: readonly Gear[]
  readonly outputs?: readonly Output[]
  readonly axleRatios?: readonly AxleRatio[]
}
