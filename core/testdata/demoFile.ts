import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Build } from '../project/build'
import { parseBuild } from '../project/parseBuild'

/** A demo of the application by its id, as it is shipped, spoilt by the test where it wants to. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export function demoFile(id: string, change: (raw: any) => void = () => undefined): Build {
  const raw: unknown = JSON.parse(readFileSync(join(__dirname, `../../demo/${id}.lurvan.json`), 'utf8'))
  change(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
