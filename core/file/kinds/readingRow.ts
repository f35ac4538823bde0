import type { ToolKind } from '../parts/tool'

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
export interface ReadingKindFacts<R = unknown, Of = string, Asked = string> {
  /** Unit of its figures. */
  readonly unit: 'deg' | 'mm'
  readonly of: Of
  /** One figure, read once or more; a place in three figures; or figures from a drawing or data sheet. */
  readonly told: 'repeats' | 'three' | 'given'
  /** What it is an answer to, among what a tour asks: kinds by their own name. */
  readonly answers: readonly Asked[]
  /** The field whose word says which way its figure counts; null where there is none. */
  readonly way: WordField<R> | null
  /** What is meant when nobody says which way. */
  readonly wayUnsaid?: string
  /** Every field that holds one of a few words. */
  readonly words: Readonly<Record<WordField<R>, Words>>
  /** Texts beside its figure, by the column they have in a table. */
  readonly texts?: Readonly<Partial<Record<keyof R, string>>>
  /** Kinds of tool it is taken with, the likeliest first. */
  readonly tools: readonly ToolKind[]
  /** It tells of the lift-in that stands when it is taken. */
  readonly isOfTrial?: true
}

export const FRONT_REAR = ['front', 'rear'] as const
export const LEFT_RIGHT = ['left', 'right'] as const
export const ABOVE_BELOW = ['above', 'below'] as const
export const REARWARD_FORWARD = ['rearward', 'forward'] as const
export const ZERO = ['gravity', 'chassis'] as const
/** Of a reading by level. */
export const LEVEL = { unit: 'deg', told: 'repeats', tools: ['level'] } as const
/** Of a reading by tape. */
export const TAPE = {
  unit: 'mm',
  told: 'repeats',
  tools: ['tape', 'laser', 'plumb', 'calliper', 'other'],
} as const

/** An end of an axis: of one that lies across the vehicle left or right, of any other front or rear. */
export type AxisEnd = (typeof FRONT_REAR | typeof LEFT_RIGHT)[number]

/** The words that a field may hold, any side where the axis is not looked at: a wrong one is told by what it is wrong for. */
export type WordOf<F, W extends Words> = F extends 'display'
  ? AxisEnd
  : W extends readonly (infer T extends string)[]
    ? T
    : AxisEnd
export const anyWords = <F extends string, W extends Words>(field: F, words: W) =>
  (words === 'ends' || words === 'sides' || field === 'display'
    ? [...FRONT_REAR, ...LEFT_RIGHT]
    : words) as readonly WordOf<F, W>[]
