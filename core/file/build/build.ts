import { array, number, object, string, type ISchema, type NumberSchema } from 'yup'
import { ANGLE_STYLES, LENGTH_UNITS, type UnitSettings } from '../../base/units/unitSettings'
import { axleCutShape } from '../parts/axleCut'
import { bodySchema } from '../parts/body'
import { crewShape } from '../parts/crew'
import { cuttingShape } from '../parts/cutting'
import { donorPatternShape } from '../parts/donorPattern'
import { drivetrainShape } from '../parts/drivetrain'
import { idField, list, maybe, nameField, noteField, requiredName, wordField } from '../parts/fields'
import { matingShape } from '../parts/mating'
import { axisShape, centrePairShape, pointShape } from '../parts/named'
import { photoShape } from '../parts/photo'
import { serviceShape } from '../parts/serviceCheck'
import { shiftLeverShape } from '../parts/shiftLever'
import { crossEntryShape, tubeEntryShape } from '../parts/stock'
import type { Told } from '../parts/told'
import { toolShape } from '../parts/tool'
import { stateShape, trialShape } from '../parts/vehicleState'
import { wayInShape } from '../parts/wayInPlan'
import { weightShape } from '../parts/weightSheet'
import { leverShape } from './lever'
import { limitsShape } from './limit'
import { LIST_LIMITS, LIST_SHAPES } from './lists'
import { positionShape } from './position'
import { readingSchema } from './reading'
import { readingChangeShape } from './readingChange'
import { setupShape } from './setup'

/** Name every build file starts with. */
export const FORMAT_NAME = 'lurvan-build'
/** The version this program writes. */
export const FORMAT_VERSION = 2

const units = maybe({
  length: wordField(LENGTH_UNITS).required(),
  inchFraction: number().oneOf([16, 32]) as NumberSchema<16 | 32 | undefined>,
  angle: wordField(ANGLE_STYLES),
} satisfies { [K in keyof UnitSettings]: ISchema<UnitSettings[K] | undefined> })

/** The Yup schema of a build file, version 2. Lists may be absent; fields not named here are kept. */
export const buildSchema = object({
  format: string()
    .oneOf([FORMAT_NAME] as const)
    .required(),
  version: number().oneOf([FORMAT_VERSION]).required() as NumberSchema<typeof FORMAT_VERSION>,
  id: idField(),
  name: requiredName(),
  vehicle: nameField(),
  note: noteField(),
  units,
  tools: list(toolShape, LIST_LIMITS.tools),
  setups: list(setupShape, LIST_LIMITS.setups),
  trials: list(trialShape, LIST_LIMITS.trials),
  bodies: array().of(bodySchema).max(LIST_LIMITS.bodies),
  points: list(pointShape, LIST_LIMITS.points),
  axes: list(axisShape, LIST_LIMITS.axes),
  readings: array().of(readingSchema).max(LIST_LIMITS.readings),
  // The lists that subjects add.
  ...LIST_SHAPES,
  /** What was done to readings after they were taken, oldest first. */
  readingLog: list(readingChangeShape, LIST_LIMITS.readingLog),
  centrePairs: list(centrePairShape, LIST_LIMITS.centrePairs),
  drivetrain: drivetrainShape,
  /** Places of the wheels besides ride height. */
  states: list(stateShape, LIST_LIMITS.states),
  levers: list(leverShape, LIST_LIMITS.levers),
  positions: list(positionShape, LIST_LIMITS.positions),
  /** The position that the mounts are made to. */
  chosen: idField(),
  /** The trial from which levers count, once it was read how it stood; as first measured when absent. */
  countedFrom: idField(),
  limits: limitsShape,
  mating: matingShape,
  weight: weightShape,
  wayIn: wayInShape,
  crew: crewShape,
  cutting: cuttingShape,
  shiftLever: shiftLeverShape,
  /** What has to come out on its own. */
  services: list(serviceShape, LIST_LIMITS.services),
  photos: list(photoShape, LIST_LIMITS.photos),
  /** Tubes that can be had; the usual ones when absent. */
  tubes: list(tubeEntryShape, LIST_LIMITS.tubes),
  /** Sizes of crosses; the usual ones when absent. */
  crosses: list(crossEntryShape, LIST_LIMITS.crosses),
  /** Lengths of halfshafts by donor pieces. */
  patterns: list(donorPatternShape, LIST_LIMITS.patterns),
  /** Live axles that are made to another width. */
  axleCuts: list(axleCutShape, LIST_LIMITS.axleCuts),
})
type InFile = Told<typeof buildSchema>

/** What is laid in where a file has none. */
type LaidIn =
  | 'id'
  | 'tools'
  | 'setups'
  | 'trials'
  | 'bodies'
  | 'points'
  | 'axes'
  | 'readings'
  | 'lines'
  | 'gaps'
  | 'drivetrain'
  | 'states'
  | 'levers'
  | 'positions'
  | 'chosen'
  | 'limits'

/** One vehicle's driveline: everything Lurvan keeps about it, as plain data. */
export interface Build extends Omit<InFile, LaidIn | 'units'>, Required<Pick<InFile, LaidIn>> {
  readonly units: UnitSettings
}
