import type { OrderTypes } from '../../file/kinds/orderKinds'
import type { SubjectWords } from './subjectWords'

/** Orders are written down, not read, and no lever is their own. */
export const ORDER_WORDS: SubjectWords<OrderTypes, never> = { steps: {}, echoes: {}, levers: {} }
