import { array, object } from 'yup'
import {
  figure,
  idField,
  kindOf,
  list,
  maybe,
  noteField,
  requiredId,
  requiredName,
  wordField,
} from '../parts/fields'
import type { Id } from '../parts/id'
import type { Told } from '../parts/told'
import { askPlace, type Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { angle, length } from './quantityRow'
import { LEVEL, ZERO } from './readingRow'
import { measured, wordFields, type ReadingsIn } from './readingShape'
import type { SubjectKinds } from './subjectKinds'

/** Both ends of a linkage: the driver's lever, and the gearbox. */
export const SHIFT_ENDS = ['lever', 'box'] as const
export type ShiftEnd = (typeof SHIFT_ENDS)[number]

/** How the axis of an arm lies, with the two ways in the plane that it turns in: read from the first, toward the second. */
export const ARM_LIES = {
  across: ['forward', 'up'],
  along: ['left', 'up'],
  upright: ['forward', 'left'],
} as const
export type ArmLies = keyof typeof ARM_LIES

/** Ways that an arm can point or lean. */
export const ARM_WAYS = ['forward', 'back', 'left', 'right', 'up', 'down'] as const
export type ArmWay = (typeof ARM_WAYS)[number]

export const OPPOSITE: Readonly<Record<ArmWay, ArmWay>> = {
  ...{ forward: 'back', back: 'forward', left: 'right', right: 'left', up: 'down', down: 'up' },
}

/** Quarter turns from the first way of its plane to a way; null for one that is not in it. */
export function quarterOf(lies: ArmLies, way: ArmWay): 0 | 1 | 2 | 3 | null {
  const [from, toward] = ARM_LIES[lies]
  if (way === from) return 0
  if (way === toward) return 1
  if (OPPOSITE[way] === from) return 2
  return OPPOSITE[way] === toward ? 3 : null
}

const ROWS = {
  'shift-gate': {
    ...LEVEL,
    of: 'shift',
    answers: ['shift-gate'],
    way: 'lean',
    words: { lean: ARM_WAYS, zero: ZERO, end: SHIFT_ENDS },
    tools: ['level', 'other'],
  },
} as const

const SHAPES = {
  /** How far an arm leans from the way that it points, with the gearbox in a gate: by level, or by protractor from the chassis. */
  'shift-gate': object({
    kind: kindOf('shift-gate'),
    ...measured,
    shift: requiredId(),
    gate: requiredId(),
    ...wordFields(ROWS['shift-gate']),
    end: wordField(SHIFT_ENDS).required(),
  }),
} as const
export type ShiftGateReading = Told<(typeof SHAPES)['shift-gate']>

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

const shiftShape = object({
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

export interface ShiftTypes {
  readonly asked: ReadingsIn<typeof SHAPES>
  readonly unasked: object
  readonly targets: { readonly shift: { readonly shift: Id; readonly end: ShiftEnd; readonly gate: Id } }
  readonly lists: { readonly shifts?: readonly Shift[] }
}

/** Whether an end of a linkage has a gate. */
export const hasGate = ({ only }: ShiftGateEntry, end: ShiftEnd): boolean =>
  only === undefined || only === end

const POINTING: Readonly<Record<ArmWay, readonly [number, number, number]>> = {
  ...{
    forward: [1, 0, 0],
    back: [-1, 0, 0],
    left: [0, 1, 0],
    right: [0, -1, 0],
    up: [0, 0, 1],
    down: [0, 0, -1],
  },
}
const END_WORDS: Readonly<Record<ShiftEnd, string>> = { lever: 'the lever', box: 'the gearbox’s arm' }

/** Levers that shift gearboxes. */
export const KINDS_OF_SHIFTS = {
  readings: ROWS,
  shapes: SHAPES,
  targets: {
    shift: {
      keys: ['shift', 'end', 'gate'],
      word: 'shift linkage',
      things: ({ shifts }) => shifts ?? [],
      part: ({ shifts }, { shift, end, gate }) => {
        const name = shifts?.find(({ id }) => id === shift)?.gates.find(({ id }) => id === gate)?.name
        return `, ${END_WORDS[end ?? 'lever']} in ${name ?? 'a gate'}`
      },
      body: ({ shifts, points }, { shift, end }) => {
        const arm = shifts?.find(({ id }) => id === shift)?.[end ?? 'lever']
        return points.find(({ id }) => id === arm?.pivot)?.body
      },
      isAcross: ({ shifts }, { shift, end }) =>
        shifts?.find(({ id }) => id === shift)?.[end ?? 'lever'].lies === 'across',
      toward: ({ shifts }, { shift, end }) => {
        const arm = shifts?.find(({ id }) => id === shift)?.[end ?? 'lever']
        return arm && POINTING[arm.points]
      },
      cell: {
        column: 'gate',
        written: ({ gate }) => String(gate),
        read: ({ shifts }, id, cell) => {
          const gates = shifts?.find((shift) => shift.id === id)?.gates ?? []
          const called = cell('gate').trim().toLowerCase()
          const gate = gates.find(
            (one) => one.id.toLowerCase() === called || one.name.toLowerCase() === called,
          )
          return gate
            ? { gate: gate.id }
            : `gate "${cell('gate')}" is not one of: ${gates.map(({ name }) => name).join(', ')}`
        },
      },
    },
  },
  asks: ({ shifts }) =>
    (shifts ?? []).flatMap(({ id, lever, box, gates }) => [
      ...[lever, box].flatMap(({ pivot }) =>
        askPlace({ group: 'shift', role: 'seat', optional: true }, pivot),
      ),
      ...gates.flatMap((gate) =>
        SHIFT_ENDS.filter((end) => hasGate(gate, end)).map((end) => ({
          group: 'shift' as const,
          asked: { quantity: 'shift-gate' as const, shift: id, end, gate: gate.id },
          role: null,
          optional: true,
        })),
      ),
    ]),
  quantities: {
    'shift-reach': {
      unit: 'mm',
      shown: length,
      label: 'missing of the rod in',
      name: 'What a shift rod misses',
    },
    'shift-catch': {
      unit: 'deg',
      shown: angle,
      label: 'left of the detent in',
      name: 'Left of a detent when the lever is in its gate',
      usualRoom: 2,
    },
    'shift-dead': {
      unit: 'deg',
      shown: angle,
      label: 'rod to arm in',
      name: 'Shift rod against the arm that it turns',
      usualRoom: 20,
    },
  },
  levers: {},
  lists: {
    shifts: {
      shape: shiftShape,
      most: 6,
      names: ({ lever, box }) =>
        SHIFT_ENDS.flatMap((end) => {
          const { pivot, axis } = { lever, box }[end]
          return [
            { at: `${end}.pivot`, in: 'points' as const, id: pivot },
            { at: `${end}.axis`, in: 'axes' as const, id: axis },
          ]
        }),
      problems: shiftProblems,
    },
  },
} as const satisfies SubjectKinds<ShiftTypes>

function shiftProblems(_: Things, shift: Shift, complain: EntryComplaint): void {
  const { lever, box, gates, rodFromMm, rodToMm } = shift
  if (lever.pivot === box.pivot) complain('box.pivot', 'is the pivot of the lever too')
  for (const end of SHIFT_ENDS)
    if (quarterOf(shift[end].lies, shift[end].points) === null)
      complain(`${end}.points`, `is not a way in which an arm points whose axis lies ${shift[end].lies}`)
  const ids = gates.map(({ id }) => id)
  ids.forEach((id, k) => {
    if (ids.indexOf(id) !== k) complain(`gates[${k}].id`, `"${id}" is there twice`)
  })
  if (gates.filter(({ only }) => only === undefined).length < 2)
    complain('gates', 'two at least are gates of both ends')
  const set = gates.find(({ id }) => id === shift.setIn)
  if (shift.setIn !== undefined && (!set || set.only !== undefined))
    complain('setIn', `"${shift.setIn}" is no gate of both ends`)
  if (rodFromMm !== undefined && rodToMm !== undefined && rodFromMm >= rodToMm)
    complain('rodToMm', 'is not longer than the shortest')
}
