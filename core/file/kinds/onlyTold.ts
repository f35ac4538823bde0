/** Of a subject whose entries are told in a list of its own: it reads nothing, limits nothing and moves nothing. */
export const ONLY_TOLD = {
  readings: {},
  shapes: {},
  targets: {},
  asks: () => [],
  quantities: {},
  levers: {},
} as const

/** The types of one, but for its lists. */
export interface OnlyTold {
  readonly asked: object
  readonly unasked: object
  readonly targets: object
}
