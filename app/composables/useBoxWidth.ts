import { useElementSize, type MaybeElementRef } from '@vueuse/core'

/**
 * Width of a box in px; before it is measured the one it usually has, but none wider than the window: on a phone the first
 * drawing is then the right one.
 */
export const useBoxWidth = (box: MaybeElementRef<HTMLElement | null>, usual: number): Ref<number> =>
  useElementSize(box, { width: Math.min(usual, window.innerWidth), height: 0 }).width
