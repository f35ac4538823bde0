import { keepNote, noteNames } from './notes'

/** Where the reading being typed at a step of a build is kept until it is read. */
export const draftKey = (buildId: string, stepId: string): string => `lurvan-draft/${buildId}/${stepId}`

/** Forgets all that was half typed in a build. */
export function forgetDrafts(buildId: string): void {
  const mark = draftKey(buildId, '')
  for (const name of noteNames()) if (name.startsWith(mark)) keepNote(name, null)
}
