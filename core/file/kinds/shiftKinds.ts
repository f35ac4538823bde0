import { object } from 'yup'
import { ARM_WAYS, WAY_POINTS } from '../parts/armWays'
import { kindOf, requiredId, wordField } from '../parts/fields'
import type { Id } from '../parts/id'
import { hasGate, SHIFT_ENDS, type Shift, type ShiftEnd } from '../parts/shiftLinkage'
import type { Told } from '../parts/told'
import { askPlace } from './ask'
import { angle, length, plainFigure } from './quantityRow'
import { LEVEL, ZERO } from './readingRow'
import { measured, wordFields, type ReadingsIn } from './readingShape'
import { BODY_KIND_NAMES } from '../parts/body'
import type { LeverKindFacts } from './leverRow'
import { LIST_OF_SHIFTS } from './shiftList'
import type { SubjectKinds } from './subjectKinds'

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

export interface ShiftTypes {
  readonly asked: ReadingsIn<typeof SHAPES>
  readonly unasked: object
  readonly targets: { readonly shift: { readonly shift: Id; readonly end: ShiftEnd; readonly gate: Id } }
  readonly lists: { readonly shifts?: readonly Shift[] }
}

const END_WORDS: Readonly<Record<ShiftEnd, string>> = { lever: 'the lever', box: 'the gearbox’s arm' }

/** A rod that is screwed out, a pin that is put into another hole. */
const LENGTHENED = {
  ...{ unit: 'mm', on: BODY_KIND_NAMES, usual: [-10, 10, 0.5], picture: 'link', names: 'shift' },
} as const satisfies LeverKindFacts

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
        return arm && WAY_POINTS[arm.points]
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
    (shifts ?? []).flatMap(({ id, lever, box, gates, knob }) => [
      ...[lever.pivot, box.pivot, ...(knob?.near ?? []).map(({ point }) => point)].flatMap((point) =>
        askPlace({ group: 'shift', role: 'seat', optional: true }, point),
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
    'knob-gap': {
      unit: 'mm',
      shown: length,
      label: 'knob to',
      name: 'Room for the hand at a shift knob',
      usualRoom: 40,
    },
    'shift-locks': {
      unit: '1',
      shown: plainFigure(0, ''),
      label: 'locks that do not keep',
      name: 'Locks of a gate that do not keep',
      usualRoom: 1,
    },
    'shift-thread': {
      unit: '1',
      shown: plainFigure(2, ' d'),
      label: 'rod ends engaged',
      name: 'Thread of a shift rod’s ends that is engaged',
      usualRoom: 0.5,
    },
  },
  levers: {
    'rod-length': LENGTHENED,
    'lever-arm': LENGTHENED,
    'box-arm': LENGTHENED,
  },
  lists: {
    shifts: LIST_OF_SHIFTS,
  },
} as const satisfies SubjectKinds<ShiftTypes>
