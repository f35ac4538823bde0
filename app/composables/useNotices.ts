import { shallowRef } from 'vue'

/** A short word on something done, with what can be done about it. */
export interface Notice {
  readonly id: number
  readonly title: string
  readonly icon: string
  readonly actions: readonly { readonly label: string; readonly onClick: () => void }[]
}

/** A notice stays in sight for so long, in ms; one that offers to undo something longer. */
const STAYS_MS = 6000
const OFFERS_MS = 12_000
const MOST = 4

const shown = shallowRef<readonly Notice[]>([])
let last = 0

/**
 * Short notices at the edge of the screen. They are plain text in a live region: the package's own toaster puts hidden stops into the
 * way of the keyboard.
 */
export function useNotices() {
  const drop = (id: number): void => {
    shown.value = shown.value.filter((one) => one.id !== id)
  }
  function add({ title, icon, actions = [] }: Pick<Notice, 'title' | 'icon'> & Partial<Notice>): void {
    const id = ++last
    shown.value = [...shown.value, { id, title, icon, actions }].slice(-MOST)
    const stay = (): unknown => setTimeout(leave, actions.length > 0 ? OFFERS_MS : STAYS_MS)
    // What is said in a tab behind another is still to be read.
    const leave = () =>
      document.hidden ? document.addEventListener('visibilitychange', stay, { once: true }) : drop(id)
    stay()
  }
  return { shown, add, drop }
}
