import type { TemporaryTypes } from '../../file/kinds/temporaryKinds'
import type { SubjectWords } from './subjectWords'

/** What is temporary is written down, not read, and no lever is its own. */
export const TEMPORARY_WORDS: SubjectWords<TemporaryTypes, never> = { steps: {}, echoes: {}, levers: {} }
