/** What opens at the side of any view: the parts and sizes of the line, the limits, the gaps, or the parts in the bay. */
export const DRAWERS = ['parts', 'limits', 'gaps', 'bay'] as const
export type DrawerKind = (typeof DRAWERS)[number]

/**
 * The drawer at the side of a view. It stands in the address, so that going back closes it and a lost page opens it again.
 */
export function useDrawer() {
  const route = useRoute()
  const router = useRouter()
  const kind = computed(() => DRAWERS.find((one) => one === route.query.drawer) ?? null)
  /** The part or limit it was opened for; empty for none. */
  const at = computed(() => (typeof route.query.at === 'string' ? route.query.at : ''))

  function open(next: DrawerKind, place = ''): void {
    const query = { ...route.query, drawer: next, at: place || undefined }
    // From one drawer to the other is no step to go back by.
    void (kind.value ? router.replace({ query }) : router.push({ query }))
  }
  function close(): void {
    void router.replace({ query: { ...route.query, drawer: undefined, at: undefined } })
  }
  return { kind, at, open, close }
}
