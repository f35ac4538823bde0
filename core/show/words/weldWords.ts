import type { WeldTypes } from '../../file/kinds/weldKinds'
import type { SubjectWords } from './subjectWords'

/** What is read at a weld is its own, and no lever is its. */
export const WELD_WORDS: SubjectWords<WeldTypes, never> = { steps: {}, echoes: {}, levers: {} }
