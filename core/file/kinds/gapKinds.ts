import { boolean, object } from 'yup'
import { direction, figure, idField, requiredId, requiredName, wordField } from '../parts/fields'
import { GAP_KINDS, type Gap } from '../parts/gap'
import type { Id } from '../parts/id'
import { askPlace, type Things } from './ask'
import type { EntryComplaint } from './listFacts'
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
  readonly lists: { readonly gaps: readonly Gap[] }
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

/** One gap in a file. */
const GAP_SHAPE = object({
  id: requiredId(),
  name: requiredName(),
  kind: wordField(GAP_KINDS).required(),
  point: requiredId(),
  obstacle: idField(),
  shaft: object({ line: requiredId(), index: figure(0, 20).integer().required() }).default(undefined),
  toward: direction(),
  failBelow: figure(-1000, 1000),
  warnBelow: figure(-1000, 1000),
  opposite: idField(),
  cutting: object({ cost: figure(0, 1e6), structural: boolean() }).default(undefined),
})

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
  lists: {
    gaps: {
      shape: GAP_SHAPE,
      most: 200,
      names: ({ point, obstacle, shaft, opposite }) => [
        { at: 'point', in: 'points', id: point },
        { at: 'obstacle', in: 'bodies', id: obstacle },
        { at: 'shaft.line', in: 'lines', id: shaft?.line },
        { at: 'opposite', in: 'gaps', id: opposite },
      ],
      problems: gapProblems,
    },
  },
} as const satisfies SubjectKinds<GapTypes>

function gapProblems(build: Things, gap: Gap, complain: EntryComplaint): void {
  if (gap.opposite === gap.id) complain('opposite', 'is the gap itself')
  if (gap.toward.every((part) => part === 0))
    complain('toward', 'points nowhere: one of its figures must not be 0')
  const line = build.lines.find(({ id }) => id === gap.shaft?.line)
  if (gap.shaft && line && gap.shaft.index >= line.shafts.length)
    complain('shaft.index', `"${line.name}" has no shaft ${gap.shaft.index + 1}`)
  if (gap.shaft && gap.obstacle !== undefined)
    complain('obstacle', 'is a body, but the gap is one to a shaft: only one of them can be')
  const own = build.points.find((point) => point.id === gap.point)?.body
  const stands = gap.obstacle ?? build.bodies.find(({ kind }) => kind === 'chassis')?.id
  if (gap.kind !== 'ground' && !gap.shaft && own !== undefined && own === stands)
    complain('obstacle', 'is the body of the point itself: nothing moves between them')
  if (gap.failBelow !== undefined && gap.warnBelow !== undefined && gap.warnBelow < gap.failBelow)
    complain('warnBelow', 'must not lie below failBelow')
}
