import type { TaskTypes } from '../../file/kinds/taskKinds'
import type { SubjectWords } from './subjectWords'

/** What is to be done is written down, not read, and no lever is its own. */
export const TASK_WORDS: SubjectWords<TaskTypes, never> = { steps: {}, echoes: {}, levers: {} }
