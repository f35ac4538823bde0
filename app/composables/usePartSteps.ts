import type { Ref } from 'vue'

/**
 * Parts of a drawing looked at one after the other by the arrow keys: the focus shows the first, Escape lets go of it.
 *
 * @param names - of the parts, in the order they are drawn; those without a name are passed over
 * @param looked - name of the part that is looked at; empty for none
 */
export function usePartSteps(names: () => readonly string[], looked: Ref<string>) {
  function step(sense: 1 | -1): void {
    const all = [...new Set(names().filter((name) => name !== ''))]
    if (all.length === 0) return
    const at = all.indexOf(looked.value)
    looked.value = all[at < 0 ? 0 : (at + sense + all.length) % all.length] as string
  }
  function press(event: KeyboardEvent): void {
    const sense = ({ ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 } as const)[event.key]
    if (sense) step(sense)
    else if (event.key === 'Escape' && looked.value !== '') looked.value = ''
    else return
    event.preventDefault()
  }
  return {
    press,
    begin: () => {
      if (looked.value === '') step(1)
    },
    end: () => {
      looked.value = ''
    },
  }
}
