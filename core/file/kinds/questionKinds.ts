import { object, string } from 'yup'
import { dayField, nameField, noteField, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** What is asked before, not after, in the order of the work. */
export const QUESTIONS = [
  'brackets',
  'fixed',
  'final',
  'centres',
  'behind',
  'again',
  'tested',
  'with',
] as const
export type Question = (typeof QUESTIONS)[number]

const answerShape = object({
  id: requiredId(),
  /** The question as it was asked. */
  name: requiredName(),
  question: wordField(QUESTIONS).required(),
  /** The thing of the build that it was asked of, such as `crossmembers/bar-1`. */
  of: string().max(140),
  at: dayField().required(),
  who: nameField(),
  /** Absent where it does not matter for this build. */
  text: noteField(),
})

/** An answer that is kept. */
export type AnswerEntry = Told<typeof answerShape>

export interface QuestionTypes extends OnlyTold {
  readonly lists: { readonly answers?: readonly AnswerEntry[] }
}

/** Answers to what was asked. */
export const KINDS_OF_QUESTIONS = {
  ...ONLY_TOLD,
  lists: { answers: { shape: answerShape, most: 400, names: () => [] } },
} as const satisfies SubjectKinds<QuestionTypes>
