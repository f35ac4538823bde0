/** Where the reading being typed at a step of a build is kept until it is read. */
export const draftKey = (buildId: string, stepId: string): string => `lurvan-draft/${buildId}/${stepId}`

/** Forgets all that was half typed in a build. */
export function forgetDrafts(buildId: string): void {
  if (typeof localStorage === 'undefined') return
  const mark = draftKey(buildId, '')
  const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
  for (const key of keys) if (key.startsWith(mark)) localStorage.removeItem(key)
}
