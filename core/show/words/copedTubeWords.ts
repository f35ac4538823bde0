import type { CopedTubeTypes } from '../../file/kinds/copedTubeKinds'
import type { SubjectWords } from './subjectWords'

/** Of tubes only their ends are read, as points are, and no lever is theirs. */
export const COPED_TUBE_WORDS: SubjectWords<CopedTubeTypes, never> = { steps: {}, echoes: {}, levers: {} }
