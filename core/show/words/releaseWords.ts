import type { ReleaseTypes } from '../../file/kinds/releaseKinds'
import type { SubjectWords } from './subjectWords'

/** What holds a part is told, not read, and no lever is its own. */
export const RELEASE_WORDS: SubjectWords<ReleaseTypes, never> = { steps: {}, echoes: {}, levers: {} }
