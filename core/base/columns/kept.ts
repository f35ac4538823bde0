/** A kind of thing that is kept; its type says what. */
export interface Kind<T> {
  readonly name: string
  /** Never there: it ties the type to the kind. */
  readonly of?: T
}

/** What is worked out when it is first asked for and kept as long as what it was worked out of: one box for all of it. */
export interface Kept {
  readonly the: <T>(kind: Kind<T>, make: () => T) => T
}

/** An empty box. */
export function newKept(): Kept {
  const box = new Map<Kind<unknown>, unknown>()
  return {
    the: <T>(kind: Kind<T>, make: () => T): T => {
      if (!box.has(kind)) box.set(kind, make())
      return box.get(kind) as T
    },
  }
}
