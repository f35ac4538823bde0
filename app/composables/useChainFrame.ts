import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import type { ChainPicture } from '~~/core/drawing/chainScene'
import type { PicturePlace } from '~~/core/drawing/chainWay'

/** From mm of a chain's picture to px: one scale for the side and the view from above, the stations under each other. */
export interface ChainFrame {
  readonly width: number
  readonly height: number
  readonly scale: number
  readonly x: (mm: number) => number
  readonly y: (mm: number) => number
  readonly put: (place: PicturePlace) => string
}

/** Room about the sprockets, in px: above for a handle, below for the words of the slack run. */
const PAD = { x: 30, top: 48, bottom: 54 }
const MOST_HEIGHT = 380
const LEAST_WIDTH = 160

/** The frame that a chain fits into at a width. */
export const useChainFrame = (
  picture: MaybeRefOrGetter<ChainPicture | null>,
  width: MaybeRefOrGetter<number>,
) =>
  computed((): ChainFrame => {
    const around = toValue(picture)?.sprockets ?? []
    const xs = around.flatMap(({ at: [x], outerMm }) => [x - outerMm, x + outerMm])
    const ys = around.flatMap(({ at: [, y], outerMm }) => [y - outerMm, y + outerMm])
    const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
    const whole = Math.max(LEAST_WIDTH, toValue(width))
    const across = whole - 2 * PAD.x
    const scale = Math.min(across / (right - left), (MOST_HEIGHT - PAD.top - PAD.bottom) / (high - low))
    const x = (mm: number) => PAD.x + (across - (right - left) * scale) / 2 + (mm - left) * scale
    const y = (mm: number) => PAD.top + (high - mm) * scale
    return {
      width: whole,
      height: Math.round((high - low) * scale + PAD.top + PAD.bottom),
      scale,
      x,
      y,
      put: ([mx, my]) => `${x(mx).toFixed(1)} ${y(my).toFixed(1)}`,
    }
  })
