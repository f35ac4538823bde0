import type { BoltTypes } from '../../file/kinds/boltKinds'
import type { SubjectWords } from './subjectWords'

/** Bolts are told, not read, and no lever is theirs. */
export const BOLT_WORDS: SubjectWords<BoltTypes, never> = { steps: {}, echoes: {}, levers: {} }
