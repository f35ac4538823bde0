import { useRafFn } from '@vueuse/core'

/** How long a view may take to show its fields, in frames. */
const MOST_FRAMES = 180

/** Puts the focus into the field that the address asks for, as soon as its view or drawer shows it. */
export function useFieldFocus(): void {
  const route = useRoute()
  const router = useRouter()
  const { resume, pause } = useRafFn(look, { immediate: false })
  let frames = 0
  let asked: Element | null = null
  watch(
    () => route.query.field,
    (field) => {
      frames = 0
      asked = null
      if (typeof field === 'string') resume()
      else pause()
    },
    { immediate: true },
  )

  function look(): void {
    const { field } = route.query
    if (typeof field !== 'string' || ++frames > MOST_FRAMES) return pause()
    const place = document.querySelector(`[data-field="${CSS.escape(field)}"]`)
    // A card begins with its first figure, not with the button that takes it away.
    const target =
      place?.querySelector<HTMLElement>('input, select, textarea') ??
      place?.querySelector<HTMLElement>('button')
    if (!target) return
    const folded = target.closest('[hidden]')
    if (folded) return unfold(folded)
    pause()
    target.focus()
    target.scrollIntoView({ block: 'center' })
    // Asked for once: going back or a reload finds the view as it is.
    void router.replace({ query: { ...route.query, field: undefined } })
  }

  /** What is folded away shows what is looked for, as it does for the browser's own search; asked twice it would fold again. */
  function unfold(folded: Element): void {
    if (folded !== asked) folded.dispatchEvent(new Event('beforematch'))
    asked = folded
  }
}
