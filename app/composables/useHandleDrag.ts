import { useEventListener } from '@vueuse/core'
import { onScopeDispose, toValue, type MaybeRefOrGetter } from 'vue'
import type { SceneHandle } from '~~/core/drawing/handles'
import { draggedAmount, type Projection } from '~~/core/drawing/projection'
import type { Lever } from '~~/core/file/build/lever'

/** How fine a lever moves while Shift is held, as a share of its step. */
export const FINE = 0.1

/** What dragging a handle does. */
export interface DragActions {
  readonly hold: (leverId: string, amount: number) => void
  readonly release: () => void
}

/**
 * Dragging of the handles in the drawing: one paint a frame, let go at pointer-up. Only the finger that took the handle moves
 * it; a drawing that goes away meanwhile lets go at once.
 */
export function useHandleDrag(
  view: MaybeRefOrGetter<Pick<Projection, 'pxPerMm' | 'exaggeration'>>,
  actions: DragActions,
) {
  let frame = 0
  let finish: (() => void) | null = null

  function start(event: PointerEvent, handle: SceneHandle, lever: Lever, amount: number): void {
    if (event.button !== 0 || finish) return
    event.preventDefault()
    const { pointerId, clientX: fromX, clientY: fromY, currentTarget } = event
    const [right, up] = handle.along
    const target = currentTarget instanceof Element ? currentTarget : null
    const { pxPerMm, exaggeration } = toValue(view)
    // The first move is put on screen at the next frame, the last one before letting go.
    let waiting: (() => void) | null = null
    const flush = () => {
      waiting?.()
      waiting = null
    }
    const moved = (to: PointerEvent) => {
      if (to.pointerId !== pointerId) return
      waiting = () => {
        const lift =
          ((to.clientX - fromX) * right) / pxPerMm + ((fromY - to.clientY) * up) / (pxPerMm * exaggeration)
        const step = to.shiftKey ? lever.step * FINE : lever.step
        actions.hold(lever.id, draggedAmount(amount, lift, handle.arm, step, lever.range))
      }
      cancelAnimationFrame(frame)
      frame = requestAnimationFrame(flush)
    }
    const ended = (to: PointerEvent) => {
      if (to.pointerId === pointerId) finish?.()
    }
    finish = () => {
      finish = null
      cancelAnimationFrame(frame)
      leave.forEach((stop) => stop())
      if (target?.hasPointerCapture(pointerId)) target.releasePointerCapture(pointerId)
      flush()
      actions.release()
    }
    // Captured, the handle follows beyond the window's edge; a pointer that is gone already cannot be.
    try {
      target?.setPointerCapture(pointerId)
    } catch {
      // Moves still come through the window.
    }
    const leave = [
      useEventListener(window, 'pointermove', moved),
      useEventListener(window, ['pointerup', 'pointercancel'], ended),
    ]
  }

  onScopeDispose(() => finish?.())
  return { start }
}
