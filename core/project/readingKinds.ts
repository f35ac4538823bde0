import type { Reading } from './reading'
import type { ToolKind } from './tool'

export type ReadingKind = Reading['kind']
export type ReadingOf<K extends ReadingKind> = Extract<Reading, { readonly kind: K }>

/** What a reading is of, and the fields by which it says so. */
export const TARGET_KEYS = {
  chassis: [],
  axis: ['axis'],
  point: ['point'],
  shaft: ['line', 'shaft'],
  gap: ['gap'],
  sprocket: ['sprocket', 'place'],
  chain: ['chain'],
} as const
export type TargetKind = keyof typeof TARGET_KEYS

/** Words that a field may hold: `ends` of an axis as it lies, `sides` that a level's display looks to when laid along it. */
export type Words = readonly string[] | 'ends' | 'sides'

/** Fields of a reading that hold one of a few words. */
export type WordField<R> = {
  [F in keyof R]-?: F extends 'kind' | 'unit' | 'place'
    ? never
    : NonNullable<R[F]> extends string
      ? string extends NonNullable<R[F]>
        ? never
        : F
      : never
}[keyof R]

/** All that is known of a kind of reading. */
export interface ReadingKindFacts<R extends Reading = Reading> {
  /** Unit of its figures. */
  readonly unit: 'deg' | 'mm'
  readonly of: TargetKind
  /** One figure, read once or more; a place in three figures; or figures from a drawing or data sheet. */
  readonly told: 'repeats' | 'three' | 'given'
  /** What it is an answer to, among what a tour asks: kinds by their own name. */
  readonly answers: readonly ReadingKind[]
  /** The field whose word says which way its figure counts; null where there is none. */
  readonly way: WordField<R> | null
  /** What is meant when nobody says which way. */
  readonly wayUnsaid?: string
  /** Every field that holds one of a few words. */
  readonly words: Readonly<Record<WordField<R>, Words>>
  /** Kinds of tool it is taken with, the likeliest first. */
  readonly tools: readonly ToolKind[]
  /** It tells of the lift-in that stands when it is taken. */
  readonly isOfTrial?: true
}

const FRONT_REAR = ['front', 'rear'] as const
const LEFT_RIGHT = ['left', 'right'] as const
const ABOVE_BELOW = ['above', 'below'] as const
const REARWARD_FORWARD = ['rearward', 'forward'] as const
const ZERO = ['gravity', 'chassis'] as const
const LEVEL = { unit: 'deg', told: 'repeats', tools: ['level'] } as const
const TAPE = { unit: 'mm', told: 'repeats', tools: ['tape', 'laser', 'plumb', 'calliper', 'other'] } as const

/** Every kind of reading: one row each, and whoever needs to know reads it here. */
export const READING_KINDS: { readonly [K in ReadingKind]: ReadingKindFacts<ReadingOf<K>> } = {
  'chassis-fall': {
    ...LEVEL,
    of: 'chassis',
    answers: ['chassis-fall'],
    way: 'low',
    words: { low: FRONT_REAR, display: LEFT_RIGHT },
  },
  'chassis-roll': {
    ...LEVEL,
    of: 'chassis',
    answers: ['chassis-roll'],
    way: 'low',
    words: { low: LEFT_RIGHT, display: FRONT_REAR },
  },
  'axis-level': {
    ...LEVEL,
    of: 'axis',
    answers: ['axis-level'],
    way: 'low',
    words: { low: 'ends', zero: ZERO, display: 'sides' },
  },
  'axis-face': {
    ...LEVEL,
    of: 'axis',
    answers: ['axis-level'],
    way: 'lean',
    words: { lean: 'ends', from: ['level', 'plumb'], zero: ZERO, display: 'sides' },
  },
  'shaft-level': {
    ...LEVEL,
    of: 'shaft',
    answers: ['shaft-level'],
    way: 'low',
    words: { low: FRONT_REAR, zero: ZERO, display: LEFT_RIGHT },
  },
  'point-station': {
    ...TAPE,
    of: 'point',
    answers: ['point-station'],
    way: 'way',
    words: { way: REARWARD_FORWARD },
  },
  'point-offset': {
    ...TAPE,
    of: 'point',
    answers: ['point-offset'],
    way: 'side',
    words: { side: LEFT_RIGHT, by: ['square', 'plumb'], aboveCentrelineWay: ABOVE_BELOW },
  },
  'point-height': {
    ...TAPE,
    of: 'point',
    answers: ['point-height'],
    way: 'way',
    words: { way: ABOVE_BELOW },
  },
  'setup-point': {
    ...TAPE,
    of: 'point',
    told: 'three',
    answers: [],
    way: null,
    words: { alongWay: REARWARD_FORWARD, acrossSide: LEFT_RIGHT, upWay: ABOVE_BELOW },
  },
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
  'sprocket-face': {
    ...TAPE,
    of: 'sprocket',
    answers: ['sprocket-face'],
    way: 'stands',
    words: { stands: LEFT_RIGHT },
    tools: ['laser', 'calliper', 'tape', 'other'],
    isOfTrial: true,
  },
  'chain-slack': {
    ...TAPE,
    of: 'chain',
    answers: ['chain-slack'],
    way: null,
    words: {},
    tools: ['tape', 'calliper', 'other'],
    isOfTrial: true,
  },
  'given-point': {
    unit: 'mm',
    of: 'point',
    told: 'given',
    answers: ['point-station', 'point-offset', 'point-height'],
    way: null,
    words: { stationWay: REARWARD_FORWARD, side: LEFT_RIGHT, heightWay: ABOVE_BELOW },
    tools: [],
  },
  'given-axis': {
    unit: 'deg',
    of: 'axis',
    told: 'given',
    answers: ['axis-level'],
    way: 'low',
    words: { low: FRONT_REAR, rearPoints: LEFT_RIGHT },
    tools: [],
  },
  'given-cross-axis': {
    unit: 'deg',
    of: 'axis',
    told: 'given',
    answers: ['axis-level'],
    way: 'high',
    words: { high: LEFT_RIGHT, leftPoints: REARWARD_FORWARD },
    tools: [],
  },
}

export const READING_KIND_NAMES = Object.keys(READING_KINDS) as ReadingKind[]

/** What is known of a kind, whichever it is. */
export const readingFacts = (kind: ReadingKind): ReadingKindFacts => READING_KINDS[kind] as ReadingKindFacts

/** True for what a drawing or a data sheet tells. */
export const isGiven = ({ kind }: { readonly kind: ReadingKind }): boolean =>
  READING_KINDS[kind].told === 'given'

/**
 * The words that a field of a reading may hold.
 *
 * @param isAcross - the axis that is read lies across the vehicle; null for the words of any axis
 * @returns none for a field that the kind does not have
 */
export function wordsOf(kind: ReadingKind, field: string, isAcross: boolean | null): readonly string[] {
  const words: Words = (READING_KINDS[kind].words as Readonly<Record<string, Words>>)[field] ?? []
  // Any side is let in where the axis is not looked at, so that a wrong one is told by what it is wrong for.
  if (isAcross === null && (words === 'ends' || field === 'display')) return [...FRONT_REAR, ...LEFT_RIGHT]
  if (words !== 'ends' && words !== 'sides') return words
  // A display looks to the side of the way a level is laid.
  return isAcross === (words === 'ends') ? LEFT_RIGHT : FRONT_REAR
}

/** The word in which a reading says which way; undefined when it says none. */
export function wayOf(reading: Reading): string | undefined {
  const { way } = READING_KINDS[reading.kind]
  return way === null ? undefined : (reading as unknown as Readonly<Record<string, string | undefined>>)[way]
}
