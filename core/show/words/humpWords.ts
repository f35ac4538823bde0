import type { HumpTypes } from '../../file/kinds/humpKinds'
import type { SubjectWords } from './subjectWords'

/** Humps are typed, not read, and no lever is theirs. */
export const HUMP_WORDS: SubjectWords<HumpTypes, never> = { steps: {}, echoes: {}, levers: {} }
