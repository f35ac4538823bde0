import type { CutoutTypes } from '../../file/kinds/cutoutKinds'
import type { SubjectWords } from './subjectWords'

/** Openings are told, not read, and no lever is theirs. */
export const CUTOUT_WORDS: SubjectWords<CutoutTypes, never> = { steps: {}, echoes: {}, levers: {} }
