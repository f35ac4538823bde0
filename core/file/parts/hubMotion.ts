import type { Id } from './id'

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
export type SuspensionMotion = {
  readonly [K in SuspensionKind]: {
    readonly kind: K
    readonly points: { readonly [P in KeyOf<K>]: Id }
  }
}[SuspensionKind]

/** How far apart the joints of a halfshaft stand at one height of its wheel. */
export interface LengthRow {
  /** From ride height, positive when the wheel comes up, in mm. */
  readonly wheelUpMm: number
  /** Joint centre to joint centre, in mm. */
  readonly lengthMm: number
}

/** A hub whose halfshaft was measured at heights of the wheel; it is taken to go straight up and aside, without turning. */
export interface LengthMotion {
  readonly kind: 'lengths'
  /** Joint centre at the differential, and the one at the wheel. */
  readonly inner: Id
  readonly outer: Id
  /** By rising height, ride height among them; it takes three. */
  readonly rows: readonly LengthRow[]
}

/** How a hub moves with its wheel. */
export type HubMotion = SuspensionMotion | LengthMotion

/** How far the wheel of a hub goes from ride height, in mm. */
export interface HubTravel {
  readonly bumpMm: number
  readonly droopMm: number
  /** Where a stop ends the bump, or a strap the droop. */
  readonly stopMm?: number
  readonly strapMm?: number
  /** How far the wheel comes up once the weight to come is in, or other springs; negative: down. */
  readonly settleMm?: number
  /** How far the steering moves the inner end of the tie rod to either side. */
  readonly rackMm?: number
}
