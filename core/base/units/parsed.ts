/** Typed text that was understood, or what was not understood in it. */
export type Parsed =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string }

/** Longest text that is looked at; nobody reads a longer figure off a tape. */
export const MAX_TEXT = 60

/** Text that was not understood, with the reason. */
export const notUnderstood = (message: string): Parsed => ({ ok: false, message })

/** Typographic marks to the plain ones, vulgar fractions kept, blanks folded. */
export function plainMarks(text: string): string {
  return text
    .replace(/[\u2018\u2019\u2032`´]/g, "'")
    .replace(/[\u201c\u201d\u2033]|''/g, '"')
    .replace(/[\u2212\u2013]/g, '-')
    .replace(/[\u00a0\u2009\u202f\s]+/g, ' ')
    .trim()
}
