import { describe, expect, it } from '@jest/globals'
import { existsSync, readFileSync, readdirSync } from 'node:fs'

const DOCUMENTS = [
  'README.md',
  'CONTRIBUTING.md',
  'docs/architecture.md',
  'docs/methods/chains.md',
  ...['crossmembers', 'tubes', 'plates', 'mounts', 'ways-out', 'welds'].map(
    (name) => `docs/methods/${name}.md`,
  ),
]

/** What a document sends its reader to: files and folders of the repository in code marks. */
const pathsIn = (text: string): string[] =>
  [...text.matchAll(/`((?:core|app|server|cli|docs|tests|scripts)\/[^`\s]*)`/g)].flatMap(
    ([, path]) => path ?? [],
  )

describe('the documents', () => {
  it.each(DOCUMENTS)('%s sends nobody to a file that is not there', (file) => {
    const paths = pathsIn(readFileSync(file, 'utf8'))
    expect(paths.length).toBeGreaterThan(0)
    expect(paths.filter((path) => !existsSync(path))).toEqual([])
  })

  it('core/README.md has a row for every folder of the core, and none more', () => {
    const rows = [...readFileSync('core/README.md', 'utf8').matchAll(/^\| (`.*?) +\|/gm)]
    const told = rows.flatMap(([, names = '']) =>
      [...names.matchAll(/`(\w+)`/g)].flatMap(([, name]) => name ?? []),
    )
    const there = readdirSync('core', { withFileTypes: true }).flatMap((one) =>
      one.isDirectory() && one.name !== 'testdata' ? [one.name] : [],
    )
    expect(told.sort()).toEqual(there.sort())
  })

  it.each([
    ['core/file/parts/joints.ts', 'JOINTS'],
    ['app/texts/views.ts', 'VIEWS'],
    ['core/file/parts/gap.ts', 'GAP_KINDS'],
    ['core/vehicle/strength/criticalSpeed.ts', 'whirlRpm'],
  ])('%s holds %s, as the README says', (file, name) => {
    expect(readFileSync('README.md', 'utf8')).toMatch(new RegExp(`\`${name}\`[^\`]*\`${file}`))
    expect(readFileSync(file, 'utf8')).toMatch(new RegExp(`export (const|function) ${name}\\b`))
  })
})
