import bay from '../../demo/sedge-wagon.lurvan.json'
import type { Build } from '../file/build/build'
import { parseBuild } from '../file/open/parseBuild'
import type { RawBuild } from './builds'

/** The tight bay with something changed, proved sound again. */
export function changedBay(edit: (raw: RawBuild) => void = () => undefined): Build {
  const raw: RawBuild = structuredClone(bay)
  edit(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
