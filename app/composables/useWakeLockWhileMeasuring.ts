import { useEventListener, useWakeLock } from '@vueuse/core'
import { onScopeDispose } from 'vue'

/**
 * Keeps the screen on while a reading is being taken: hands are dirty and the phone lies beside the vehicle. Browsers let
 * go of it when the page is hidden and want a touch before they grant it, so it is asked for at each touch.
 */
export function useWakeLockWhileMeasuring(): void {
  const { isSupported, isActive, request, release } = useWakeLock()
  const keepOn = () => {
    // A browser that saves power may refuse; measuring goes on all the same.
    if (isSupported.value && !isActive.value) void request('screen').catch(() => undefined)
  }
  keepOn()
  useEventListener('pointerdown', keepOn)
  onScopeDispose(() => void release().catch(() => undefined))
}
