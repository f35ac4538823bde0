import { parse, type ParseError } from 'jsonc-parser'

/** Bare words that some programs write for figures that JSON has no way to write. */
const NO_NUMBERS = /^-?(NaN|Infinity|undefined)\b/

/** Deep text is cut here for the search of the fault: the parser that names the place is recursive. */
const SEARCHED_DEPTH = 500

/**
 * Where a text stops being JSON, in words, always with line and column.
 */
export function jsonFault(text: string): string {
  if (text.trim() === '') return 'line 1, column 1: the file is empty'
  const offset = faultOffset(text)
  const at = lineAndColumn(text, offset)
  const rest = text.slice(offset)
  const [word] = NO_NUMBERS.exec(rest) ?? []
  if (word) return `this is not JSON: ${at}: ${word} is not a number that a file can hold`
  if (rest.trim() === '') return `this is not JSON: the file breaks off at ${at}, before its end`
  return `this is not JSON: ${at} cannot be read`
}

/** Line and column of a place in a text, counted from 1. */
export function lineAndColumn(text: string, offset: number): string {
  const before = text.slice(0, offset).split('\n')
  return `line ${before.length}, column ${(before.at(-1)?.length ?? 0) + 1}`
}

function faultOffset(text: string): number {
  const deep = depthOffset(text)
  if (deep !== null) return deep
  const errors: ParseError[] = []
  parse(text, errors, { disallowComments: true, allowTrailingComma: false })
  return errors.reduce((first, { offset }) => Math.min(first, offset), text.length)
}

/** Offset at which a text is nested deeper than anybody would read; null when it never is. */
function depthOffset(text: string): number | null {
  let depth = 0
  let isInText = false
  for (let i = 0; i < text.length; i++) {
    const mark = text[i]
    if (isInText) {
      if (mark === '\\') i++
      else if (mark === '"') isInText = false
      continue
    }
    if (mark === '"') isInText = true
    else if (mark === '{' || mark === '[') depth++
    else if (mark === '}' || mark === ']') depth--
    if (depth > SEARCHED_DEPTH) return i
  }
  return null
}
