import type { PlateTypes } from '../../file/kinds/plateKinds'
import type { SubjectWords } from './subjectWords'

/** Plates are taped on their own page, and no lever is theirs. */
export const PLATE_WORDS: SubjectWords<PlateTypes, never> = { steps: {}, echoes: {}, levers: {} }
