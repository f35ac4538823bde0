import { onScopeDispose, toValue, type MaybeRefOrGetter } from 'vue'
import type { SceneHandle } from '~~/core/drawing/lineScene'
import { draggedAmount, type Projection } from '~~/core/drawing/projection'
import type { Lever } from '~~/core/project/build'

/** How fine a lever moves while Shift is held, as a share of its step. */
export const FINE = 0.1

/** What dragging a handle does. */
export interface DragActions {
  readonly hold: (leverId: string, amount: number) => void
  readonly release: () => void
}

/** Dragging of the handles in the drawing: one paint a frame, let go at pointer-up. */
export function useHandleDrag(view: MaybeRefOrGetter<Projection>, actions: DragActions) {
  let frame = 0
  let stop: () => void = () => undefined

  function start(event: PointerEvent, handle: SceneHandle, lever: Lever, amount: number): void {
    if (event.button !== 0) return
    event.preventDefault()
    stop()
    const fromY = event.clientY
    const { pxPerMm, exaggeration } = toValue(view)
    const moved = (to: PointerEvent) => {
      cancelAnimationFrame(frame)
      frame = requestAnimationFrame(() => {
        const lift = (fromY - to.clientY) / (pxPerMm * exaggeration)
        const step = to.shiftKey ? lever.step * FINE : lever.step
        actions.hold(lever.id, draggedAmount(amount, lift, handle.arm, step, lever.range))
      })
    }
    const ended = () => {
      stop()
      // The last move may still wait for its frame.
      requestAnimationFrame(() => actions.release())
    }
    window.addEventListener('pointermove', moved)
    window.addEventListener('pointerup', ended)
    window.addEventListener('pointercancel', ended)
    stop = () => {
      window.removeEventListener('pointermove', moved)
      window.removeEventListener('pointerup', ended)
      window.removeEventListener('pointercancel', ended)
    }
  }

  onScopeDispose(() => stop())
  return { start }
}
