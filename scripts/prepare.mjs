// After an install: Nuxt's generated types, so that editors and the type check find them, and the command line as one file.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

if (existsSync('node_modules/nuxt')) {
  const run = spawnSync(process.execPath, ['node_modules/nuxt/bin/nuxt.mjs', 'prepare'], { stdio: 'ignore' })
  process.exitCode = run.status ?? 1
}
if (existsSync('node_modules/esbuild')) {
  const { bundleCli } = await import('./bundleCli.mjs')
  await bundleCli()
}
