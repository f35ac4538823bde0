import { chosenSettings, evaluateBuild } from '../../model/evaluateBuild'
import { compile } from '../../model/compile'
import { parseBuild } from '../../file/open/parseBuild'
import { rawDemos } from '../../testdata/demos'
import { figureNames } from '../../answers/why/figureColumn'
import { resultJson } from './resultJson'

/** Paths of all figures in a result, but of what only a limit can have: checks, what is wanted, likelihoods. */
function figuresIn(told: unknown, at = ''): string[] {
  if (typeof told === 'number') return [at]
  if (typeof told !== 'object' || told === null) return []
  return Object.entries(told).flatMap(([key, one]) =>
    /^(checks|wantedMm|together|measureAgain|limitN|limitDeg)$/.test(key)
      ? []
      : figuresIn(one, `${at}.${key}`),
  )
}

/** A demo with every limit taken out, its makers' own ones too. */
function limitless(raw: any): any {
  const bare = structuredClone(raw)
  bare.limits.entries = []
  for (const line of bare.lines)
    for (const { bearing } of line.shafts) {
      delete bearing?.limitN
      delete bearing?.limitDeg
    }
  return bare
}

const read = (raw: unknown) => {
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}

describe('a build without limits', () => {
  it.each(rawDemos())('tells every figure that $id tells with them, and judges none', ({ raw }) => {
    const [judged, bare] = [read(structuredClone(raw)), read(limitless(raw))]
    const told = resultJson(bare, undefined, 60)
    const there = new Set(figuresIn(told))
    const isOfSpare = (path: string) => path.startsWith('.uncertainty')
    expect(
      figuresIn(resultJson(judged, undefined, 60)).filter((path) => !there.has(path) && !isOfSpare(path)),
    ).toEqual([])
    expect(told.checks.filter(({ quantity }) => quantity === 'bearing-force')).toEqual([])
  })

  it('names no figure of a place that stands elsewhere with every lever', () => {
    for (const { id, raw } of rawDemos()) {
      const build = read(raw)
      const names = figureNames(compile(build), evaluateBuild(build, chosenSettings(build)))
      const sampled = Object.keys(resultJson(build, undefined, 60).uncertainty?.plusMinus ?? {})
      expect([id, [...names, ...sampled].filter((name) => name.includes('[-1]'))]).toEqual([id, []])
    }
  })
})
