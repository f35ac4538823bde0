import { rawDemos } from '../../testdata/demos'
import { parseBuild } from '../../file/open/parseBuild'
import { weightAnswer } from '../../vehicle/weight/weightOf'
import { resultJson, type ResultJson } from './resultJson'

const told = Object.fromEntries(
  rawDemos().map(({ id, raw }): [string, ResultJson] => {
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
    return [id, resultJson(parsed.value)]
  }),
) as Record<string, ResultJson>

describe('the result says what the bench shows', () => {
  it('of weight, sling and mounts, as the views have it', () => {
    const { weight } = told['sedge-wagon']!
    const raw = rawDemos().find(({ id }) => id === 'sedge-wagon')!.raw
    const loads = weightAnswer(raw.weight)
    expect(weight?.loads.value?.before.frontPercent).toBeCloseTo(
      loads.known ? loads.value.before.frontPercent : NaN,
      9,
    )
    expect(Math.abs(weight?.sling.value?.hangDeg ?? NaN)).toBeLessThan(60)
    expect(told['fen-tender']!.weight).toBeNull()
  })

  it('of patterns, each with its length or what is still to be measured', () => {
    for (const { patterns } of Object.values(told))
      for (const { value, missing } of patterns) {
        if (value) expect(value.shaftMm).toBeGreaterThan(value.pulledMm)
        else expect(missing.length).toBeGreaterThan(0)
      }
    expect(told['medlar-hatch']!.patterns.length).toBeGreaterThan(0)
  })

  it('of what stands close, what strikes first, and what the rocking engine takes', () => {
    const { groundOrder, rock, closePairs, services } = told['sedge-wagon']!
    const rooms = groundOrder.value?.map(({ roomMm }) => roomMm) ?? []
    expect(rooms.length).toBeGreaterThan(1)
    expect(rooms).toEqual([...rooms].sort((a, b) => a - b))
    const gaps = closePairs.map(({ gapMm }) => gapMm)
    expect(gaps).toEqual([...gaps].sort((a, b) => a - b))
    expect(rock?.value?.length).toBeGreaterThan(0)
    expect(services.length).toBeGreaterThan(0)
  })

  it('of an axle cut to width and the stations of a live axle', () => {
    const [cut] = told['comfrey-buggy']!.axleCuts
    expect(cut?.sides.map(({ side }) => side)).toEqual(['left', 'right'])
    expect(cut?.sides[0]?.needMm.value).toBeGreaterThan(100)
    const [axle] = told['burdock-cart']!.liveAxles
    const lefts = axle?.stations.map(({ leftMm }) => leftMm) ?? []
    expect(Math.max(...lefts) - Math.min(...lefts)).toBeLessThanOrEqual((axle?.lengthMm.value ?? NaN) + 1e-9)
  })
})
