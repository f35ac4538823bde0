/** A thing still to be read or entered before a figure can be computed. */
export interface Missing {
  /** What is missing, in a builder's words: "pinion: level not read". */
  readonly what: string
  /** Where it belongs in the file, such as `readings[3].values[0]`; empty when it has no place yet. */
  readonly path: string
}

/** A figure that is either known, with what was taken for granted on the way, or unknown, with what is missing. */
export type Known<T> =
  | { readonly known: true; readonly value: T; readonly assumptions: readonly string[] }
  | { readonly known: false; readonly missing: readonly Missing[] }

/** A known figure. */
export function known<T>(value: T, assumptions: readonly string[] = []): Known<T> {
  return { known: true, value, assumptions }
}

/** An unknown figure and the one thing that is missing for it. */
export function unknown(what: string, path = ''): { known: false; missing: readonly Missing[] } {
  return { known: false, missing: [{ what, path }] }
}

/**
 * All of several figures, or everything that is missing for them, each thing named once.
 *
 * @returns the tuple of values with all assumptions, in the order given
 */
export function allKnown<T extends readonly unknown[]>(figures: { [K in keyof T]: Known<T[K]> }): Known<T> {
  const missing: Missing[] = []
  const assumptions = new Set<string>()
  const values: unknown[] = []
  for (const figure of figures as readonly Known<unknown>[]) {
    if (figure.known) {
      values.push(figure.value)
      figure.assumptions.forEach((assumption) => assumptions.add(assumption))
    } else {
      missing.push(...figure.missing.filter((one) => !missing.some((other) => other.what === one.what)))
    }
  }
  if (missing.length > 0) return { known: false, missing }
  return known(values as unknown as T, [...assumptions])
}

/** A figure computed from a known one; unknown stays unknown. */
export function mapKnown<T, U>(figure: Known<T>, from: (value: T) => U): Known<U> {
  return figure.known ? known(from(figure.value), figure.assumptions) : figure
}

/** A figure that may turn out unknown, from a known one; unknown stays unknown. */
export function andThen<T, U>(figure: Known<T>, from: (value: T) => Known<U>): Known<U> {
  if (!figure.known) return figure
  const next = from(figure.value)
  if (!next.known) return next
  return known(next.value, [...new Set([...figure.assumptions, ...next.assumptions])])
}
