// Debian's Chromium for the tests and the screenshots, and its PDF reader that tests measure prints with, installed when they are not there.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { run } from './fresh.mjs'

export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium'

/** Installs packages of Debian by apt. */
function installPackages(missing, ...packages) {
  const isRoot = process.getuid?.() === 0
  const apt = (...args) =>
    isRoot
      ? run('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
      : run('sudo', ['apt-get', ...args])
  if (spawnSync('apt-get', ['--version']).error) {
    console.error(`${missing}, and no apt to install it`)
    process.exit(1)
  }
  apt('update')
  apt('install', '-y', '--no-install-recommends', ...packages)
}

/** Makes sure there is a Chromium, by apt where there is none. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return
  installPackages(
    `no Chromium at ${CHROMIUM} (set CHROMIUM to the path of one)`,
    'chromium',
    'fonts-liberation',
  )
}

/** Makes sure that tests can look at printed pages. */
export function installPdfReader() {
  if (spawnSync('pdftoppm', ['-v']).error) installPackages('no pdftoppm', 'poppler-utils')
}
