import type { TickTypes } from '../../file/kinds/tickKinds'
import type { SubjectWords } from './subjectWords'

/** Steps are ticked, not read, and no lever is theirs. */
export const TICK_WORDS: SubjectWords<TickTypes, never> = { steps: {}, echoes: {}, levers: {} }
