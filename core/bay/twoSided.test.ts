import runabout from '../../demo/teasel-runabout.lurvan.json'
import { evaluateBuild } from '../model/evaluateBuild'
import type { Build } from '../file/build/build'
import { parseBuild } from '../file/open/parseBuild'
import { leastEffortCure } from '../answers/solver/findCures'
import { settingsAfter } from '../answers/solver/cure'
import type { RawBuild } from '../testdata/builds'
import { provingWith } from '../answers/uncertainty/provenCure'
import { twoSidedGaps } from './twoSided'

const demo = (edit: (raw: RawBuild) => void = () => undefined): Build => {
  const raw: RawBuild = structuredClone(runabout)
  edit(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
const windowAt = (settings: Record<string, number>, build = demo()) =>
  twoSidedGaps(evaluateBuild(build, settings))[0]!

describe('a thing between two others', () => {
  it('has a window, a place in it, and a way to the middle', () => {
    // 21 to the frame and 47 to the bar; both need 30.
    expect(windowAt({})).toMatchObject({
      names: ['manifold to frame', 'manifold to bar'],
      verdict: 'out',
      windowMm: expect.closeTo(68, 9),
      needMm: [30, 30],
      toMiddleMm: expect.closeTo(13, 9),
      spareMm: expect.closeTo(4, 9),
    })
  })

  it('moved to the middle has as much to spare on both sides, and the window stays as wide', () => {
    const there = windowAt({ fore: 13 })
    expect(there.toMiddleMm).toBeCloseTo(0, 6)
    expect(there.windowMm).toBeCloseTo(68, 6)
    expect(there.atMm - there.needMm[0]).toBeCloseTo(4, 6)
    expect(there.verdict).toBe('holds')
  })

  it('with unlike needs stands nearer to the side that needs less; too narrow a window is told', () => {
    const unlike = demo((raw) => {
      raw.gaps[1].warnBelow = 44
    })
    expect(windowAt({}, unlike)).toMatchObject({
      toMiddleMm: expect.closeTo(6, 9),
      spareMm: expect.closeTo(-3, 9),
    })
  })

  it('is told once, and not at all while a side is not read', () => {
    const both = demo((raw) => {
      raw.gaps[1].opposite = 'manifold-frame'
    })
    expect(twoSidedGaps(evaluateBuild(both, {}))).toHaveLength(1)
    const unread = demo((raw) => {
      raw.readings = raw.readings.filter(({ gap }: { gap?: string }) => gap !== 'manifold-bar')
    })
    expect(twoSidedGaps(evaluateBuild(unread, {}))).toEqual([])
  })

  it('names another gap that is there, and not itself', () => {
    for (const opposite of ['nothing', 'manifold-frame'])
      expect(() =>
        demo((raw) => {
          raw.gaps[0].opposite = opposite
        }),
      ).toThrow('gaps[0].opposite')
  })

  it('the least work in the runabout moves the engine and makes room for its fan', () => {
    const build = demo()
    const search = leastEffortCure(build, {}, provingWith(build, true))
    let step = search.next()
    while (!step.done) step = search.next()
    expect(settingsAfter({}, step.value)).toEqual({ fore: 10, 'radiator-fore': 10 })
    expect(step.value.reaches).toBe('holds')
  })
})
