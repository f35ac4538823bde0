import { object } from 'yup'
import { figure, list, maybe, requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

/** How the shaft behind the gearbox turns in first gear, seen from behind. */
export const SHAFT_TURNS = ['anticlockwise', 'clockwise'] as const

/** Which axles are driven: one, both locked together, or both through an open centre differential. */
export const DRIVE_KINDS = ['rear', 'front', 'locked', 'open'] as const
export type DriveKind = (typeof DRIVE_KINDS)[number]

/** A range of a transfer case, and input turns for one turn out. */
const range = object({ name: requiredName(), ratio: figure(0.05, 50).required() })

/** A gear and what it does to the speed: input turns for one turn out, negative for reverse. */
const gear = object({
  name: requiredName(),
  ratio: figure(-50, 50)
    .required()
    .test('turns', 'must be 0.05 at least, or -0.05 at most for reverse', (ratio) => Math.abs(ratio) >= 0.05),
})
/** A gear or a range. */
export type Gear = Told<typeof gear>

/** What turns with the axis of an output, behind the gearbox's own gears. */
const output = object({
  axis: requiredId(),
  /** Turns of the gearbox's output shaft for one of this axis; 1 when absent. */
  ratio: figure(0.05, 50),
})

/** The final drive of an axle. */
const axleRatio = object({
  axle: requiredId(),
  /** Turns of the pinion for one of the wheels. */
  ratio: figure(0.1, 50).required(),
})

/** What the tyres hold: no shaft ever bears more than that and its shock. */
const grip = maybe({
  /** Friction of tyre and road; 1 when absent. */
  mu: figure(0.01, 5),
  /** What rests on each axle; from the weights when absent. */
  frontKg: figure(0, 100_000),
  rearKg: figure(0, 100_000),
})
export type Grip = NonNullable<Told<typeof grip>>

/** Engine, gears and final drives: from them each line gets its speed and its torque. */
export const drivetrainShape = maybe({
  redlineRpm: figure(1, 100_000),
  /** Highest torque of the engine. */
  peakTorqueNm: figure(1, 100_000),
  /** What a converter multiplies the torque by at the most; 1 when absent. */
  converterRatio: figure(1, 10),
  gears: list(gear, 30),
  /** Ranges of a transfer case, high and low. */
  ranges: list(range, 10),
  turns: wordField(SHAFT_TURNS),
  outputs: list(output, 20),
  axleRatios: list(axleRatio, 10),
  /** As the lines say when absent: to the front, to the rear, or locked together. */
  drive: wordField(DRIVE_KINDS),
  /** Share of the torque that an open centre differential gives to the front; half when absent. */
  frontShare: figure(0.01, 0.99),
  /** Rolling radius of the tyres. */
  tyreRadiusMm: figure(50, 2500),
  grip,
  /** What a clutch that is let go, or a wheel that bites, multiplies the torque by; 1 when absent. */
  shock: figure(0.1, 10),
  /** Engine to shaft; 1 when absent. */
  efficiency: figure(0.1, 1),
  /** No faster than this, whatever the gears would allow. */
  topSpeedKmh: figure(1, 1000),
})
export type Drivetrain = NonNullable<Told<typeof drivetrainShape>>
