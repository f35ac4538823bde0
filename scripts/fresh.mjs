// What has to be done again: installing when the lock file changed, building when a source did.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const STAMPS = 'node_modules/.lurvan'
const SOURCES = ['app', 'cli', 'core', 'server', 'demo', 'public', 'nuxt.config.ts', 'package-lock.json']

function filesIn(path) {
  if (!existsSync(path)) return []
  if (statSync(path).isFile()) return [path]
  return readdirSync(path)
    .filter((name) => name !== 'dist')
    .sort()
    .flatMap((name) => filesIn(join(path, name)))
}

function fingerprint(paths) {
  const hash = createHash('sha256')
  for (const file of paths.flatMap(filesIn)) hash.update(file).update(readFileSync(file))
  return hash.digest('hex')
}

const stamped = (name) => (existsSync(join(STAMPS, name)) ? readFileSync(join(STAMPS, name), 'utf8') : '')

function stamp(name, value) {
  mkdirSync(STAMPS, { recursive: true })
  writeFileSync(join(STAMPS, name), value)
}

/** Runs a command in the open; a failure ends the program. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { stdio: 'inherit', ...options })
  if (result.status !== 0) {
    console.error(`${command} ${args.join(' ')} failed`)
    process.exit(result.status ?? 1)
  }
}

const HIDDEN_LOCK = 'node_modules/.package-lock.json'

/** npm leaves this file after every install that went through. */
const isNewer = (than) => existsSync(HIDDEN_LOCK) && statSync(HIDDEN_LOCK).mtimeMs > statSync(than).mtimeMs

/** Installs the packages of the lock file unless they are there. */
export function install() {
  // The lock file tells all that is installed; a script that changed in package.json is no reason.
  const wanted = fingerprint(['package-lock.json'])
  const isThere = existsSync('node_modules/nuxt') && existsSync('node_modules/lurvan')
  const isCurrent = stamped('install') === wanted || isNewer('package-lock.json')
  if (isThere && isCurrent) return
  run('npm', ['ci', '--no-audit', '--no-fund'])
  stamp('install', wanted)
}

/** Builds the application unless it is built from these very sources. */
export function build() {
  const wanted = fingerprint(SOURCES)
  if (existsSync('.output/server/index.mjs') && stamped('build') === wanted) return
  run(process.execPath, ['-e', "import('./scripts/bundleCli.mjs').then(({ bundleCli }) => bundleCli())"])
  run(process.execPath, ['node_modules/nuxt/bin/nuxt.mjs', 'build'], {
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
  })
  stamp('build', wanted)
}
