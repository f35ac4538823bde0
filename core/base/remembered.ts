/** Each made once, when it is first asked for. */
export function remembered<T, K = string>(make: (id: K) => T): (id: K) => T {
  const made = new Map<K, T>()
  return (id) => {
    const there = made.get(id)
    if (there !== undefined) return there
    const value = make(id)
    made.set(id, value)
    return value
  }
}
