import type { Build } from '../../file/build/build'
import type { MeasuredBase } from '../../file/kinds/readingShape'
import type { KindTypes, ReadingsOf } from '../../file/kinds/subjectKinds'
import type { TourQuantity } from '../../file/build/reading'
import type { TourStep } from '../../measure/tour/tour'
import type { ToldChange } from './leverTold'
import type { ReadingScene } from './scene'

/** What is asked, where the tool goes, and the two answers to "which way?". */
export interface AskWords {
  readonly title: string
  readonly hint: string
  /** [word in the file, words on screen] for the two answers; the first is drawn rear or left low, left, rearward, above. */
  readonly ways: readonly (readonly [string, string])[]
}

/** The words of a quantity that a tour asks for, and the picture of where the tool goes. */
export interface StepRow<Q extends TourQuantity = TourQuantity> {
  readonly asks: (
    step: Extract<TourStep, { readonly quantity: Q }>,
    name: string,
    method: 'along' | 'face',
  ) => AskWords
  readonly scene: (step: TourStep) => ReadingScene
}

/** What a reading means, said back at once; `ok` is false when it cannot be understood or used yet. */
export interface Echo {
  readonly ok: boolean
  readonly text: string
}

/** What a kind of lever is called, its two directions, positive first, and how a change of it is told. */
export interface LeverWords {
  readonly name: string
  readonly ways: readonly [string, string]
  readonly told: (change: ToldChange) => string
}

/** The words of what a subject adds to a build. */
export interface SubjectWords<T extends KindTypes, L extends string> {
  readonly steps: { readonly [Q in keyof T['asked'] & TourQuantity]: StepRow<Q> }
  /** How a reading of each kind is said back; figures from a drawing are not. */
  readonly echoes: {
    readonly [K in keyof ReadingsOf<T> as ReadingsOf<T>[K] extends MeasuredBase ? K : never]: (
      build: Build,
      reading: ReadingsOf<T>[K],
    ) => Echo
  }
  readonly levers: Readonly<Record<L, LeverWords>>
}
