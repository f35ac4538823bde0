/** Where in a file something stands. */
export type Path = readonly (string | number)[]

/** Every place in a value, parents before children. */
export function pathsOf(value: unknown, at: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [at]
  return [at, ...Object.entries(value).flatMap(([key, child]) => pathsOf(child, [...at, Array.isArray(value) ? Number(key) : key]))]
}

/** Puts something else in a place; undefined takes the place away. */
export function put(root: unknown, path: Path, value: unknown): void {
  const parent = path.slice(0, -1).reduce<Record<string | number, unknown>>(
    (at, key) => at[key] as Record<string | number, unknown>,
    root as Record<string | number, unknown>,
  )
  const last = path.at(-1)
  if (last === undefined) return
  if (value === undefined) Reflect.deleteProperty(parent, last)
  else parent[last] = value
}
