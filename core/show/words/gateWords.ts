import type { GateTypes } from '../../file/kinds/gateKinds'
import type { SubjectWords } from './subjectWords'

/** Gates are passed, not read, and no lever is its own. */
export const GATE_WORDS: SubjectWords<GateTypes, never> = { steps: {}, echoes: {}, levers: {} }
