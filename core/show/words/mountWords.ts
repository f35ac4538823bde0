import type { MountTypes } from '../../file/kinds/mountKinds'
import type { SubjectWords } from './subjectWords'

/** Of mounts only their places are read, as points are, and no lever is theirs. */
export const MOUNT_WORDS: SubjectWords<MountTypes, never> = { steps: {}, echoes: {}, levers: {} }
