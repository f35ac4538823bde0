import { LIST_LIMITS } from '../build/lists'
import type { FileProblem } from '../parts/problem'

/** Deeper nesting than this no build has; far deeper ones break the recursion of whatever writes them out again. */
export const MAX_DEPTH = 40

/** More entries than this in any one object or list of a file are refused before anything looks at them. */
const MAX_ENTRIES = 100_000

/**
 * What is refused of foreign data before it is looked at any closer: nesting and counts that no build has.
 *
 * Without recursion, so that no nesting can break it.
 *
 * @returns problems with their places; empty when it may come in
 */
export function doorProblems(raw: unknown): FileProblem[] {
  const tooMany = listProblems(raw)
  if (tooMany.length > 0) return tooMany
  let level: { readonly value: object; readonly path: string }[] = isObject(raw)
    ? [{ value: raw, path: '' }]
    : []
  for (let depth = 1; level.length > 0; depth++) {
    if (depth > MAX_DEPTH)
      return [{ path: level[0]?.path ?? '', message: `is nested deeper than ${MAX_DEPTH} levels` }]
    const next: typeof level = []
    for (const { value, path } of level) {
      const entries = Object.entries(value)
      if (entries.length > MAX_ENTRIES) return [{ path, message: `holds more than ${MAX_ENTRIES} entries` }]
      for (const [key, child] of entries) {
        if (!isObject(child)) continue
        // Paths are kept for the first of each level only as far as they are short; a hostile one would fill the memory.
        next.push({ value: child, path: childPath(path, key, Array.isArray(value)) })
      }
    }
    level = next
  }
  return []
}

function listProblems(raw: unknown): FileProblem[] {
  if (!isObject(raw)) return []
  return Object.entries(LIST_LIMITS).flatMap(([key, most]) => {
    const list = (raw as Record<string, unknown>)[key]
    return Array.isArray(list) && list.length > most
      ? [{ path: key, message: `holds ${list.length} entries, more than ${most}` }]
      : []
  })
}

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null

const MAX_PATH = 200

function childPath(path: string, key: string, inList: boolean): string {
  if (path.length > MAX_PATH) return path
  if (inList) return `${path}[${key}]`
  return path === '' ? key : `${path}.${key}`
}
