import type { Build } from '~~/core/file/build/build'
import { assign } from './assign'
import type { useWorkbench } from './workbench'

/**
 * Takes an edited build on as one change, part by part: what the edit left as it was is not written again.
 *
 * @returns false when the edit changed nothing
 */
export function takeOn(
  workbench: ReturnType<typeof useWorkbench>,
  label: string,
  edit: (build: Build) => Build,
): boolean {
  const { build } = workbench
  if (!build) return false
  const edited = edit(build)
  const changed = Object.keys(edited).filter(
    (key) => edited[key as keyof Build] !== build[key as keyof Build],
  ) as (keyof Build)[]
  if (changed.length === 0) return false
  workbench.change(label, (draft) => {
    for (const key of changed) assign(draft, { [key]: structuredClone(edited[key]) })
  })
  return true
}
