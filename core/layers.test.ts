import { readdirSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, normalize, relative } from 'node:path'

/** From the bottom up: a file may import from its own layer and from those before it. */
const LAYERS = [
  'core',
  'demo',
  'cli',
  'server',
  'app/texts',
  'app/charts',
  'app/storage',
  'app/workers',
  'app/instruments',
  'app/stores',
  'app/composables',
  'app/components',
  'app/pages',
]
const ROOT = join(__dirname, '..')

function sources(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return sources(path)
    return /\.(ts|vue)$/.test(name) && !/\.test\.ts$/.test(name) ? [path] : []
  })
}

const files = ['core', 'cli', 'server', 'app'].flatMap((folder) => sources(join(ROOT, folder)))

/** Own files a file imports, types included. */
function importsOf(file: string): string[] {
  const text = readFileSync(file, 'utf8')
  const specifiers = [...text.matchAll(/(?:from|import)\s*\(?\s*'([^']+)'/g)].map(
    (match) => match[1] as string,
  )
  return specifiers.flatMap((specifier) => {
    const path = specifier.startsWith('~~/')
      ? join(ROOT, specifier.slice(3))
      : specifier.startsWith('~/')
        ? join(ROOT, 'app', specifier.slice(2))
        : specifier.startsWith('.')
          ? normalize(join(dirname(file), specifier))
          : null
    if (path === null) return []
    return [path, `${path}.ts`, `${path}.vue`].filter((candidate) => files.includes(candidate))
  })
}

const layerOf = (file: string) => LAYERS.findIndex((layer) => relative(ROOT, file).startsWith(`${layer}/`))

describe('the arrow of imports', () => {
  it('points one way: core, then workers and storage, stores, composables, components, pages', () => {
    const upward = files.flatMap((file) =>
      importsOf(file)
        .filter((target) => layerOf(target) > layerOf(file) && layerOf(file) >= 0)
        .map((target) => `${relative(ROOT, file)} imports ${relative(ROOT, target)}`),
    )
    expect(upward).toEqual([])
  })

  it('has no cycles, types included', () => {
    const state = new Map<string, 'open' | 'done'>()
    const cycles: string[] = []
    const visit = (file: string, trail: string[]): void => {
      if (state.get(file) === 'done') return
      if (state.get(file) === 'open') {
        cycles.push(
          [...trail.slice(trail.indexOf(file)), file].map((one) => relative(ROOT, one)).join(' -> '),
        )
        return
      }
      state.set(file, 'open')
      importsOf(file).forEach((target) => visit(target, [...trail, file]))
      state.set(file, 'done')
    }
    files.forEach((file) => visit(file, []))
    expect(cycles).toEqual([])
  })

  it('lets no two folders of the core import each other, types included', () => {
    const folderOf = (file: string) => dirname(relative(join(ROOT, 'core'), file)).split('/')[0] as string
    const arrows = new Set(
      files
        .filter((file) => relative(ROOT, file).startsWith('core/'))
        .flatMap((file) => importsOf(file).map((target) => `${folderOf(file)} -> ${folderOf(target)}`)),
    )
    const mutual = [...arrows].filter((arrow) => {
      const [from, to] = arrow.split(' -> ')
      return from !== to && from !== '.' && arrows.has(`${to} -> ${from}`)
    })
    expect(mutual).toEqual([])
  })

  it('leaves Dexie to the storage', () => {
    const users = files
      .filter((file) => /from 'dexie'/.test(readFileSync(file, 'utf8')))
      .map((file) => dirname(relative(ROOT, file)))
    expect([...new Set(users)]).toEqual(['app/storage'])
  })
})
