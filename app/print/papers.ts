/** Paper in the printer, upright, in mm. */
export const PAPERS = { a4: [210, 297], letter: [215.9, 279.4] } as const
export type Paper = keyof typeof PAPERS
