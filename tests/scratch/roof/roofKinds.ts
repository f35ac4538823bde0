import { object } from 'yup'
import { kindOf, requiredId, requiredName } from '../parts/fields'
import type { Id } from '../parts/id'
import type { Told } from '../parts/told'
import { PACKED } from './leverRow'
import { length } from './quantityRow'
import { ABOVE_BELOW, TAPE } from './readingRow'
import { lengthUnit, measured, wordFields, type ReadingsIn } from './readingShape'
import type { SubjectKinds } from './subjectKinds'

const ROWS = {
  'roof-height': {
    ...TAPE,
    of: 'roof',
    answers: ['roof-height'],
    way: 'way',
    wayUnsaid: 'above',
    words: { way: ABOVE_BELOW },
  },
} as const

const SHAPES = {
  /** How high a roof lies over the datum plane. */
  'roof-height': object({
    kind: kindOf('roof-height'),
    ...measured,
    unit: lengthUnit,
    roof: requiredId(),
    ...wordFields(ROWS['roof-height']),
  }),
} as const
export type RoofReading = Told<(typeof SHAPES)['roof-height']>

/** Something over a line that it must not touch. */
const roofShape = object({ id: requiredId(), name: requiredName(), line: requiredId() })
export type Roof = Told<typeof roofShape>

export interface RoofTypes {
  readonly asked: ReadingsIn<typeof SHAPES>
  readonly unasked: object
  readonly targets: { readonly roof: { readonly roof: Id } }
  readonly lists: { readonly roofs?: readonly Roof[] }
}

/** Roofs over the lines: made up, to see what it takes to add a subject. */
export const KINDS_OF_ROOFS = {
  readings: ROWS,
  shapes: SHAPES,
  targets: {
    roof: {
      keys: ['roof'],
      word: 'roof',
      things: ({ roofs }) => roofs ?? [],
    },
  },
  asks: ({ roofs }) =>
    (roofs ?? []).map(({ id }) => ({
      group: 'checks' as const,
      asked: { quantity: 'roof-height' as const, roof: id },
      role: null,
      optional: true,
    })),
  quantities: {
    'roof-room': {
      unit: 'mm',
      shown: length,
      label: 'room under it',
      name: 'Room under a roof',
      usualRoom: 50,
    },
  },
  levers: { 'roof-up': { unit: 'mm', on: ['powertrain'], usual: PACKED, picture: 'stack' } },
  lists: {
    roofs: {
      shape: roofShape,
      most: 20,
      names: ({ line }) => [{ at: 'line', in: 'lines', id: line }],
    },
  },
} as const satisfies SubjectKinds<RoofTypes>
