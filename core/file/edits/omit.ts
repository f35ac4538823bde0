/** An object without some of its keys. */
export function omit<T extends object, K extends keyof T>(from: T, ...keys: readonly K[]): Omit<T, K> {
  const rest = { ...from }
  for (const key of keys) Reflect.deleteProperty(rest, key)
  return rest
}
