import { object } from 'yup'
import { figure, idField, maybe, noteField, requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

/** Where the fork's pivot lies: between bearing and rod, or at its end. */
export const FORK_PIVOTS = ['between', 'end'] as const
export type ForkPivot = (typeof FORK_PIVOTS)[number]

const bore = () => figure(5, 100)
const stroke = () => figure(0, 500)

export const clutchShape = object({
  id: requiredId(),
  name: requiredName(),
  /** The pedal or lever that works it, in the plan of hands and feet. */
  control: idField(),
  /** Of the pedal at its pad, and how often it goes into the stroke of the master. */
  pedalMm: stroke(),
  pedalRatio: figure(0.1, 50),
  /** Bores, and the strokes that the cylinders have. */
  masterMm: bore(),
  masterStrokeMm: stroke(),
  slaveMm: bore(),
  slaveStrokeMm: stroke(),
  /** From its pivot to the bearing and to the rod; absent for a slave on the input shaft itself. */
  fork: maybe({
    pivot: wordField(FORK_PIVOTS).required(),
    toBearingMm: figure(1, 500).required(),
    toRodMm: figure(1, 1000).required(),
  }),
  /** Of the bearing: free before it presses, then until the plate is free. */
  freeMm: stroke(),
  releaseMm: stroke(),
  /** How far the rod's socket stands from where the slave wants it, positive when it is too near the slave. */
  socketMm: figure(-200, 200),
  note: noteField(),
})

/** A clutch that is worked by a pedal and oil. */
export type Clutch = Told<typeof clutchShape>
