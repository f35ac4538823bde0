import { evaluate, chosenSettings } from '../../model/evaluateBuild'
import { compile } from '../../model/compile'
import { demoBuild } from '../../testdata/demos'
import { originLines, originTree } from '../../show/told/originText'
import { figureColumn, figureNames } from './figureColumn'
import { originOf } from './origin'

describe('where figures of the travel come from', () => {
  const build = demoBuild('tansy-wagon')
  const settings = chosenSettings(build)
  const compiled = compile(build)
  const now = evaluate(compiled, settings)
  const said = figureNames(compiled, now).flatMap((name) => {
    const column = figureColumn(compiled, now, name)
    if (column === null) return []
    return originTree(originLines(build, originOf(compiled, column, settings).parts)).split('\n')
  })

  it('tells how far the wheels are up as a length', () => {
    const wheels = said.filter((line) => / up from ride height, at /.test(line))
    expect(wheels.length).toBeGreaterThan(0)
    for (const line of wheels) expect(line).toMatch(/−?\d+\.\d mm/)
  })

  it('never names a place that has no name', () => {
    expect(said.length).toBeGreaterThan(100)
    expect(said.filter((line) => / at\s*(?::|,|$)/.test(line))).toEqual([])
  })
})
