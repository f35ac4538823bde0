import type { SceneCallout } from './lineScene'
import type { Projection } from './projection'

/** A call-out's box and the point its leader goes to, in px. */
export interface CalloutBox {
  readonly callout: SceneCallout
  readonly x: number
  readonly y: number
  readonly toX: number
  readonly toY: number
}

/** Gap between two boxes and from the edge, in px. */
const GAP = 10
const TOP = 6
/** The leader stops short of the ring it points at, in px. */
const SHORT_OF = 18

/**
 * Places call-outs in one lane along the top of the side view: each over its place as far as the neighbours allow.
 *
 * @returns boxes from left to right that neither overlap nor leave the frame, as long as they fit at all
 */
export function calloutBoxes(
  callouts: readonly SceneCallout[],
  projection: Projection,
  width: number,
  size: { readonly width: number; readonly height: number },
): CalloutBox[] {
  const wanted = callouts
    .map((callout) => ({ callout, toX: projection.x(callout.at[0]), toY: projection.sideY(callout.at[1]) }))
    .filter(({ toX }) => toX > 0 && toX < width)
    .sort((a, b) => a.toX - b.toX)
  let free = GAP
  const placed = wanted.map((one) => {
    const x = Math.max(free, one.toX - size.width / 2)
    free = x + size.width + GAP
    return { ...one, x }
  })
  // Whatever ran over the right edge is pushed back, last box first.
  let edge = width - GAP
  for (const box of [...placed].reverse()) {
    box.x = Math.min(box.x, edge - size.width)
    edge = box.x - GAP
  }
  return placed.map((box) => ({ ...box, y: TOP, toY: Math.max(TOP + size.height, box.toY - SHORT_OF) }))
}
