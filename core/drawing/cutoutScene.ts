import type { Place2 } from '../base/outline/polygon'
import type { CutoutAnswer } from '../making/cutouts/cutoutAnswer'

/** An opening from above, its front up; px. */
export interface CutoutScene {
  readonly width: number
  readonly height: number
  /** As it was, and as it is once all cuts are made. */
  readonly before: readonly Place2[]
  readonly now: readonly Place2[]
  readonly touches: readonly { readonly id: string; readonly at: Place2; readonly isLast: boolean }[]
  /** The line of the last cut. */
  readonly line: readonly [Place2, Place2] | null
  /** Between the drawing and the sheet, in mm from its left edge and its front. */
  readonly at: (mm: Place2) => Place2
  readonly placeAt: (px: Place2) => Place2
}

const EDGE_PX = 34
const MOST_HIGH = 420

/** @param corners - of the opening before its first cut, in mm from the left edge and from the front */
export function cutoutScene(corners: readonly Place2[], answer: CutoutAnswer, width: number): CutoutScene {
  const touches = answer.cuts.map(({ touch }): Place2 => [touch.at.fromLeftMm, touch.at.fromFrontMm])
  const all = [...corners, ...answer.corners, ...touches]
  const range = (k: 0 | 1) =>
    [Math.min(...all.map((one) => one[k])), Math.max(...all.map((one) => one[k]))] as const
  const [[left, right], [front, rear]] = [range(0), range(1)]
  const scale = Math.min((width - 2 * EDGE_PX) / (right - left), (MOST_HIGH - 2 * EDGE_PX) / (rear - front))
  const inset = (width - scale * (right - left)) / 2
  const at = ([x, y]: Place2): Place2 => [inset + (x - left) * scale, EDGE_PX + (y - front) * scale]
  const last = answer.cuts.at(-1)
  return {
    width,
    height: 2 * EDGE_PX + scale * (rear - front),
    before: corners.map(at),
    now: answer.corners.map(at),
    touches: answer.cuts.map(({ touch }, k) => ({
      id: touch.id,
      at: at([touch.at.fromLeftMm, touch.at.fromFrontMm]),
      isLast: k === answer.cuts.length - 1,
    })),
    line: last ? [at(last.marks[0].at), at(last.marks[1].at)] : null,
    at,
    placeAt: ([x, y]) => [left + (x - inset) / scale, front + (y - EDGE_PX) / scale],
  }
}
