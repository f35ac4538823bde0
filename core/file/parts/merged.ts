/** What belongs to all members of a union at once. */
export type Together<U> = (U extends unknown ? (one: U) => void : never) extends (all: infer I) => void
  ? I
  : never

/** @returns one table of all that each entry of a list holds under a key */
export const merged = <E extends object, K extends keyof E>(entries: readonly E[], key: K): Together<E[K]> =>
  Object.assign({}, ...entries.map((entry) => entry[key])) as Together<E[K]>
