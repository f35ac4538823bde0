import type { ViewPoint } from './shape'

/** A label wanted beside a mark, in px of its view; y counts down. */
export interface WantedLabel {
  readonly id: string
  readonly at: ViewPoint
  readonly width: number
}

/** A label in its place: its left end and the line it stands on. */
export interface PlacedLabel {
  readonly id: string
  readonly x: number
  readonly y: number
}

/** Height of a line of labels, in px. */
const LINE = 16
/** Room between a mark and its label, in px. */
const GAP = 7

/**
 * Places labels beside their marks so that none lies on another: to the right or left of the mark, else a line or more above or below.
 *
 * @param frame - width and height of the view, which labels stay inside of
 */
export function placeLabels(
  labels: readonly WantedLabel[],
  [width, height]: readonly [number, number],
): PlacedLabel[] {
  const taken: { readonly left: number; readonly right: number; readonly y: number }[] = []
  const isFree = (left: number, right: number, y: number) =>
    left >= 0 &&
    right <= width &&
    y >= LINE &&
    y <= height - 2 &&
    taken.every((one) => Math.abs(one.y - y) >= LINE || one.right <= left || one.left >= right)
  return [...labels]
    .sort((a, b) => a.at[1] - b.at[1])
    .map(({ id, at: [x, y], width: wide }) => {
      const lefts = [x + GAP, x - GAP - wide, Math.min(Math.max(2, x - wide / 2), width - wide - 2)]
      for (let lines = 0; lines < 12; lines++)
        for (const shift of lines === 0 ? [0] : [lines * LINE, -lines * LINE])
          for (const left of lefts) {
            const base = y + 5 + shift
            if (!isFree(left, left + wide, base)) continue
            taken.push({ left, right: left + wide, y: base })
            return { id, x: left, y: base }
          }
      return {
        id,
        x: Math.max(0, Math.min(x + GAP, width - wide)),
        y: Math.min(height - 2, Math.max(LINE, y)),
      }
    })
}
