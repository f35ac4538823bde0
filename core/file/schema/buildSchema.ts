import { array, boolean, number, object, string } from 'yup'
import { LIMIT_SCOPES } from '../build/limit'
import { QUANTITIES } from '../build/quantities'
import { ANGLE_STYLES, LENGTH_UNITS } from '../../base/units/unitSettings'
import { DATUM_SCHOOLS, FORMAT_NAME, FORMAT_VERSION } from '../build/build'
import { AXIS_LIES } from '../parts/named'
import { bodySchema } from './bodySchema'
import { axleCutSchema } from './axleCutSchema'
import {
  direction,
  figure,
  idField,
  list,
  nameField,
  noteField,
  requiredId,
  rawText,
  requiredName,
  timeField,
  wordField,
} from '../parts/fields'
import { LIST_LIMITS } from '../door/door'
import { DRIVE_KINDS, SHAFT_TURNS } from '../parts/drivetrain'
import { GAP_KINDS } from '../parts/gap'
import { LEVER_KINDS } from '../build/lever'
import { LIST_SHAPES } from '../build/lists'
import { SCHOOLS } from '../parts/lineSpec'
import { photoSchema } from './photoSchema'
import { matingSchema, wayInSchema, weightSchema } from './placeSchema'
import { anyReadingSchema, readingSchema } from './readingSchema'
import { TOOL_KINDS } from '../parts/tool'

const flipTest = object({
  id: requiredId(),
  at: timeField().required(),
  first: rawText().required(),
  firstHigh: wordField(['left', 'right']),
  second: rawText().required(),
  secondHigh: wordField(['left', 'right']),
})

const tool = object({
  id: requiredId(),
  name: requiredName(),
  kind: wordField(TOOL_KINDS).required(),
  resolution: figure(0, 1000),
  accuracy: figure(0, 1000),
  handScatter: figure(0, 1000),
  zeroHabit: wordField(['gravity', 'chassis']),
  flipTests: list(flipTest, 200),
  simulated: boolean(),
})

const setup = object({
  id: requiredId(),
  name: requiredName(),
  date: timeField(),
  standsOn: wordField(['floor', 'lift-wheels', 'lift-frame', 'stands']).required(),
  loaded: boolean().required(),
  settled: boolean().required(),
  by: nameField(),
  datum: wordField(DATUM_SCHOOLS).required(),
  plumbAxis: idField(),
  centreline: wordField(['string', 'pairs']),
  zeroSurfaceFallDeg: figure(-45, 45),
})

const point = object({ id: requiredId(), name: requiredName(), body: requiredId(), datum: boolean() })
const centrePair = object({
  id: requiredId(),
  name: requiredName(),
  left: requiredId(),
  right: requiredId(),
})

const readingChange = object({
  id: requiredId(),
  at: timeField().required(),
  by: nameField(),
  what: wordField(['repeated', 'repeat-removed', 'corrected', 'removed']).required(),
  reading: requiredId(),
  before: anyReadingSchema,
  after: anyReadingSchema,
  why: noteField(),
})

const axis = object({
  id: requiredId(),
  name: requiredName(),
  body: requiredId(),
  lies: wordField(AXIS_LIES),
  through: array().of(requiredId()).max(20),
})

const lever = object({
  id: requiredId(),
  kind: wordField(LEVER_KINDS).required(),
  body: requiredId(),
  holding: idField(),
  sprocket: idField(),
  name: nameField(),
  range: array().of(figure(-1000, 1000).required()).length(2).required(),
  step: figure(0.01, 100).required(),
  stock: array().of(figure(0.1, 500).required()).max(30),
  locked: boolean(),
  lockedBecause: nameField(),
  effort: object({ fixed: figure(0, 1e6), perUnit: figure(0, 1e6) }).default(undefined),
})

/** Amounts of levers by their ids, in mm or degrees. */
const amounts = (name: string) =>
  object().test(name, function (settings) {
    const bad = Object.entries(settings ?? {}).find(
      ([, value]) => typeof value !== 'number' || !(Math.abs(value) <= 1000),
    )
    return (
      !bad ||
      this.createError({ path: `${this.path}.${bad[0]}`, message: 'must be a number from -1000 to 1000' })
    )
  })

const shiftLever = object({
  point: requiredId(),
  holeStationMm: figure(-100_000, 100_000).required(),
  holeLeftMm: figure(-100_000, 100_000).required(),
  seatStationMm: figure(-100_000, 100_000),
}).default(undefined)

const service = object({
  id: requiredId(),
  name: requiredName(),
  body: requiredId(),
  toward: direction(),
  wayMm: figure(0.1, 10_000).required(),
})

const position = object({
  id: requiredId(),
  name: requiredName(),
  settings: amounts('settings').required(),
  reason: noteField(),
  made: object({ at: timeField().required(), settings: amounts('settings').required() }).default(undefined),
})

const trial = object({
  id: requiredId(),
  name: requiredName(),
  date: timeField(),
  note: noteField(),
  packed: amounts('packed').default(undefined),
})

const wheels = object({
  axle: requiredId(),
  leftUpMm: figure(-1000, 1000).required(),
  rightUpMm: figure(-1000, 1000).required(),
})
const state = object({ id: requiredId(), name: requiredName(), wheels: list(wheels, 10).required() })

const range = object({ name: requiredName(), ratio: figure(0.05, 50).required() })
const gear = object({
  name: requiredName(),
  ratio: figure(-50, 50)
    .required()
    .test('turns', 'must be 0.05 at least, or -0.05 at most for reverse', (ratio) => Math.abs(ratio) >= 0.05),
})
const grip = object({ mu: figure(0.01, 5), frontKg: figure(0, 100_000), rearKg: figure(0, 100_000) }).default(
  undefined,
)
const drivetrain = object({
  redlineRpm: figure(1, 100_000),
  peakTorqueNm: figure(1, 100_000),
  converterRatio: figure(1, 10),
  gears: list(gear, 30),
  ranges: list(range, 10),
  turns: wordField(SHAFT_TURNS),
  outputs: list(object({ axis: requiredId(), ratio: figure(0.05, 50) }), 20),
  axleRatios: list(object({ axle: requiredId(), ratio: figure(0.1, 50).required() }), 10),
  drive: wordField(DRIVE_KINDS),
  frontShare: figure(0.01, 0.99),
  tyreRadiusMm: figure(50, 2500),
  grip,
  shock: figure(0.1, 10),
  efficiency: figure(0.1, 1),
  topSpeedKmh: figure(1, 1000),
}).default(undefined)

const stockTube = object({
  id: requiredId(),
  name: nameField(),
  outerMm: figure(1, 1000).required(),
  wallMm: figure(0.1, 500).required(),
  material: wordField(['steel', 'aluminium']).required(),
  yieldMPa: figure(1, 5000),
})
const crossSize = object({
  id: requiredId(),
  name: requiredName(),
  spanMm: figure(1, 1000).required(),
  trunnionMm: figure(1, 500).required(),
  boreMm: figure(0, 499).required(),
  allowMPa: figure(1, 5000).required(),
})

const limitEntry = object({
  id: requiredId(),
  quantity: wordField(Object.keys(QUANTITIES)).required(),
  unit: wordField(Object.values(QUANTITIES).map(({ unit }) => unit)).required(),
  scope: wordField(LIMIT_SCOPES).required(),
  basis: string().max(1000).required(),
  failBelow: figure(-1e6, 1e6),
  warnBelow: figure(-1e6, 1e6),
  warnAbove: figure(-1e6, 1e6),
  failAbove: figure(-1e6, 1e6),
  schools: array().of(wordField(SCHOOLS).required()).max(SCHOOLS.length),
  joints: wordField(['all', 'first', 'last']),
  gaps: array().of(wordField(GAP_KINDS).required()).max(GAP_KINDS.length),
})

const donorPattern = object({
  id: requiredId(),
  name: requiredName(),
  settled: boolean(),
  outerPieceMm: figure(0, 5000),
  innerPieceMm: figure(0, 5000),
  overlapBottomedMm: figure(0, 5000),
  overlapPulledMm: figure(0, 5000),
  offsetMm: figure(-500, 500),
  clampMm: figure(0, 500),
  note: noteField(),
})

/** The Yup schema of a limit profile, in a build or in a file of its own. */
export const limitsSchema = object({
  profile: wordField(['road', 'heavy', 'trail', 'track', 'own']).required(),
  name: requiredName(),
  entries: list(limitEntry, 100).required(),
}).default(undefined)

const units = object({
  length: wordField(LENGTH_UNITS).required(),
  inchFraction: number().oneOf([16, 32]),
  angle: wordField(ANGLE_STYLES),
}).default(undefined)

/** The Yup schema of a build file, version 2. Lists may be absent; fields not named here are kept. */
export const buildSchema = object({
  format: string().oneOf([FORMAT_NAME]).required(),
  version: number().oneOf([FORMAT_VERSION]).required(),
  id: idField(),
  name: requiredName(),
  vehicle: nameField(),
  note: noteField(),
  units,
  tools: list(tool, LIST_LIMITS.tools),
  setups: list(setup, LIST_LIMITS.setups),
  trials: list(trial, LIST_LIMITS.trials),
  bodies: array().of(bodySchema).max(LIST_LIMITS.bodies),
  points: list(point, LIST_LIMITS.points),
  axes: list(axis, LIST_LIMITS.axes),
  readings: array().of(readingSchema).max(LIST_LIMITS.readings),
  ...LIST_SHAPES,
  readingLog: list(readingChange, LIST_LIMITS.readingLog),
  centrePairs: list(centrePair, LIST_LIMITS.centrePairs),
  drivetrain,
  states: list(state, LIST_LIMITS.states),
  levers: list(lever, LIST_LIMITS.levers),
  positions: list(position, LIST_LIMITS.positions),
  chosen: idField(),
  countedFrom: idField(),
  limits: limitsSchema,
  mating: matingSchema,
  weight: weightSchema,
  wayIn: wayInSchema,
  shiftLever,
  services: list(service, LIST_LIMITS.services),
  photos: list(photoSchema, LIST_LIMITS.photos),
  tubes: list(stockTube, LIST_LIMITS.tubes),
  crosses: list(crossSize, LIST_LIMITS.crosses),
  patterns: list(donorPattern, LIST_LIMITS.patterns),
  axleCuts: list(axleCutSchema, LIST_LIMITS.axleCuts),
})
