import type { QuestionTypes } from '../../file/kinds/questionKinds'
import type { SubjectWords } from './subjectWords'

/** Answers are written down, not read, and no lever is their own. */
export const QUESTION_WORDS: SubjectWords<QuestionTypes, never> = { steps: {}, echoes: {}, levers: {} }
