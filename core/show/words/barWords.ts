import type { BarTypes } from '../../file/kinds/barKinds'
import type { SubjectWords } from './subjectWords'

/** Bars are written down, not read, and no lever is its own. */
export const BAR_WORDS: SubjectWords<BarTypes, never> = { steps: {}, echoes: {}, levers: {} }
