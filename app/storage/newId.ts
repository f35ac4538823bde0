import { nanoid } from 'nanoid'

/** An id that no other thing has. It needs no secure context, as the browser's own maker of ids does. */
export const newId = (): string => nanoid()
