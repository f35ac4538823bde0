/** A thing without some of its fields. */
export function without<T extends object, K extends keyof T>(thing: T, ...fields: readonly K[]): Omit<T, K> {
  const rest = { ...thing }
  for (const field of fields) Reflect.deleteProperty(rest, field)
  return rest
}
