import { array, boolean, object } from 'yup'
import { byWord } from '../parts/byWord'
import { figure, idField, list, nameField, requiredId, requiredName, wordField } from '../parts/fields'
import { ARRANGEMENTS, BODY_KIND_NAMES, OUTLINE_VIEWS, SLIDER_WAYS } from '../parts/body'
import { SUSPENSION_KINDS, SUSPENSION_POINTS, type SuspensionKind } from '../parts/hubMotion'

const size = () => figure(0, 100_000)

const range = (least: number, most: number) =>
  array()
    .of(figure(least, most).required())
    .length(2)
    .required()
    .test('rising', 'must run from the lower to the higher figure', (value) =>
      value?.[0] === undefined || value[1] === undefined ? true : value[0] < value[1],
    )
const box = object({
  stations: range(-100_000, 100_000),
  offsets: range(-100_000, 100_000),
  heights: range(-100_000, 100_000),
}).default(undefined)

/** Corners of one outline at the most: a tracing has some dozens. */
export const MAX_CORNERS = 200
/** The Yup schema of one outline. */
export const outlineSchema = object({
  view: wordField(OUTLINE_VIEWS).required(),
  corners: array()
    .of(array().of(figure(-100_000, 100_000).required()).length(2).required())
    .min(2)
    .max(MAX_CORNERS)
    .required(),
  open: boolean(),
  name: nameField(),
  photo: idField(),
})

const base = {
  id: requiredId(),
  name: requiredName(),
  kind: wordField(BODY_KIND_NAMES).required(),
  standsOn: idField(),
  provisional: boolean(),
  box,
  outlines: list(outlineSchema, 20),
}

const mounts = object({ frontLeft: requiredId(), frontRight: requiredId(), tail: requiredId() }).default(
  undefined,
)

const chassis = object({
  ...base,
  sizes: object({
    railDepthMm: size(),
    railSpacingMm: size(),
    railFrontSpacingMm: size(),
    railTaperStationMm: figure(-100_000, 100_000),
    railFrontStationMm: figure(-100_000, 100_000),
    railRearStationMm: figure(-100_000, 100_000),
    groundBelowMm: size(),
  }).default(undefined),
})

const powertrain = object({
  ...base,
  mounts,
  sizes: object({
    lengthMm: size(),
    gearboxLengthMm: size(),
    aboveAxisMm: size(),
    belowAxisMm: size(),
    widthMm: size(),
  }).default(undefined),
  faceStationMm: figure(-100_000, 100_000),
  rockDeg: figure(0, 30),
})

const motionKind = wordField(['table', 'arc', 'links']).required()

const tableMotion = object({
  kind: motionKind,
  rows: array()
    .of(
      object({
        wheelUpMm: figure(-1000, 1000).required(),
        forwardMm: figure(-1000, 1000).required(),
        noseUpDeg: figure(-45, 45).required(),
      }),
    )
    .min(1)
    .max(50)
    .required(),
  at: idField(),
  ride: object({ stationMm: figure(-100_000, 100_000), noseDeg: figure(-90, 90) }).default(undefined),
})
  .test('rising', 'its heights must rise from row to row', (value) =>
    (value?.rows ?? []).every(
      (row, i, rows) => i === 0 || !(row.wheelUpMm <= (rows[i - 1]?.wheelUpMm ?? -Infinity)),
    ),
  )
  .test('ride', 'must hold ride height: a row with 0, 0 and 0', (value) =>
    value
      ? value.rows.some((row) => row.wheelUpMm === 0 && row.forwardMm === 0 && row.noseUpDeg === 0)
      : true,
  )

const holdingBase = {
  id: requiredId(),
  kind: wordField(['link', 'ball', 'slider', 'hinge']).required(),
  name: nameField(),
}

/** What holds an axle, by its kind. */
export const HOLDING_SHAPES = {
  link: object({ ...holdingBase, chassis: requiredId(), axle: requiredId() }),
  ball: object({ ...holdingBase, axle: requiredId() }),
  slider: object({ ...holdingBase, axle: requiredId(), stays: wordField(SLIDER_WAYS).required() }),
  hinge: object({ ...holdingBase, axle: requiredId(), axle2: requiredId() }),
} as const

/** How an axle moves, by the kind of its motion. */
export const MOTION_SHAPES = {
  table: tableMotion,
  arc: object({
    kind: motionKind,
    seat: requiredId(),
    eye: requiredId(),
    radiusShare: figure(0.05, 2),
    noseUpDegPerMm: figure(-1, 1),
    springMm: figure(100, 5000),
  }),
  links: object({
    kind: motionKind,
    like: wordField(ARRANGEMENTS),
    holdings: array()
      .of(byWord('kind', HOLDING_SHAPES, true))
      .max(12)
      .required(),
  }),
} as const

const way = () => figure(0, 1000)
const travel = object({
  bumpMm: way().required(),
  droopMm: way().required(),
  rightBumpMm: way(),
  rightDroopMm: way(),
  stopMm: way(),
  strapMm: way(),
  crossMm: way(),
  settleMm: figure(-500, 500),
}).default(undefined)

const axle = object({
  ...base,
  centre: idField(),
  noseFaces: wordField(['forward', 'rearward']).required(),
  suspension: wordField(['leaf', 'soft-links', 'rigid-links', 'fixed']).required(),
  spring: wordField(['above', 'below']),
  sizes: object({ housingDiameterMm: size(), tyreDiameterMm: size(), trackMm: size() }).default(undefined),
  motion: byWord('kind', MOTION_SHAPES),
  travel,
})

const hubMotionKind = wordField([...SUSPENSION_KINDS, 'lengths'] as const).required()
const suspension = (kind: SuspensionKind) =>
  object({
    kind: hubMotionKind,
    points: object(
      Object.fromEntries(SUSPENSION_POINTS[kind].map(({ key }) => [key, requiredId()] as const)),
    ).required(),
  })

const lengths = object({
  kind: hubMotionKind,
  inner: requiredId(),
  outer: requiredId(),
  rows: array()
    .of(object({ wheelUpMm: figure(-1000, 1000).required(), lengthMm: figure(1, 5000).required() }))
    .max(50)
    .required(),
}).test('rising', 'its heights must rise from row to row', (value) =>
  (value?.rows ?? []).every(
    (row, i, rows) => i === 0 || !(row.wheelUpMm <= (rows[i - 1]?.wheelUpMm ?? -Infinity)),
  ),
)

/** How a hub moves, by the kind of its motion. */
export const HUB_MOTION_SHAPES = {
  'double-wishbone': suspension('double-wishbone'),
  strut: suspension('strut'),
  arm: suspension('arm'),
  lengths,
} as const

const hubTravel = object({
  bumpMm: way().required(),
  droopMm: way().required(),
  stopMm: way(),
  strapMm: way(),
  settleMm: figure(-500, 500),
  rackMm: figure(0, 200),
}).default(undefined)

const hub = object({
  ...base,
  side: wordField(['left', 'right']),
  centre: idField(),
  motion: byWord('kind', HUB_MOTION_SHAPES),
  travel: hubTravel,
})

const pair = object({ left: requiredId(), right: requiredId() }).default(undefined)
const liveAxle = object({
  ...base,
  bearings: pair,
  shaft: object({ outerMm: figure(1, 1000).required(), boreMm: figure(0, 999) }).default(undefined),
  hubs: pair,
  brake: idField(),
  beyondMm: figure(0, 1000),
  tyreDiameterMm: figure(50, 5000),
})

/** The shape of a body of each kind. */
export const BODY_SHAPES = {
  chassis,
  powertrain,
  'transfer-case': object({ ...base, mounts }),
  axle,
  'bearing-bracket': object(base),
  hub,
  'live-axle': liveAxle,
  item: object(base),
} as const

/** The Yup schema of one body, chosen by its kind. */
export const bodySchema = byWord('kind', BODY_SHAPES, true)
