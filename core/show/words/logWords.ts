import type { LogTypes } from '../../file/kinds/logKinds'
import type { SubjectWords } from './subjectWords'

/** A log is written down, not read, and no lever is its own. */
export const LOG_WORDS: SubjectWords<LogTypes, never> = { steps: {}, echoes: {}, levers: {} }
