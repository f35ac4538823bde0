import { useEventListener } from '@vueuse/core'
import { onScopeDispose } from 'vue'
import type { WorkRow } from '~~/core/jobs/board/workScene'
import { usePlan } from '~/stores/plan'

/** A bar moves once the pointer did by so much: less is a press. */
const LEAST_PX = 4

/** Dragging of a row on the ruler of time: one paint a frame, kept at pointer-up, dropped at Escape. */
export function useBarDrag(pxPerDay: () => number) {
  const plan = usePlan()
  let finish: ((isKept: boolean) => void) | null = null

  function begin(event: PointerEvent, row: WorkRow): void {
    const [first] = row.planned
    if (event.button !== 0 || finish || !first) return
    event.preventDefault()
    const { clientX: fromX, pointerId } = event
    const px = pxPerDay()
    let frame = 0
    let x = fromX
    const move = () => {
      const by = x - fromX
      if (plan.held === null && Math.abs(by) < LEAST_PX) return
      const day = first.startDay + Math.round(by / px)
      if (plan.held?.day !== Math.max(0, day)) plan.hold(row.key, day)
    }
    const leave = [
      useEventListener(window, 'pointermove', (to: PointerEvent) => {
        if (to.pointerId !== pointerId) return
        x = to.clientX
        cancelAnimationFrame(frame)
        frame = requestAnimationFrame(move)
      }),
      useEventListener(window, ['pointerup', 'pointercancel'], (to: PointerEvent) => {
        if (to.pointerId === pointerId) finish?.(to.type === 'pointerup')
      }),
      useEventListener(window, 'keydown', ({ key }: KeyboardEvent) => {
        if (key === 'Escape') finish?.(false)
      }),
    ]
    finish = (isKept) => {
      finish = null
      cancelAnimationFrame(frame)
      leave.forEach((stop) => stop())
      if (isKept) move()
      if (plan.held === null) return
      if (isKept) plan.letGo()
      else plan.drop()
    }
  }

  onScopeDispose(() => finish?.(false))
  return { begin }
}
