/**
 * Where a text stops being JSON, in words.
 *
 * @param error - what JSON.parse threw; only the offset in its message is used
 */
export function jsonFault(text: string, error: unknown): string {
  const position = /position (\d+)/.exec(error instanceof Error ? error.message : '')
  if (text.trim() === '') return 'the file is empty'
  if (!position) return 'this is not JSON: the file breaks off before its end'
  const before = text.slice(0, Number(position[1])).split('\n')
  const column = (before.at(-1)?.length ?? 0) + 1
  return `this is not JSON: line ${before.length}, column ${column} cannot be read`
}
