import type { Build } from '../file/build/build'
import { parseBuild } from '../file/open/parseBuild'
import demo from './fen-tender.json'

/** The leaf-sprung truck before its axle was read at other heights, fresh for each caller. */
export function demoBuild(): Build {
  const parsed = parseBuild(structuredClone(demo))
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}

/** The demo as raw data, loosely typed on purpose: tests break it in every way. */
export type RawBuild = Record<string, any> // eslint-disable-line @typescript-eslint/no-explicit-any
export const rawDemo = (): RawBuild => structuredClone(demo)

/** The demo with something changed, proved sound again. */
export function changedDemo(edit: (raw: RawBuild) => void): Build {
  const raw = rawDemo()
  edit(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
