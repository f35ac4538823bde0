import { object } from 'yup'
import { requiredId } from '../parts/fields'
import type { Id } from '../parts/id'
import { askPlace } from './ask'
import { length, USUAL_GAP_MM } from './quantityRow'
import type { LengthBase } from './readingBase'
import { TAPE } from './readingRow'
import { kindOf, measured, lengthUnit, wordFields } from './readingShape'
import type { SubjectKinds } from './subjectKinds'

/** A gap between two things, by feeler, tape, clay or stepped wedge. */
export interface GapReading extends LengthBase {
  readonly kind: 'gap'
  readonly gap: Id
  /** `overlap`: the two lie in each other by that much, as a cardboard profile can. */
  readonly way?: 'free' | 'overlap'
}

export interface GapTypes {
  readonly asked: { readonly gap: GapReading }
  readonly unasked: object
  readonly targets: { readonly gap: { readonly gap: Id } }
}

const ROWS = {
  gap: {
    ...TAPE,
    of: 'gap',
    answers: ['gap'],
    way: 'way',
    // Two things that can be measured between lie apart unless it is said.
    wayUnsaid: 'free',
    words: { way: ['free', 'overlap'] },
    tools: ['feeler', 'step-wedge', 'clay', 'tape', 'calliper', 'other'],
    isOfTrial: true,
  },
} as const

/** Gaps between the parts and what stands around them. */
export const KINDS_OF_GAPS = {
  readings: ROWS,
  shapes: {
    gap: object({
      kind: kindOf('gap'),
      ...measured,
      unit: lengthUnit,
      gap: requiredId(),
      ...wordFields(ROWS['gap']),
    }),
  },
  targets: {
    gap: {
      keys: ['gap'],
      word: 'gap',
      things: ({ gaps }) => gaps,
      toward: ({ gaps }, { gap }) => gaps.find(({ id }) => id === gap)?.toward,
    },
  },
  asks: ({ gaps }) =>
    gaps.flatMap(({ id, point }) => [
      { group: 'gaps' as const, asked: { quantity: 'gap' as const, gap: id }, role: null, optional: true },
      ...askPlace({ group: 'gaps', role: 'touch-point', optional: true }, point),
    ]),
  quantities: {
    gap: {
      unit: 'mm',
      shown: length,
      label: 'gap',
      name: 'Gap',
      isInStates: true,
      usualRoom: USUAL_GAP_MM,
    },
  },
  levers: {},
} as const satisfies SubjectKinds<GapTypes>
