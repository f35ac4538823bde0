/** Places on a shaft's end a tape can be held to. */
export const LENGTH_MARKS = ['joint-centre', 'flange-face', 'shaft-end', 'seal-face', 'bolt-face'] as const
export type LengthMark = (typeof LENGTH_MARKS)[number]
