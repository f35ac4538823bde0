import type { ControlTypes } from '../../file/kinds/controlKinds'
import type { SubjectWords } from './subjectWords'

/** What a driver works is told, never read. */
export const CONTROL_WORDS: SubjectWords<ControlTypes, never> = { steps: {}, echoes: {}, levers: {} }
