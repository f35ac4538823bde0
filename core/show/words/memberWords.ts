import type { MemberTypes } from '../../file/kinds/memberKinds'
import type { SubjectWords } from './subjectWords'

/** Crossmembers are not read, and no lever is theirs. */
export const MEMBER_WORDS: SubjectWords<MemberTypes, never> = { steps: {}, echoes: {}, levers: {} }
