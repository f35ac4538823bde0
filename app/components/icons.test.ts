import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'

const APP = join(__dirname, '..')
const sources = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return sources(path)
    return /\.(vue|ts)$/.test(name) && !name.endsWith('.test.ts') ? [path] : []
  })

it('every icon that is shown comes with the application', () => {
  const [, list = ''] =
    /const ICONS = \[([^\]]*)\]/.exec(readFileSync(join(APP, '../nuxt.config.ts'), 'utf8')) ?? []
  const bundled = new Set([...list.matchAll(/'([a-z0-9-]+)'/g)].map(([, name]) => name))
  expect(bundled.size).toBeGreaterThan(30)
  const used = sources(APP).flatMap((path) =>
    [...readFileSync(path, 'utf8').matchAll(/i-lucide-([a-z0-9-]+)/g)].map(([, name]) => name),
  )
  expect([...new Set(used)].filter((name) => !bundled.has(name))).toEqual([])
})
