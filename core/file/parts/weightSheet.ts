import { boolean, object } from 'yup'
import {
  figure,
  idField,
  list,
  maybe,
  noteField,
  requiredId,
  requiredName,
  timeField,
  wordField,
} from './fields'
import type { Told } from './told'

/** Lists of a weight sheet at the most. */
const MOST = { masses: 200, legs: 2, balances: 100 }

const size = () => figure(0, 100_000)
const place = () => figure(-100_000, 100_000)
const kg = () => figure(0, 100_000)
const stiffness = () => figure(1, 1_000_000)

/** Where a centre of gravity is, as far as it is known. */
const spot = maybe({ stationMm: place(), leftMm: place(), upMm: place() })
export type MassSpot = NonNullable<Told<typeof spot>>

/** The four wheels, each with its scale. */
export const CORNERS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const
export type Corner = (typeof CORNERS)[number]

/** A thing that is put in, taken out or moved. */
const mass = object({
  id: requiredId(),
  name: requiredName(),
  done: wordField(['in', 'out', 'moved']).required(),
  kg: kg(),
  /** Where it is, or was before it was moved. */
  at: spot,
  to: spot,
  /** The body it goes along with when levers move it; `at` is as measured. */
  body: idField(),
  /** It hangs on the hoist with the unit. */
  hangs: boolean(),
  /** It is part of the unit and still to be hung on it. */
  later: boolean(),
})
export type MassEntry = Told<typeof mass>

/** A hook above a unit on the hoist. */
const hook = maybe({ stationMm: place(), heightMm: place() })
export type HookSpot = NonNullable<Told<typeof hook>>

/** A leg of a sling, as far as it is told. */
const leg = object({ stationMm: place(), heightMm: place(), lengthMm: size() })
export type LegSpot = Told<typeof leg>

/** A second weighing with the rear raised, as far as it is told. */
const tilt = maybe({ frontKgRaised: kg(), raisedMm: size(), radiusFrontMm: size(), radiusRearMm: size() })
export type TiltSheet = NonNullable<Told<typeof tilt>>

/** A balance that was found by trial: where the next lift starts. */
const balance = object({ id: requiredId(), date: timeField(), note: noteField().defined() })
export type BalanceNote = Told<typeof balance>

/** What the scales say and what changes; absent until something is entered. */
export const weightShape = maybe({
  cornersKg: maybe({ frontLeft: kg(), frontRight: kg(), rearLeft: kg(), rearRight: kg() }),
  frontStationMm: place(),
  rearStationMm: place(),
  trackFrontMm: figure(1, 100_000),
  trackRearMm: figure(1, 100_000),
  /** Height of the whole vehicle's centre of gravity. */
  cgHeightMm: place(),
  masses: list(mass, MOST.masses).required(),
  hook,
  /** How it has to hang to go in, tail down. */
  hangDeg: figure(-89, 89),
  /** Two legs to one ring, in the unit's own level frame. */
  legs: list(leg, MOST.legs),
  /** Stiffness of the mounts, upward. */
  mountsNPerMm: maybe({ frontLeft: stiffness(), frontRight: stiffness(), tail: stiffness() }),
  /** Multiplies the torque on the mounts: a clutch that is let go. */
  shock: figure(1, 10),
  tilt,
  balances: list(balance, MOST.balances),
})
export type WeightSheet = NonNullable<Told<typeof weightShape>>
