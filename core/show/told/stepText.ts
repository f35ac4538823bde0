import { READING_KINDS, wayOf } from '../../file/build/readingKinds'
import type { Reading, TourQuantity } from '../../file/build/reading'
import type { TourStep } from '../../measure/tour/tour'
import type { ReadingScene } from '../words/scene'
import type { AskWords, StepRow } from '../words/subjectWords'
import { STEP_WORDS } from '../words/words'

/** What a step of the tour asks. */
export interface StepWords extends AskWords {
  readonly unit: 'angle' | 'length'
}

const rowOf = ({ quantity }: TourStep) => STEP_WORDS[quantity] as StepRow<TourQuantity>

/** Words for a step, by what is read and how. */
export function stepWords(step: TourStep, method: 'along' | 'face'): StepWords {
  const unit = READING_KINDS[step.quantity].unit === 'deg' ? 'angle' : 'length'
  return { ...rowOf(step).asks(step, step.targetName, method), unit }
}

/** The picture of where the tool goes. */
export const stepScene = (step: TourStep): ReadingScene => rowOf(step).scene(step)

/** The answer to "which way?" that a reading keeps, in the words of its step; empty when it keeps none. */
export function readingWay(step: TourStep, reading: Reading): string {
  const { ways } = stepWords(step, reading.kind === 'axis-face' ? 'face' : 'along')
  return ways.find(([word]) => word === wayOf(reading))?.[1] ?? ''
}
