import { array, object } from 'yup'
import { ARM_WAYS } from './armWays'
import { figure, idField, list, maybe, noteField, requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

/** Both ends of a linkage: the driver's lever, and the gearbox. */
export const SHIFT_ENDS = ['lever', 'box'] as const
export type ShiftEnd = (typeof SHIFT_ENDS)[number]

const armLength = () => figure(1, 1000)

const armShape = object({
  /** Middle of its bearing, in the plane of its pin. */
  pivot: requiredId(),
  /** The axis that it turns about; straight across, along or upright when absent. */
  axis: idField(),
  lies: wordField(['across', 'along', 'upright'] as const).required(),
  /** The way that it points, more or less. */
  points: wordField(ARM_WAYS).required(),
  armMm: armLength().required(),
  /** Of its pin in its hole, in diameter. */
  playMm: figure(0, 20),
  /** Other holes that it has. */
  holesMm: array().of(armLength().required()).max(12),
})

const gateShape = object({
  id: requiredId(),
  name: requiredName(),
  /** The end that alone has it; both when absent. */
  only: wordField(SHIFT_ENDS),
})

export const MOST_SHIFT_GATES = 10

export const shiftShape = object({
  id: requiredId(),
  name: requiredName(),
  lever: armShape.required(),
  box: armShape.required(),
  /** In their order along the lever's way. */
  gates: list(gateShape, MOST_SHIFT_GATES).min(2).required(),
  /** The gate in which its length is set on the vehicle, so that the detent is met there; it then has no length of its own. */
  setIn: idField(),
  /** From pin to pin. */
  rodMm: figure(1, 10_000),
  /** Shortest and longest that its ends can be screwed to. */
  rodFromMm: figure(1, 10_000),
  rodToMm: figure(1, 10_000),
  /** The slot that the lever runs in: how far it goes on beyond its first and its last gate, so far from the pivot. */
  slot: maybe({
    beyondFirstMm: figure(-200, 200),
    beyondLastMm: figure(-200, 200),
    radiusMm: figure(1, 1000),
    /** Beyond the end detents, at the gearbox's pin. */
    overMm: figure(0, 20),
  }),
  note: noteField(),
})

/** A lever that shifts a gearbox by a rod. */
export type Shift = Told<typeof shiftShape>
export type ShiftArm = Shift['lever']
export type ShiftGateEntry = Shift['gates'][number]

/** Whether an end of a linkage has a gate. */
export const hasGate = ({ only }: ShiftGateEntry, end: ShiftEnd): boolean =>
  only === undefined || only === end
