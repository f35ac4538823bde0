import type { Draft } from 'immer'
import type { Build } from '~~/core/file/build/build'
import { isUsed } from '~~/core/file/edits/withoutBody'

/** Takes points away with their readings, but for those that something else needs. */
export function dropPoints(draft: Draft<Build>, points: readonly string[]): void {
  const free = new Set(
    points.filter((id) => !isUsed(draft as Build, id) && !draft.gaps.some(({ point }) => point === id)),
  )
  draft.points = draft.points.filter(({ id }) => !free.has(id))
  draft.readings = draft.readings.filter((one) => !('point' in one && free.has(one.point)))
}
