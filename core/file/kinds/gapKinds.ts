import { object } from 'yup'
import { kindOf, requiredId } from '../parts/fields'
import { gapShape, type Gap } from '../parts/gap'
import type { Id } from '../parts/id'
import { askPlace, type Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { length, USUAL_GAP_MM } from './quantityRow'
import { TAPE } from './readingRow'
import { measured, lengthUnit, wordFields, type ReadingsIn } from './readingShape'
import type { Told } from '../parts/told'
import type { SubjectKinds } from './subjectKinds'

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

const SHAPES = {
  /** A gap between two things, by feeler, tape, clay or stepped wedge; `overlap`: they lie in each other by that much, as a cardboard profile can. */
  gap: object({
    kind: kindOf('gap'),
    ...measured,
    unit: lengthUnit,
    gap: requiredId(),
    ...wordFields(ROWS.gap),
  }),
} as const

export type GapReading = Told<typeof SHAPES.gap>

export interface GapTypes {
  readonly asked: ReadingsIn<typeof SHAPES>
  readonly unasked: object
  readonly targets: { readonly gap: { readonly gap: Id } }
  readonly lists: { readonly gaps: readonly Gap[] }
}

/** Gaps between the parts and what stands around them. */
export const KINDS_OF_GAPS = {
  readings: ROWS,
  shapes: SHAPES,
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
      shape: gapShape,
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
