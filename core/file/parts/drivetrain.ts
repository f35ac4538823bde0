import type { BodyId } from './body'
import type { Id } from './id'

/** A gear or a range and what it does to the speed: input turns for one turn out, negative for reverse. */
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

/** How the shaft behind the gearbox turns in first gear, seen from behind. */
export const SHAFT_TURNS = ['anticlockwise', 'clockwise'] as const

/** Which axles are driven: one, both locked together, or both through an open centre differential. */
export const DRIVE_KINDS = ['rear', 'front', 'locked', 'open'] as const
export type DriveKind = (typeof DRIVE_KINDS)[number]

/** What the tyres hold: no shaft ever bears more than that and its shock. */
export interface Grip {
  /** Friction of tyre and road; 1 when absent. */
  readonly mu?: number
  /** What rests on each axle; from the weights when absent. */
  readonly frontKg?: number
  readonly rearKg?: number
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
  readonly turns?: (typeof SHAFT_TURNS)[number]
  readonly outputs?: readonly Output[]
  readonly axleRatios?: readonly AxleRatio[]
  /** As the lines say when absent: to the front, to the rear, or locked together. */
  readonly drive?: DriveKind
  /** Share of the torque that an open centre differential gives to the front; half when absent. */
  readonly frontShare?: number
  /** Rolling radius of the tyres. */
  readonly tyreRadiusMm?: number
  readonly grip?: Grip
  /** What a clutch that is let go, or a wheel that bites, multiplies the torque by; 1 when absent. */
  readonly shock?: number
  /** Engine to shaft; 1 when absent. */
  readonly efficiency?: number
  /** No faster than this, whatever the gears would allow. */
  readonly topSpeedKmh?: number
}
