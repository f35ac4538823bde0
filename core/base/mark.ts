/** A mark of how something is: the same for what is the same, whatever the order of its fields. */
export const markOf = (value: unknown): string => hash(JSON.stringify(plain(value)))

function plain(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(plain)
  if (typeof value !== 'object' || value === null) return value
  const fields = Object.entries(value).filter(([, field]) => field !== undefined)
  return Object.fromEntries(
    fields.sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, field]) => [key, plain(field)]),
  )
}

/** Two runs of FNV-1a over the letters of a text, as 53 bits in base 36. */
function hash(text: string): string {
  let [low, high] = [0x811c9dc5, 0x1234567]
  for (let i = 0; i < text.length; i++) {
    low = Math.imul(low ^ text.charCodeAt(i), 0x01000193)
    high = Math.imul(high ^ text.charCodeAt(i), 0x5bd1e995)
  }
  return ((high >>> 0) * 0x200000 + ((low >>> 0) >>> 11)).toString(36)
}
