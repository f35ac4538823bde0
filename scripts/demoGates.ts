// npm run demo-gates: the marks that gates of the demo builds rest on, anew after a demo was changed on purpose.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { applyEdits, modify } from 'jsonc-parser'
import { format, resolveConfig } from 'prettier'
import { parseBuildText } from '../core/file/open/parseBuild'
import { underNow } from '../core/jobs/gates/gateStates'

const FOLDER = 'demo'
for (const name of readdirSync(FOLDER)) {
  const path = join(FOLDER, name)
  const text = readFileSync(path, 'utf8')
  const parsed = parseBuildText(text)
  if (!parsed.ok || !parsed.value.gates) continue
  const build = parsed.value
  const gates = parsed.value.gates.map((entry) => ({ ...entry, under: underNow({ build }, entry.gate) }))
  const changed = applyEdits(text, modify(text, ['gates'], gates, {}))
  const config = (await resolveConfig(path)) ?? {}
  writeFileSync(path, await format(changed, { ...config, filepath: path }))
}
