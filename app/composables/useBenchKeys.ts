import { useEventListener, useStorage } from '@vueuse/core'

/** What a key press asks for. */
export interface BenchActions {
  readonly undo: () => void
  readonly redo: () => void
  readonly palette: () => void
  readonly shortcuts: () => void
  /** Applies the n-th offered cure, from 0. */
  readonly cure: (index: number) => void
  /** Goes on to the next stage (1) or back to the one before (−1). */
  readonly stage: (step: 1 | -1) => void
}

/** Keys that work anywhere in an open build; plain ones stay out of the way while something is typed. */
export function useBenchKeys(actions: BenchActions): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented) return
    const withControl = event.ctrlKey || event.metaKey
    const key = event.key.toLowerCase()
    if (withControl && key === 'k') return act(event, actions.palette)
    if (isTyping(event.target)) return
    if (withControl && key === 'z') return act(event, event.shiftKey ? actions.redo : actions.undo)
    if (withControl && key === 'y') return act(event, actions.redo)
    if (withControl) return
    if (event.altKey || hasDialog() || !hasSingleKeys.value || isControl(event.target)) return
    if (key === '[' || key === ']') return act(event, () => actions.stage(key === ']' ? 1 : -1))
    if (key === '?') return act(event, actions.shortcuts)
    if (/^[1-3]$/.test(key)) act(event, () => actions.cure(Number(key) - 1))
  })
}

function act(event: KeyboardEvent, action: () => void): void {
  event.preventDefault()
  action()
}

/** Single keys can be switched off: speech input and shaky hands press them by accident. Some browsers let nothing be kept. */
export const hasSingleKeys = useStorage('lurvan-single-keys', true, undefined, { onError: () => undefined })

/** Sliders, radios and buttons have keys of their own. */
const isControl = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('[role="slider"], [role="radio"], [role="menu"]') !== null

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

const hasDialog = (): boolean => document.querySelector('[role="dialog"]') !== null
