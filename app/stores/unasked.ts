/** What is worked out before anybody asks, as the server that gave the page wants it. */
export interface Unasked {
  /** Truths drawn for a ± at rest; 0 for as many as count. */
  readonly samples: number
  /** Cures are looked for as soon as the levers are at rest. */
  readonly cures: boolean
}

let unasked: Unasked = { samples: 0, cures: true }

/** Says, once and before any store is made, what is worked out unasked. */
export const setUnasked = (wanted: Unasked): void => {
  unasked = wanted
}

/** Truths drawn for a ± of figures at rest, of as many as count. */
export const samplesOf = (count: number): number => unasked.samples || count
export const seeksCures = (): boolean => unasked.cures
