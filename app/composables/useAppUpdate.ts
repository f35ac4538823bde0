import { useEventListener, useIntervalFn } from '@vueuse/core'
import { Workbox } from 'workbox-window'
import { readonly, ref } from 'vue'

/** A page may stay open for weeks: so often it looks for a new version by itself, in ms. */
const LOOK_EVERY = 30 * 60_000

/** What is to be said of the program itself: a new version waits, or a part of this one is not there any more. */
export type UpdateNews = 'waiting' | 'partGone' | null

/**
 * Keeps the installed application current without ever loading a page anew unasked: the tab that asks for the new version
 * loads it, every other is told.
 */
export function useAppUpdate() {
  const news = ref<UpdateNews>(null)
  const workbox = 'serviceWorker' in navigator && isSecureContext ? new Workbox('/sw.js') : null
  let isAsked = false
  let hasWaiting = false

  workbox?.addEventListener('waiting', () => {
    hasWaiting = true
    news.value = 'waiting'
  })
  workbox?.addEventListener('controlling', ({ isUpdate, isExternal }) => {
    hasWaiting = false
    if (isAsked) location.reload()
    else if (isUpdate || isExternal) news.value = 'waiting'
  })
  // Where workers are not allowed, the application works all the same while there is a network.
  workbox?.register().catch(() => undefined)

  const look = () => void workbox?.update().catch(() => undefined)
  useIntervalFn(look, LOOK_EVERY)
  useEventListener(document, 'visibilitychange', () => document.visibilityState === 'visible' && look())
  // A part that is loaded when used: its file went with an older version, or there is no network.
  useEventListener(window, 'vite:preloadError', () => (news.value ??= 'partGone'))

  function load(): void {
    isAsked = true
    if (hasWaiting) workbox?.messageSkipWaiting()
    else location.reload()
  }

  return { news: readonly(news), load, later: () => (news.value = null) }
}
