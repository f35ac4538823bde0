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

/** What a gate does, as far as locks ask. */
export const GATE_DUTIES = ['park', 'reverse', 'neutral', 'drive'] as const
export type GateDuty = (typeof GATE_DUTIES)[number]
export const YES_NO = ['yes', 'no'] as const

const gateShape = object({
  id: requiredId(),
  name: requiredName(),
  /** The end that alone has it; both when absent. */
  only: wordField(SHIFT_ENDS),
  /** What it is, where it has locks to keep. */
  is: wordField(GATE_DUTIES),
  /** As tried: whether the engine starts in it, the reverse lamp burns, it can be knocked in or out. */
  starts: wordField(YES_NO),
  lamp: wordField(YES_NO),
  knocked: wordField(YES_NO),
  /** Of park: whether anything but the pawl holds its load, such as the rod. */
  loaded: wordField(YES_NO),
  /** What locks it: as it was made, filed away, or something new in its place. */
  lock: wordField(['made', 'filed', 'replaced'] as const),
})

export const MOST_SHIFT_GATES = 10

export const MOST_NEAR_KNOB = 12

/** The other end of the lever, which the hand holds. */
const knobShape = maybe({
  /** From the bearing, square to its axis. */
  longMm: figure(1, 2000).required(),
  /** How far it is turned from the arm's own way toward its second: 180 where the lever goes straight on. */
  turnDeg: figure(-360, 360).required(),
  /** Bent along the axis: to the left, of one that lies along forward, of an upright one up. */
  asideMm: figure(-1000, 1000),
  acrossMm: figure(0, 200),
  /** Of the lever, beyond its first and its last gate. */
  overDeg: figure(0, 45),
  /** What a hand may strike: dash, rim of the wheel, seat, glass; and the gap that it wants there. */
  near: list(object({ point: requiredId(), gapMm: figure(0, 500) }), MOST_NEAR_KNOB),
  /** The skin that the lever comes through: so far from the bearing; how thick it is there; free all round; what it rocks there with the engine, either way. */
  skinMm: figure(1, 1000),
  stemMm: figure(1, 100),
  freeMm: figure(0, 100),
  rockMm: figure(0, 100),
})

export const shiftShape = object({
  id: requiredId(),
  name: requiredName(),
  lever: armShape.required(),
  box: armShape.required(),
  /** In their order along the lever's way. */
  gates: list(gateShape, MOST_SHIFT_GATES).min(2).required(),
  /** The cable that works it in place of a rod, by its outer fixings. */
  cable: idField(),
  /** The gate in which its length is set on the vehicle, so that the detent is met there; it then has no length of its own. */
  setIn: idField(),
  /** From pin to pin. */
  rodMm: figure(1, 10_000),
  /** Of its ends: across the thread, and how much of it is engaged at the least. */
  threadMm: figure(1, 60),
  engagedMm: figure(0, 500),
  /** Shortest and longest that its ends can be screwed to. */
  rodFromMm: figure(1, 10_000),
  rodToMm: figure(1, 10_000),
  knob: knobShape,
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
export type ShiftKnob = NonNullable<Shift['knob']>
export type ShiftGateEntry = Shift['gates'][number]

/** Whether an end of a linkage has a gate. */
export const hasGate = ({ only }: ShiftGateEntry, end: ShiftEnd): boolean =>
  only === undefined || only === end
