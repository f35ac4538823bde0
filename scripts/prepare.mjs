// Makes Nuxt's generated types after an install, so that editors and the type check find them.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

if (existsSync('node_modules/nuxt')) {
  const run = spawnSync(process.execPath, ['node_modules/nuxt/bin/nuxt.mjs', 'prepare'], { stdio: 'ignore' })
  process.exitCode = run.status ?? 1
}
