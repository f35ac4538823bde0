/** Keys of a radio group: arrows choose the next or the one before, round and round, and take the focus along. */
export function rovingRadio<T>(values: () => readonly T[], choose: (value: T) => void) {
  function press(event: KeyboardEvent, at: number): void {
    const sense = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
    const all = values()
    if (sense === undefined || all.length === 0) return
    event.preventDefault()
    const next = (at + sense + all.length) % all.length
    choose(all[next] as T)
    const group = (event.currentTarget as HTMLElement).closest('[role="radiogroup"]')
    group?.querySelectorAll<HTMLElement>('[role="radio"]')[next]?.focus()
  }
  /** Only the chosen one, or the first while none is, is reached by Tab. */
  const tabIndex = (value: T, at: number, chosen: T | undefined | ''): 0 | -1 => {
    const hasChosen = chosen !== undefined && values().includes(chosen as T)
    return (hasChosen ? value === chosen : at === 0) ? 0 : -1
  }
  return { press, tabIndex }
}
