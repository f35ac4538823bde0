// Debian's Chromium for the tests and the screenshots, installed when it is not there.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { run } from './fresh.mjs'

export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium'

/** Makes sure there is a Chromium, by apt where there is none. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return
  const isRoot = process.getuid?.() === 0
  const apt = (...args) =>
    isRoot
      ? run('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
      : run('sudo', ['apt-get', ...args])
  if (spawnSync('apt-get', ['--version']).error) {
    console.error(`no Chromium at ${CHROMIUM} and no apt to install it: set CHROMIUM to the path of one`)
    process.exit(1)
  }
  apt('update')
  apt('install', '-y', '--no-install-recommends', 'chromium', 'fonts-liberation')
}
