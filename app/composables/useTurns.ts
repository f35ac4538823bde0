import { shallowReactive, watch, type WatchSource } from 'vue'

/** Items brought up to date at one change while something is in the hand. */
const AT_A_TIME = 4

/**
 * A long list whose items take turns in being brought up to date while a lever is in the hand: the drawing has to follow each frame,
 * a list is read no faster than a few times a second. At rest all items are as they are.
 *
 * @returns the items as they are shown, by their keys
 */
export function useTurns<T>(
  items: () => readonly T[],
  keyOf: (item: T) => string,
  isHeld: () => boolean,
): ReadonlyMap<string, T> {
  const shown = shallowReactive(new Map<string, T>())
  let turn = 0
  const source: WatchSource<readonly [readonly T[], boolean]> = () => [items(), isHeld()] as const
  watch(
    source,
    ([list, held]) => {
      const isSame = shown.size === list.length && list.every((item) => shown.has(keyOf(item)))
      if (!held || !isSame) {
        const keys = new Set(list.map(keyOf))
        for (const key of shown.keys()) if (!keys.has(key)) shown.delete(key)
        for (const item of list) shown.set(keyOf(item), item)
        return
      }
      for (let i = 0; i < Math.min(AT_A_TIME, list.length); i++) {
        const item = list[(turn + i) % list.length]
        if (item !== undefined) shown.set(keyOf(item), item)
      }
      turn = (turn + AT_A_TIME) % Math.max(1, list.length)
    },
    { immediate: true },
  )
  return shown
}
