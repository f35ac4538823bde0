/** Puts what has changed in, and takes out what is told as undefined. */
export function assign<T extends object>(thing: T | undefined, changed: object): void {
  if (!thing) return
  Object.assign(thing, changed)
  for (const [key, value] of Object.entries(changed))
    if (value === undefined) Reflect.deleteProperty(thing, key)
}
