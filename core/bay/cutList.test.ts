import { evaluateBuild } from '../model/evaluateBuild'
import { changedBay } from '../testdata/bay'
import { cutCostText, cutRows } from '../show/text/cutText'
import { cutCost, cutList } from './cutList'

const bay = (edit: Parameters<typeof changedBay>[0] = undefined) => changedBay(edit)
const cutsAt = (settings: Record<string, number>, build = bay()) => cutList(evaluateBuild(build, settings))

describe('cuts and dents', () => {
  it('are none while nothing lies in anything', () => {
    expect(cutsAt({})).toEqual([])
    expect(cutCostText(evaluateBuild(bay(), {}))).toBeNull()
  })

  it('are as deep as the overlap, and deeper to keep what the gap needs, in whole mm', () => {
    const now = evaluateBuild(bay(), { sideways: -30 })
    const cuts = cutList(now)
    expect(cuts.length).toBeGreaterThan(1)
    expect(cuts.map(({ depthMm }) => depthMm)).toEqual(
      cuts.map(({ depthMm }) => depthMm).sort((a, b) => b - a),
    )
    for (const cut of cuts) {
      const { ride, check } = now.gaps.find(({ gap }) => gap.id === cut.gap)!
      const gapMm = ride.known ? ride.value.gapMm : NaN
      expect(cut.depthMm).toBeCloseTo(-gapMm, 9)
      expect(Number.isInteger(cut.depthToKeepMm)).toBe(true)
      expect(cut.keepMm).toBe(check.window.warnLow ?? check.window.failLow)
      expect(cut.marginAfterMm).toBeGreaterThanOrEqual(0)
      expect(cut.marginAfterMm).toBeLessThan(1)
      expect(cut.depthToKeepMm - cut.depthMm - cut.keepMm).toBeCloseTo(cut.marginAfterMm, 9)
    }
  })

  it('cost what was said, tell what was not, and which carries load', () => {
    const build = bay((raw) => {
      for (const gap of raw.gaps) delete gap.cutting
      raw.gaps.find(({ id }: { id: string }) => id === 'downpipe-frame').cutting = {
        cost: 12,
        structural: true,
      }
    })
    const now = evaluateBuild(build, { sideways: -30 })
    const cuts = cutList(now)
    expect(cutCost(cuts)).toEqual({ cost: 12, unsaid: cuts.length - 1 })
    expect(cutCostText(now)).toBe(`effort 12, and ${cuts.length - 1} not said`)
    const row = cutRows(now, build.units).find(({ gap }) => gap === 'downpipe-frame')!
    expect(row).toMatchObject({ isStructural: true, cost: '12' })
    expect(row.where).toMatch(/^station \d+\.0 mm, \d+\.0 mm right, \d+\.\d mm (above|below) the plane$/)
    expect(row.toKeep).toMatch(/^\d+\.0 mm deep keeps its 25\.0 mm, 0\.\d mm over$/)
  })
})
