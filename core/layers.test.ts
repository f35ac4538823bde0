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

/** Rings among nodes that point at others, each once, as a path. */
function ringsOf(nodes: readonly string[], next: (node: string) => readonly string[]): string[] {
  const state = new Map<string, 'open' | 'done'>()
  const rings: string[] = []
  const visit = (node: string, trail: readonly string[]): void => {
    if (state.get(node) === 'done') return
    if (state.get(node) === 'open') {
      const ring = [...trail.slice(trail.indexOf(node)), node]
      rings.push(ring.map((one) => (one.startsWith('/') ? relative(ROOT, one) : one)).join(' -> '))
      return
    }
    state.set(node, 'open')
    next(node).forEach((target) => visit(target, [...trail, node]))
    state.set(node, 'done')
  }
  nodes.forEach((node) => visit(node, []))
  return rings
}

/** Houses of the core from the bottom up: a file may import from its own and from those before it. */
const HOUSES = [
  'base',
  'file',
  'sprockets',
  'measure',
  'vehicle',
  'making',
  'plan',
  'shift',
  'line',
  'check',
  'stand',
  'chain',
  'model',
  'answers',
  'drawing',
  'bay',
  'jobs',
  'show',
]
const houseOf = (file: string) => relative(join(ROOT, 'core'), file).split('/')[0] ?? ''
const core = files.filter((file) => layerOf(file) === 0 && houseOf(file) !== 'testdata')

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
    expect(ringsOf(files, importsOf)).toEqual([])
  })

  it('goes from house to house of the core in one order', () => {
    const upward = core.flatMap((file) =>
      importsOf(file)
        .filter((target) => HOUSES.indexOf(houseOf(target)) > HOUSES.indexOf(houseOf(file)))
        .map((target) => `${relative(ROOT, file)} imports ${relative(ROOT, target)}`),
    )
    expect(upward).toEqual([])
    expect([...new Set(core.map(houseOf))].sort()).toEqual([...HOUSES].sort())
  })

  it('has no ring of rooms of the core, of two or of many', () => {
    const arrows = new Map<string, Set<string>>()
    for (const file of core)
      for (const target of importsOf(file)) {
        const [from, to] = [dirname(file), dirname(target)]
        if (from !== to) arrows.set(from, (arrows.get(from) ?? new Set()).add(to))
      }
    expect(ringsOf([...arrows.keys()], (room) => [...(arrows.get(room) ?? [])])).toEqual([])
    expect(ringsOf(['a', 'd'], (room) => ({ a: ['b'], b: ['c'], c: ['a'], d: ['a'] })[room] ?? [])).toEqual([
      'a -> b -> c -> a',
    ])
  })

  it('leaves Dexie to the storage', () => {
    const users = files
      .filter((file) => /from 'dexie'/.test(readFileSync(file, 'utf8')))
      .map((file) => dirname(relative(ROOT, file)))
    expect([...new Set(users)]).toEqual(['app/storage'])
  })
})
