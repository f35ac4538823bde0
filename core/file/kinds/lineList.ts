import { array, boolean, object } from 'yup'
import { byWord } from '../parts/byWord'
import {
  figure,
  idField,
  list,
  nameField,
  noteField,
  requiredId,
  requiredName,
  wordField,
} from '../parts/fields'
import { FLOWS, isSetByBearing, JOINT_KINDS, POINT_MEANINGS, SCHOOLS, type Line } from '../parts/lineSpec'
import type { Things } from './ask'
import type { EntryComplaint, ListFacts } from './listFacts'

const length = () => figure(0, 100_000)

const kind = wordField(['yoke', 'flange', 'slip-yoke']).required()

/** Hardware at the end of a shaft by its kind. */
export const END_SHAPES = {
  yoke: object({ kind }),
  flange: object({ kind, faceToJointMm: length() }),
  'slip-yoke': object({
    kind,
    boreBottomToJointMm: length(),
    setInMm: length(),
    sealToShaftEndMm: length(),
    engagedMm: length(),
    splineDiameterMm: figure(1, 500),
    witnessMm: length(),
  }),
} as const
const shaftEnd = byWord('kind', END_SHAPES)

const basis = wordField(['drivetrain', 'stated', 'engine', 'road']).required()

/** Where the highest shaft speed comes from, by its basis. */
export const SPEED_SHAPES = {
  drivetrain: object({ basis }),
  stated: object({ basis, rpm: figure(1, 100_000).required() }),
  engine: object({
    basis,
    redlineRpm: figure(1, 100_000).required(),
    topGearRatio: figure(0.05, 50).required(),
    transferRatio: figure(0.05, 50),
  }),
  road: object({
    basis,
    speedKmh: figure(1, 1000).required(),
    tyreDiameterMm: figure(100, 5000).required(),
    axleRatio: figure(0.1, 50).required(),
  }),
} as const
const speed = byWord('basis', SPEED_SHAPES)

const joint = object({
  id: requiredId(),
  name: nameField(),
  kind: wordField(JOINT_KINDS).required(),
  point: idField(),
  pointIs: wordField(POINT_MEANINGS),
  limitDeg: figure(0, 90),
  centringPilot: boolean(),
  cross: idField(),
})

const tube = object({
  outerMm: figure(1, 1000).required(),
  wallMm: figure(0.1, 500).required(),
  material: wordField(['steel', 'aluminium']).required(),
  yieldMPa: figure(1, 5000),
})
  .default(undefined)
  .test(
    'hollow',
    'the wall is thicker than half the tube',
    (value) => !value || value.wallMm * 2 <= value.outerMm,
  )

const bearing = object({
  point: requiredId(),
  overhangMm: figure(-5000, 5000),
  axis: idField(),
  limitN: figure(0, 1e6),
  limitDeg: figure(0, 90),
}).default(undefined)
const slip = object({
  closedMm: length(),
  engagedMm: length(),
  diameterMm: figure(1, 500),
}).default(undefined)
const plunge = object({ middleMm: length(), reachMm: figure(0, 1000), offsetMm: figure(-500, 500) }).default(
  undefined,
)
const endMasses = object({ kg: figure(0, 500).required(), inboardMm: length().required() }).default(undefined)

const shaft = object({
  id: idField(),
  name: nameField(),
  phaseDeg: figure(-360, 360),
  splineTeeth: figure(2, 200).integer(),
  tube,
  mostOuterMm: figure(1, 1000),
  bearing,
  slip,
  plunge,
  endMasses,
  drivingEnd: shaftEnd,
  drivenEnd: shaftEnd,
})

/** One line of shafts in a file. */
const LINE_SHAPE = object({
  id: requiredId(),
  name: requiredName(),
  school: wordField(SCHOOLS).required(),
  schoolReason: noteField(),
  driving: requiredId(),
  driven: requiredId(),
  flow: wordField(FLOWS),
  joints: list(joint, 12).min(1).required(),
  shafts: array().of(shaft).max(11).required(),
  speed,
  expectedRiseDeg: figure(-15, 15),
  expectedDropDeg: figure(-15, 15),
})

/** What a build keeps of them. */
export const LIST_OF_LINES = {
  shape: LINE_SHAPE,
  most: 20,
  holds: 'runs to it',
  names: ({ driving, driven, joints, shafts }) => [
    { at: 'driving', in: 'axes', id: driving },
    { at: 'driven', in: 'axes', id: driven },
    ...joints.map(({ point }, k) => ({ at: `joints[${k}].point`, in: 'points' as const, id: point })),
    ...shafts.flatMap(({ bearing }, k) => [
      { at: `shafts[${k}].bearing.point`, in: 'points' as const, id: bearing?.point },
      { at: `shafts[${k}].bearing.axis`, in: 'axes' as const, id: bearing?.axis },
    ]),
  ],
  problems: lineProblems,
} as const satisfies ListFacts<Line>

function lineProblems(_: Things, line: Line, complain: EntryComplaint): void {
  line.joints.forEach((joint, k) => {
    if (joint.point === undefined && !isSetByBearing(line, k))
      complain(
        `joints[${k}].point`,
        'is missing: neither a point nor the bearing of the shaft in front says where it is',
      )
    const inner = k > 0 && k < line.joints.length - 1
    if (inner && (joint.pointIs ?? 'centre') !== 'centre')
      complain(`joints[${k}].pointIs`, 'a joint between two shafts is told by its centre')
    if (line.joints.findIndex((other) => other.id === joint.id) < k)
      complain(`joints[${k}].id`, `"${joint.id}" is already used in this line`)
  })
  if (line.shafts.length !== line.joints.length - 1)
    complain('shafts', `must hold ${line.joints.length - 1}: one shaft between each two joints`)
}
