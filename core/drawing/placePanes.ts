import type { Projection } from './projection'
import type { Shape, View } from './shape'

/** One view on the board: where it stands in px, and how mm become px in it. */
export interface Pane {
  readonly view: View
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
  readonly projection: Projection
}

/** The board: three views on one scale, side and top on the same stations. */
export interface Panes {
  readonly panes: readonly Pane[]
  readonly scale: { readonly pxPerMm: number; readonly exaggeration: number }
  readonly height: number
  /** Where the station ruler lies, under the side view. */
  readonly rulerTop: number
  /** Room beside the top view, for what strikes first; null where the views stand one under the other. */
  readonly aside: { readonly left: number; readonly top: number; readonly width: number } | null
}

/** Height of the station ruler, in px. */
export const RULER_PX = 32
/** Half of what is shown across the vehicle from the front, and from above, in mm, at the least. */
const HALF_FRONT = 430
const HALF_TOP = 345
/** Room above and below what is drawn, in mm. */
const ROOM = 34
/** Narrower than this the views stand one under the other, in px. */
const NARROW_PX = 620

/**
 * Lays the board out in a width.
 *
 * @param side - what is drawn from the side
 * @param span - stations that are shown, in mm rearward
 * @param width - in px
 * @param reach - how far what is placed reaches to either side, in mm
 * @param levels - heights that are shown whatever else is drawn, in mm
 */
export function placePanes(
  side: readonly Shape[],
  span: readonly [number, number],
  width: number,
  reach = 0,
  levels: readonly number[] = [],
): Panes {
  const [halfFront, halfTop] = [Math.max(HALF_FRONT, reach + ROOM), Math.max(HALF_TOP, reach + ROOM)]
  const isNarrow = width < NARROW_PX
  const length = span[1] - span[0]
  const scale = width / (isNarrow ? Math.max(length, 2 * halfFront) : length + 2 * halfFront)
  const [low, high] = heights(side, levels)
  const sideHeight = Math.round((high - low) * scale)
  const sideWidth = Math.round(length * scale)
  const topHeight = Math.round(2 * halfTop * scale)
  const frontWidth = isNarrow ? width : width - sideWidth
  const rulerTop = sideHeight
  const topTop = sideHeight + RULER_PX
  const x = (station: number) => (station - span[0]) * scale
  const sideY = (height: number) => (high - height) * scale
  const topY = (offset: number) => (halfTop - offset) * scale
  const sidePane: Pane = pane('side', 0, 0, sideWidth, sideHeight, { x, sideY, topY }, scale)
  const top = pane('top', 0, topTop, sideWidth, topHeight, { x, sideY: topY, topY }, scale)
  const across = (offset: number) => frontWidth / 2 + offset * scale
  const frontTop = isNarrow ? topTop + topHeight : 0
  const front = pane(
    'front',
    isNarrow ? 0 : sideWidth,
    frontTop,
    frontWidth,
    sideHeight,
    { x: across, sideY, topY: sideY },
    scale,
  )
  return {
    panes: [sidePane, top, front],
    scale: { pxPerMm: scale, exaggeration: 1 },
    height: isNarrow ? frontTop + sideHeight : topTop + topHeight,
    rulerTop,
    aside: isNarrow ? null : { left: sideWidth, top: topTop, width: frontWidth },
  }
}

const pane = (
  view: View,
  left: number,
  top: number,
  width: number,
  height: number,
  axes: Pick<Projection, 'x' | 'sideY' | 'topY'>,
  pxPerMm: number,
): Pane => ({ view, left, top, width, height, projection: { pxPerMm, exaggeration: 1, ...axes } })

/** Lowest and highest of what is drawn from the side, with some room; wheels and shafts far behind do not count. */
function heights(shapes: readonly Shape[], shown: readonly number[]): readonly [number, number] {
  const levels = [
    ...shown,
    ...shapes.flatMap((shape) => (COUNTS.includes(shape.part) ? levelsOf(shape) : [])),
  ]
  return levels.length === 0 ? [-300, 500] : [Math.min(...levels) - ROOM, Math.max(...levels) + ROOM]
}

const COUNTS: readonly Shape['part'][] = ['powertrain', 'rail', 'ground', 'item', 'shell']

const levelsOf = (shape: Shape): number[] =>
  shape.form === 'circle'
    ? [shape.centre[1] - shape.radius, shape.centre[1] + shape.radius]
    : shape.points.map(([, level]) => level)
