import { array, object, string } from 'yup'
import { figure, maybe, rising, wordField } from './fields'
import type { Told } from './told'

/** Things taken out of the way at the most. */
const MOST_OFF = 100

const way = () => figure(-10_000, 10_000).required()

/** The gearbox alone: drawn straight back off the block first. */
const alone = maybe({
  /** As far as its input shaft is long. */
  drawMm: figure(0, 1000).required(),
  /** Fall of the crankshaft to the rear, along which it is drawn. */
  fallDeg: figure(-45, 45).required(),
})
export type GearboxAlone = NonNullable<Told<typeof alone>>

/** How engine and gearbox are to be brought in; absent until something is entered. */
export const wayInShape = maybe({
  /** What is taken out of the way: ids of bodies, or body and outline as `chassis/bonnet`. */
  off: array().of(string().max(300).required()).max(MOST_OFF).required(),
  /** Absent for engine and gearbox as one. */
  alone,
  /** `rear`: the rear wheels go up; `whole`: the vehicle goes up level. */
  lifted: wordField(['rear', 'whole']).required(),
  /** Station where the front tyres stand, and the wheelbase. */
  frontContactMm: figure(-100_000, 100_000),
  wheelbaseMm: figure(0, 100_000),
  /** Lifts that are looked at, least and most. */
  liftMm: rising(0, 10_000, true),
  /** Room kept all round. */
  keepMm: figure(0, 500).required(),
  /** Where it hangs first, from where it is installed. */
  start: object({ forwardMm: way(), upMm: way(), tailDownDeg: figure(-179, 179).required() }).required(),
  /** Furthest it is tilted, nose down negative. */
  tiltDeg: rising(-179, 179, true),
})
export type WayInPlan = NonNullable<Told<typeof wayInShape>>
