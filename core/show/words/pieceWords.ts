import type { PieceTypes } from '../../file/kinds/pieceKinds'
import type { SubjectWords } from './subjectWords'

/** Small made parts are typed, not read, and no lever is theirs. */
export const PIECE_WORDS: SubjectWords<PieceTypes, never> = { steps: {}, echoes: {}, levers: {} }
