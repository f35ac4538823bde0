import { object } from 'yup'
import { bulkheadShape, cableShape, type Bulkhead, type Cable } from '../parts/cable'
import { kindOf, requiredId } from '../parts/fields'
import type { Id } from '../parts/id'
import type { Told } from '../parts/told'
import { askPlace, type Things } from './ask'
import type { EntryComplaint, NamedEntry } from './listFacts'
import { length } from './quantityRow'
import { TAPE } from './readingRow'
import { lengthUnit, measured, wordFields, type ReadingsIn } from './readingShape'
import type { SubjectKinds } from './subjectKinds'

const ROWS = {
  'cable-string': {
    ...TAPE,
    of: 'cable',
    answers: ['cable-string'],
    way: null,
    words: {},
    tools: ['tape', 'other'],
  },
} as const

const SHAPES = {
  /** A string laid along the way of a cable from fixing to fixing, tight round its corners. */
  'cable-string': object({
    kind: kindOf('cable-string'),
    ...measured,
    unit: lengthUnit,
    cable: requiredId(),
    ...wordFields(ROWS['cable-string']),
  }),
} as const
export type CableStringReading = Told<(typeof SHAPES)['cable-string']>

export interface CableTypes {
  readonly asked: ReadingsIn<typeof SHAPES>
  readonly unasked: object
  readonly targets: { readonly cable: { readonly cable: Id } }
  readonly lists: { readonly bulkheads?: readonly Bulkhead[]; readonly cables?: readonly Cable[] }
}

/** Every corner of a cable, those behind the bulkhead last. */
const cornersOf = ({ corners = [], cornersBehind = [] }: Cable) => [...corners, ...cornersBehind]

/** Cables of a set length, and the bulkheads that they pass. */
export const KINDS_OF_CABLES = {
  readings: ROWS,
  shapes: SHAPES,
  targets: { cable: { keys: ['cable'], word: 'cable', things: ({ cables }) => cables ?? [] } },
  asks: ({ bulkheads, cables }) => [
    ...(bulkheads ?? []).flatMap(({ mark }) =>
      askPlace({ group: 'shift', role: 'seat', optional: true }, mark),
    ),
    ...(cables ?? []).flatMap((cable) => [
      ...[cable.from, ...cornersOf(cable), cable.to, ...(cable.hot ?? [])].flatMap(({ point }) =>
        askPlace({ group: 'shift', role: 'seat', optional: true }, point),
      ),
      {
        group: 'shift' as const,
        asked: { quantity: 'cable-string' as const, cable: cable.id },
        role: null,
        optional: true,
      },
    ]),
  ],
  quantities: {
    'cable-radius': {
      unit: 'mm',
      shown: length,
      label: 'tightest bend',
      name: 'Least radius of a cable',
      usualRoom: 100,
    },
    'cable-straight': {
      unit: 'mm',
      shown: length,
      label: 'straight between two bends',
      name: 'Straight between two bends of a cable',
      usualRoom: 50,
    },
    'cable-left': {
      unit: 'mm',
      shown: length,
      label: 'left of the adjuster',
      name: 'Left of a cable’s adjuster',
      usualRoom: 10,
    },
    'cable-heat': {
      unit: 'mm',
      shown: length,
      label: 'to what is hot',
      name: 'Cable to what is hot',
      usualRoom: 40,
    },
  },
  levers: {},
  lists: {
    bulkheads: {
      shape: bulkheadShape,
      most: 6,
      names: ({ mark }) => [{ at: 'mark', in: 'points', id: mark }],
      holds: 'is measured from it',
      problems: bulkheadProblems,
    },
    cables: { shape: cableShape, most: 12, names: namesOf, problems: cableProblems },
  },
} as const satisfies SubjectKinds<CableTypes>

function namesOf(cable: Cable): NamedEntry[] {
  const { from, to, corners = [], cornersBehind = [], hole, hot = [] } = cable
  const pointAt = (at: string, { point }: { readonly point: Id }): NamedEntry => ({
    ...{ at: `${at}.point`, in: 'points', id: point },
  })
  return [
    ...[pointAt('from', from), pointAt('to', to)],
    { at: 'from.axis', in: 'axes', id: from.axis },
    { at: 'to.axis', in: 'axes', id: to.axis },
    ...corners.map((one, k) => pointAt(`corners[${k}]`, one)),
    ...cornersBehind.map((one, k) => pointAt(`cornersBehind[${k}]`, one)),
    ...hot.map((one, k) => pointAt(`hot[${k}]`, one)),
    { at: 'hole.bulkhead', in: 'bulkheads', id: hole?.bulkhead },
  ]
}

function bulkheadProblems(_: Things, { room, keepOff = [] }: Bulkhead, complain: EntryComplaint): void {
  if (room.leftMm + room.rightMm <= 0) complain('room.rightMm', 'leaves nothing between left and right')
  if (room.upMm + room.downMm <= 0) complain('room.downMm', 'leaves nothing between top and bottom')
  keepOff.forEach(({ id }, k) => {
    if (keepOff.findIndex((one) => one.id === id) !== k)
      complain(`keepOff[${k}].id`, `"${id}" is there twice`)
  })
}

function cableProblems(_: Things, cable: Cable, complain: EntryComplaint): void {
  const { from, to, cornersBehind = [], hole } = cable
  if (from.point === to.point) complain('to.point', 'is where it begins too')
  if (!hole && cornersBehind.length > 0) complain('cornersBehind', 'it passes no bulkhead')
  for (const [at, { leaves, axis, straightMm }] of [
    ['from', from],
    ['to', to],
  ] as const) {
    if (leaves === undefined && axis !== undefined) complain(`${at}.leaves`, 'says which way along its axis')
    if ((leaves === undefined) !== (straightMm === undefined || straightMm === 0))
      complain(`${at}.straightMm`, 'goes with the way that it leaves')
  }
}
