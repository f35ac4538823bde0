import { array, object, type ObjectSchema } from 'yup'
import { figure, kindOf, maybe, requiredId } from './fields'
import { heightsRise } from './heightsRise'
import type { Id } from './id'
import type { Told } from './told'

/** A point of a suspension, and whether it goes along with the wheel. */
export interface SuspensionPoint<K extends string = string> {
  readonly key: K
  readonly isOnHub: boolean
}

const onChassis = <K extends string>(key: K): SuspensionPoint<K> => ({ key, isOnHub: false })
const onHub = <K extends string>(key: K): SuspensionPoint<K> => ({ key, isOnHub: true })

/** The points each suspension is told by; what holds a wheel carrier counts on their order. */
export const SUSPENSION_POINTS = {
  'double-wishbone': [
    onChassis('lowerFront'),
    onChassis('lowerRear'),
    onHub('lowerBall'),
    onChassis('upperFront'),
    onChassis('upperRear'),
    onHub('upperBall'),
    onChassis('tieInner'),
    onHub('tieOuter'),
  ],
  strut: [
    onChassis('lowerFront'),
    onChassis('lowerRear'),
    onHub('lowerBall'),
    onChassis('strutTop'),
    onHub('onStrut'),
    onChassis('tieInner'),
    onHub('tieOuter'),
  ],
  arm: [onHub('pivot'), onHub('pivot2')],
} as const

/** A wheel on two arms; on an arm and a strut; on a trailing or semi-trailing arm, or as a swing axle, about two pivots. */
export type SuspensionKind = keyof typeof SUSPENSION_POINTS
export const SUSPENSION_KINDS = Object.keys(SUSPENSION_POINTS) as readonly SuspensionKind[]

type KeyOf<K extends SuspensionKind> = (typeof SUSPENSION_POINTS)[K][number]['key']

/** A hub that its suspension holds, told by points that are read like all others. */
const suspension = <K extends SuspensionKind>(kind: K) =>
  object({
    kind: kindOf(kind),
    points: object(
      Object.fromEntries(SUSPENSION_POINTS[kind].map(({ key }) => [key, requiredId()])),
    ).required() as unknown as ObjectSchema<Record<KeyOf<K>, Id>>,
  })

/** How far apart the joints of a halfshaft stand at one height of its wheel. */
const lengthRow = object({
  /** From ride height, positive when the wheel comes up, in mm. */
  wheelUpMm: figure(-1000, 1000).required(),
  /** Joint centre to joint centre, in mm. */
  lengthMm: figure(1, 5000).required(),
})
export type LengthRow = Told<typeof lengthRow>

/** A hub whose halfshaft was measured at heights of the wheel; it is taken to go straight up and aside, without turning. */
const lengths = object({
  kind: kindOf('lengths'),
  /** Joint centre at the differential, and the one at the wheel. */
  inner: requiredId(),
  outer: requiredId(),
  /** By rising height, ride height among them; it takes three. */
  rows: array().of(lengthRow).max(50).required(),
}).test(heightsRise)
export type LengthMotion = Told<typeof lengths>

/** How a hub moves with its wheel, by the kind of its motion. */
export const HUB_MOTION = {
  'double-wishbone': suspension('double-wishbone'),
  strut: suspension('strut'),
  arm: suspension('arm'),
  lengths,
} as const
export type SuspensionMotion = { [K in SuspensionKind]: Told<(typeof HUB_MOTION)[K]> }[SuspensionKind]
export type HubMotion = SuspensionMotion | LengthMotion

const way = () => figure(0, 1000)
/** How far the wheel of a hub goes from ride height, in mm. */
export const hubTravel = maybe({
  bumpMm: way().required(),
  droopMm: way().required(),
  /** Where a stop ends the bump, or a strap the droop. */
  stopMm: way(),
  strapMm: way(),
  /** How far the wheel comes up once the weight to come is in, or other springs; negative: down. */
  settleMm: figure(-500, 500),
  /** How far the steering moves the inner end of the tie rod to either side. */
  rackMm: figure(0, 200),
})
export type HubTravel = NonNullable<Told<typeof hubTravel>>
