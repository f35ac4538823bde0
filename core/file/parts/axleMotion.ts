import { array, object } from 'yup'
import { byWord } from './byWord'
import { figure, idField, kindOf, maybe, nameField, requiredId, wordField } from './fields'
import { heightsRise } from './heightsRise'
import type { Told } from './told'

/** Where an axle stands at one height of its wheels, against ride height. */
const row = object({
  /** Of both wheels together, positive when they come up against the chassis, in mm. */
  wheelUpMm: figure(-1000, 1000).required(),
  /** How far the axle goes forward, in mm. */
  forwardMm: figure(-1000, 1000).required(),
  /** How far its nose turns up, in degrees. */
  noseUpDeg: figure(-45, 45).required(),
})
export type AxleMotionRow = Told<typeof row>

/** Read at several heights of the wheels: best of all where it can be had. */
const table = object({
  kind: kindOf('table'),
  /** From droop to bump; one of them is ride height, and it takes three to tell how the axle moves. */
  rows: array().of(row).min(1).max(50).required(),
  /** The point of the axle whose way forward was read; its centre when absent. */
  at: idField(),
  /** What was read at ride height: rows count from it. */
  ride: maybe({ stationMm: figure(-100_000, 100_000), noseDeg: figure(-90, 90) }),
})
  .test(heightsRise)
  .test(
    'ride',
    'must hold ride height: a row with 0, 0 and 0',
    (value) =>
      !value || value.rows.some((one) => one.wheelUpMm === 0 && one.forwardMm === 0 && one.noseUpDeg === 0),
  )

/** A leaf spring by its arc: its seat goes round a point near the front eye. */
const arc = object({
  kind: kindOf('arc'),
  /** Middle of the spring's seat on the axle. */
  seat: requiredId(),
  /** The eye that does not swing, on the chassis. */
  eye: requiredId(),
  /** Radius of the arc as a share of the way from seat to eye; three quarters when absent. */
  radiusShare: figure(0.05, 2),
  /** How far the nose turns up with each mm the wheels come up. */
  noseUpDegPerMm: figure(-1, 1),
  /** From eye to eye; twice the way from seat to front eye when absent. */
  springMm: figure(100, 5000),
})

const holdingOf = <K extends string>(kind: K) => ({
  id: requiredId(),
  kind: kindOf(kind),
  name: nameField(),
  axle: requiredId(),
})

/** The way in which a slider does not let its point go. */
export const SLIDER_WAYS = ['along', 'aside', 'up'] as const
export type SliderWay = (typeof SLIDER_WAYS)[number]

/** What holds an axle to the chassis, by points that are read like all others. */
const HOLDINGS = {
  link: object({ ...holdingOf('link'), chassis: requiredId() }),
  ball: object(holdingOf('ball')),
  slider: object({ ...holdingOf('slider'), stays: wordField(SLIDER_WAYS).required() }),
  hinge: object({ ...holdingOf('hinge'), axle2: requiredId() }),
} as const
export type AxleHolding = Told<(typeof HOLDINGS)[keyof typeof HOLDINGS]>

/** Usual arrangements of what holds an axle. */
export const ARRANGEMENTS = ['four-link', 'three-link', 'torque-arm', 'torque-tube', 'trailing'] as const
export type Arrangement = (typeof ARRANGEMENTS)[number]

/** An axle on links, a torque tube, an arm: what holds it says how it moves. */
const links = object({
  kind: kindOf('links'),
  /** What it was begun as, for its name alone. */
  like: wordField(ARRANGEMENTS),
  holdings: array()
    .of(byWord('kind', HOLDINGS, true))
    .max(12)
    .required(),
})

/** How an axle moves with its wheels, by the kind of its motion. */
export const AXLE_MOTION = { table, arc, links } as const
export type TableMotion = Told<typeof table>
export type ArcMotion = Told<typeof arc>
export type LinkMotion = Told<typeof links>
export type AxleMotion = TableMotion | ArcMotion | LinkMotion

const way = () => figure(0, 1000)
/** How far the wheels of an axle go from ride height, in mm; the right one like the left where nothing is told of it. */
export const axleTravel = maybe({
  bumpMm: way().required(),
  droopMm: way().required(),
  rightBumpMm: way(),
  rightDroopMm: way(),
  /** Where a stop ends the bump, or a strap the droop, before the spring does. */
  stopMm: way(),
  strapMm: way(),
  /** One wheel up while the other is down, each so far; the one at its bump, the other at its droop, when absent. */
  crossMm: way(),
  /** How far the wheels come up once the weight to come is in, or other springs; negative: down. */
  settleMm: figure(-500, 500),
})
export type AxleTravel = NonNullable<Told<typeof axleTravel>>
