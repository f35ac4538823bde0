import { array, boolean, lazy, object, type AnyObject, type ObjectSchema } from 'yup'
import { figure, idField, list, nameField, noteField, requiredId, requiredName, wordField } from './fields'
import { JOINT_KINDS, POINT_MEANINGS, SCHOOLS } from './lineSpec'

/** Picks a schema by a word in the value, so that a wrong word is named at its own place. */
function byWord(key: string, shapes: Readonly<Record<string, ObjectSchema<AnyObject>>>) {
  const words = wordField(Object.keys(shapes)).required()
  const fallback = object({ [key]: words })
  return lazy((value: unknown) => {
    if (value === undefined) return object().optional().default(undefined)
    const word = typeof value === 'object' && value !== null ? (value as AnyObject)[key] : undefined
    return typeof word === 'string' && Object.hasOwn(shapes, word) ? (shapes[word] ?? fallback) : fallback
  })
}

const length = () => figure(0, 100_000)

const shaftEnd = byWord('kind', {
  yoke: object({}),
  flange: object({ faceToJointMm: length().required() }),
  'slip-yoke': object({
    boreBottomToJointMm: length().required(),
    setInMm: length().required(),
    sealToShaftEndMm: length(),
  }),
})

const speed = byWord('basis', {
  stated: object({ rpm: figure(1, 100_000).required() }),
  engine: object({
    redlineRpm: figure(1, 100_000).required(),
    topGearRatio: figure(0.05, 50).required(),
    transferRatio: figure(0.05, 50),
  }),
  road: object({
    speedKmh: figure(1, 1000).required(),
    tyreDiameterMm: figure(100, 5000).required(),
    axleRatio: figure(0.1, 50).required(),
  }),
})

const joint = object({
  id: requiredId(),
  name: nameField(),
  kind: wordField(JOINT_KINDS).required(),
  point: requiredId(),
  pointIs: wordField(POINT_MEANINGS),
  limitDeg: figure(0, 90),
  centringPilot: boolean(),
})

const tube = object({
  outerMm: figure(1, 1000).required(),
  wallMm: figure(0.1, 500).required(),
  material: wordField(['steel', 'aluminium']).required(),
})
  .default(undefined)
  .test(
    'hollow',
    'the wall is thicker than half the tube',
    (value) => !value || value.wallMm * 2 <= value.outerMm,
  )

const shaft = object({
  id: idField(),
  name: nameField(),
  phaseDeg: figure(-360, 360),
  splineTeeth: figure(2, 200).integer(),
  tube,
  bearing: object({ point: requiredId() }).default(undefined),
  drivingEnd: shaftEnd,
  drivenEnd: shaftEnd,
})

/** The Yup schema of one line of shafts. */
export const lineSchema = object({
  id: requiredId(),
  name: requiredName(),
  school: wordField(SCHOOLS).required(),
  schoolReason: noteField(),
  driving: requiredId(),
  driven: requiredId(),
  flow: wordField(['rearward', 'forward']),
  joints: list(joint, 12).min(1).required(),
  shafts: array().of(shaft).max(11).required(),
  speed,
  expectedRiseDeg: figure(-15, 15),
  expectedDropDeg: figure(-15, 15),
})
