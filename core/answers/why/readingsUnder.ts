import type { Column } from '../../base/columns/graph'
import { sourcesOf } from '../../base/columns/run'
import type { CompiledBuild } from '../../model/compile'

/** Ids of the readings that some figures rest on, in the order of the build. */
export function readingsUnder(
  { graph, measured, build }: CompiledBuild,
  columns: readonly Column[],
): string[] {
  const sources = sourcesOf(graph, columns)
  const ids = new Set(
    measured.list.columns.flatMap((column, index) => {
      const input = measured.list.inputs[index]
      return sources.has(column) && input?.source === undefined ? [input?.readingId] : []
    }),
  )
  return build.readings.flatMap(({ id }) => (ids.has(id) ? [id] : []))
}
