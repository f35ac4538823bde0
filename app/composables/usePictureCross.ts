import type { Pixel } from '~~/core/measure/tracing/photoScale'
import { placeInDrawing } from './placeInDrawing'

interface Size {
  readonly widthPx: number
  readonly heightPx: number
}

const WAYS: Readonly<Record<string, Pixel>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** Places on a picture of the screen: where it is tapped, and a cross that the arrow keys move, with Shift by a long step. */
export function usePictureCross(picture: () => Size, svg: Readonly<Ref<SVGSVGElement | null>>) {
  const cross = shallowRef<Pixel>([picture().widthPx / 2, picture().heightPx / 2])

  function within([x, y]: Pixel): Pixel {
    const inside = (at: number, most: number) => Math.round(Math.min(most, Math.max(0, at)) * 10) / 10
    return [inside(x, picture().widthPx), inside(y, picture().heightPx)]
  }

  function pixelAt(event: PointerEvent): Pixel {
    const place = placeInDrawing(svg.value, event)
    return place ? within(place) : cross.value
  }

  /** Null for a key that is no arrow. */
  function stepped([x, y]: Pixel, event: KeyboardEvent): Pixel | null {
    const way = WAYS[event.key]
    if (!way) return null
    const step = event.shiftKey ? 20 : 1
    return within([x + way[0] * step, y + way[1] * step])
  }

  return { cross, pixelAt, stepped }
}
