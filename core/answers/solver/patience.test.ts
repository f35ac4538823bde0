import { demoFile } from '../../testdata/demoFile'
import { compile } from '../../model/compile'
import { chosenSettings } from '../../model/evaluateBuild'
import { provingWith } from '../uncertainty/provenCure'
import { buildProblem } from './buildProblem'
import { roomiestSetting } from './byRoom'
import { differentSettings } from './differentSettings'
import { freeLevers } from './findCures'
import { independentParts } from './independentParts'

function ended<T>(search: Generator<number, T>): { readonly result: T; readonly steps: number } {
  let steps = 0
  for (;;) {
    const step = search.next()
    if (step.done) return { result: step.value, steps }
    steps++
  }
}

const problemOf = (build: ReturnType<typeof demoFile>) =>
  buildProblem(compile(build), chosenSettings(build), freeLevers(build), {
    unread: new Set(),
    strictness: 'holds',
  })

describe('levers that no limit ties together', () => {
  it('are searched one beside the other: a steering chain is nothing to a drive chain', () => {
    const build = demoFile('burdock-cart')
    const parts = independentParts(problemOf(build))
    const ids = parts.map(({ places }) => places.map((place) => freeLevers(build)[place]!.id))
    expect(ids).toEqual([
      ['jack-bolt', 'turn', 'front-spacer', 'rear-spacer', 'block-fore', 'block-up'],
      ['column-up'],
    ])
    const [drive, steering] = parts.map(({ problem }) =>
      problem.limits.flatMap(({ id }) => (id.startsWith('chain/') ? [id.split('/')[1]] : [])),
    )
    expect([new Set(drive), new Set(steering)]).toEqual([new Set(['drive']), new Set(['steering'])])
  })

  it('end a search of thousands of millions of settings with the likeliest, and how far all was looked at', () => {
    const build = demoFile('burdock-cart')
    const { result } = ended(differentSettings(build, chosenSettings(build), provingWith(build, true)))
    expect(result.settings).toEqual([])
    expect(result.looked).toBeGreaterThan(8e9)
    expect(result.nearest?.cure.reaches).toBe('tight')
    expect(result.nearest?.cure.likelihood).toBeGreaterThan(0.15)
    expect(result.lookedTo).toBeGreaterThanOrEqual(result.nearest?.effort ?? Infinity)
    expect(result.isWhole).toBe(false)
  })
})

describe('a search that is left off', () => {
  const build = demoFile('comfrey-buggy')

  it('gives the best so far with a bound that the true best keeps', () => {
    const problem = problemOf(build)
    let asked = 0
    const early = ended(roomiestSetting(problem, () => ++asked > 3)).result
    const best = ended(roomiestSetting(problem)).result
    expect(early?.room).toBeLessThanOrEqual(best?.room ?? NaN)
    expect(early?.mostRoom).toBeGreaterThanOrEqual(best?.room ?? NaN)
    expect(best?.mostRoom).toBe(best?.room)
  })

  it('says up to which effort every setting was looked at', () => {
    const left = ended(differentSettings(build, chosenSettings(build), null, 5, () => true)).result
    expect(left.isWhole).toBe(false)
    expect(left.lookedTo).toBeGreaterThanOrEqual(0)
    expect(left.nearest?.room).toBeLessThanOrEqual(left.mostRoom ?? left.nearest?.room ?? NaN)
  })
})
