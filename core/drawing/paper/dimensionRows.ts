import type { Dimension } from './sheetDrawing'

/** Height of a text on paper, room that a letter takes, and from one row of sizes to the next, in mm. */
export const TEXT_MM = 2.8
const LETTER_MM = 1.65
export const ROW_MM = 6.5
/** Two sizes in one row keep so far apart. */
const APART_MM = 3
/** A text stands in its line where so much of the line is left on both sides of it. */
const BESIDE_MM = 3

/** A size along the paper or up it: where its line begins and ends, and its row, 0 next to the thing. */
export interface LaidDimension {
  readonly dimension: Dimension
  readonly from: number
  readonly to: number
  readonly row: number
  /** Where its text begins, and whether it stands beside the line because the line is too short. */
  readonly textAt: number
  readonly isBeside: boolean
}

export const textWidth = (text: string): number => text.length * LETTER_MM

/** Sizes in rows: short ones next to the thing, each in the first row in which it touches no other. */
export function dimensionRows(
  dimensions: readonly Dimension[],
  placeOf: (dimension: Dimension) => readonly [number, number],
): LaidDimension[] {
  const taken: (readonly [number, number])[][] = []
  return dimensions
    .map((dimension) => {
      const [a, b] = placeOf(dimension)
      return { dimension, from: Math.min(a, b), to: Math.max(a, b) }
    })
    .sort((a, b) => a.to - a.from - (b.to - b.from))
    .map((one) => {
      const width = textWidth(one.dimension.text)
      const isBeside = one.to - one.from < width + BESIDE_MM
      const textAt = isBeside ? one.to + BESIDE_MM : (one.from + one.to - width) / 2
      const [low, high] = [one.from, Math.max(one.to, textAt + width)]
      const isFree = (row: readonly (readonly [number, number])[]) =>
        row.every(([from, to]) => high + APART_MM <= from || low >= to + APART_MM)
      let row = taken.findIndex(isFree)
      if (row < 0) row = taken.push([]) - 1
      taken[row]?.push([low, high])
      return { ...one, row, textAt, isBeside }
    })
}
