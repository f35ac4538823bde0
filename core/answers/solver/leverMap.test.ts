import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { evaluateBuild } from '../../model/evaluateBuild'
import { parseBuildText } from '../../file/open/parseBuild'
import { demoBuild } from '../../testdata/builds'
import { changedBay } from '../../testdata/bay'
import { holdingOutline, leverMap, MAP_STATES, nearestStep } from './leverMap'

const build = demoBuild()

describe('the map of two levers', () => {
  const map = leverMap(build, {}, 'tail', 'wedge', 12)!

  it('says of every cell what evaluating the build there says', () => {
    for (let k = 0; k < 12; k++)
      for (let i = 0; i < 12; i++) {
        const { checks } = evaluateBuild(build, { tail: map.x[i]!, wedge: map.y[k]! })
        const verdicts = checks.map(({ verdict }) => verdict)
        const expected = verdicts.includes('out') ? 'out' : verdicts.includes('tight') ? 'tight' : 'holds'
        expect(MAP_STATES[map.states[k * 12 + i]!]).toBe(expected)
        const worst = checks.find(({ id }) => id === map.checks[map.worst[k * 12 + i]!])!
        // The check that is named is among the gravest there.
        expect(worst.verdict).toBe(expected)
      }
  })

  it('goes from end to end of both ranges', () => {
    expect([map.x[0], map.x[11], map.y[0], map.y[11]]).toEqual([-40, 60, -6, 6])
  })

  it('is outlined where everything holds: a closed line, each of its corners met twice or four times', () => {
    const fine = leverMap(build, {}, 'tail', 'wedge', 40)!
    const edges = holdingOutline(fine)
    expect(edges.length).toBeGreaterThan(0)
    const met = new Map<string, number>()
    for (const [x1, y1, x2, y2] of edges)
      for (const corner of [`${x1},${y1}`, `${x2},${y2}`]) met.set(corner, (met.get(corner) ?? 0) + 1)
    expect([...met.values()].every((count) => count % 2 === 0)).toBe(true)
  })

  it('holds all other levers where they stand, gaps among what is looked at', () => {
    const bay = changedBay(() => undefined)
    const there = leverMap(bay, { sideways: 8 }, 'fronts', 'tail', 8)!
    const { checks } = evaluateBuild(bay, { sideways: 8, fronts: there.x[3]!, tail: there.y[5]! })
    const isOut = checks.some(({ verdict }) => verdict === 'out')
    expect(MAP_STATES[there.states[5 * 8 + 3]!] === 'out').toBe(isOut)
  })

  it('marks where a bearing’s own limit is passed', () => {
    const text = readFileSync(join(__dirname, '../../../demo/osier-van.lurvan.json'), 'utf8')
    const parsed = parseBuildText(text.replace('"limitN": 450', '"limitN": 60'))
    if (!parsed.ok) throw new Error('damaged')
    const van = parsed.value
    const up = van.levers.find(({ kind, body }) => kind === 'up' && body.includes('bearing'))!
    const there = leverMap(van, {}, up.id, 'tail', 9)!
    const named = new Set([...there.worst].map((index) => there.checks[index]))
    expect([...named].some((id) => id?.includes('bearing-force'))).toBe(true)
  })

  it('is none for a lever that is not there, or twice the same', () => {
    expect(leverMap(build, {}, 'tail', 'nothing')).toBeNull()
    expect(leverMap(build, {}, 'tail', 'tail')).toBeNull()
  })

  it('takes the nearest step of a lever from where it stands', () => {
    const lever = { ...build.levers.find(({ id }) => id === 'wedge')! }
    expect(nearestStep(lever, 0.2, 1.4)).toBeCloseTo(1.2, 9)
    expect(nearestStep(lever, 0, 99)).toBe(6)
  })
})
