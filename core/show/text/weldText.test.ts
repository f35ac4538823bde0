import bay from '../../../demo/sedge-wagon.lurvan.json'
import fc from 'fast-check'
import { tackScene } from '../../drawing/tackScene'
import { parseBuild } from '../../file/open/parseBuild'
import type { WeldEntry, WeldReading } from '../../file/kinds/weldKinds'
import { seamShrink, warmLongerMm } from '../../making/welds/shrink'
import { tackPlan } from '../../making/welds/tacks'
import { changedBay } from '../../testdata/bay'
import { HIDDEN, weldRows, weldSentence, weldSteps } from './weldText'

const { units } = changedBay()
const weld = (changed: Partial<WeldEntry> = {}, readings: Partial<WeldReading>[] = []): WeldEntry => ({
  ...{ id: 'w', name: 'weld', seam: 'fillet-across', lengthMm: 220, thicknessMm: 3, runs: 2 },
  readings: readings.map((one, i) => ({ id: `r${i}`, name: `reading ${i}`, ...one })),
  ...changed,
})
const over = (before: number, after: number) => [{ before, after, isOverSeam: true }]

describe('tacks of a seam', () => {
  it('are its ends first, then always the middle of what is longest without one', () => {
    const plan = tackPlan(220, 3)
    expect(plan.lengthMm).toBe(10.5)
    // 209.5 between the middles of the outer ones, no more than 82.5 apart.
    expect(plan.atMm).toEqual([5.25, 214.75, expect.closeTo(144.917, 3), expect.closeTo(75.083, 3)])
    expect(tackPlan(20, 6)).toEqual({ lengthMm: 10, atMm: [5, 15] })
  })

  it('are never further apart than is told, and none is made twice', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 3000, noNaN: true }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (long, thick) => {
          const { atMm, lengthMm } = tackPlan(long, thick)
          const sorted = [...atMm].sort((a, b) => a - b)
          expect(sorted[0]).toBeCloseTo(lengthMm / 2, 9)
          expect(sorted.at(-1)).toBeCloseTo(long - lengthMm / 2, 6)
          for (let i = 1; i < sorted.length; i++) {
            expect(sorted[i]! - sorted[i - 1]!).toBeLessThanOrEqual(27.5 * thick + 1e-6)
            expect(sorted[i]! - sorted[i - 1]!).toBeGreaterThan(0)
          }
        },
      ),
    )
  })

  it('are drawn along the seam, the next one marked', () => {
    const { tacks } = tackScene(weld({ tacked: 1 }), 400)
    expect(tacks.map(({ number, isDone, isNext }) => [number, isDone, isNext])).toEqual([
      [1, true, false],
      [2, false, true],
      [3, false, false],
      [4, false, false],
    ])
    expect(tacks[2]!.x).toBeGreaterThan(tacks[3]!.x)
  })
})

describe('what a weld draws', () => {
  it('is a guide first, then the shop’s own', () => {
    expect(seamShrink(weld(), [])).toEqual({ fromMm: 1, toMm: 2, ownWelds: 0 })
    expect(seamShrink(weld({ seam: 'butt-along', lengthMm: 500 }), [])).toEqual({
      fromMm: 0.5,
      toMm: 0.5,
      ownWelds: 0,
    })
    const own = [weld({ runs: 1 }, over(100, 99.3)), weld({ runs: 2 }, over(80, 78.2))]
    // 0.7 and 0.9 a run: 0.8 ± 2 · 0.1414, of two runs.
    const found = seamShrink(weld(), own)
    expect(found.ownWelds).toBe(2)
    expect([found.fromMm, found.toMm]).toEqual([
      expect.closeTo(2 * (0.8 - 2 * Math.hypot(0.1, 0.1)), 9),
      expect.closeTo(2 * (0.8 + 2 * Math.hypot(0.1, 0.1)), 9),
    ])
    // Another kind, an angle, a reading that is not over the seam or not read again teach nothing.
    const others = [
      weld({ seam: 'butt-across' }, over(100, 97)),
      weld({}, [
        { before: 10, after: 9, isOverSeam: true, isAngle: true },
        { before: 10, after: 9 },
        { before: 5, isOverSeam: true },
      ]),
    ]
    expect(seamShrink(weld(), others).ownWelds).toBe(0)
    expect(warmLongerMm(300, 100)).toBeCloseTo(0.36, 9)
  })

  it('is told in the order of the work', () => {
    const [tacks, , , draws, cold] = weldSteps(
      weld(),
      [weld({ id: 'other', runs: 1 }, over(50, 49.4))],
      units,
    )
    expect(tacks).toMatch(/^4 tacks of 10.5 mm to each side, ends first: 5.3 mm, 214.8 mm, /)
    expect(draws).toBe('it is likely to draw 1.20 mm (by 1 of your own weld)')
    expect(cold).toContain('300.0 mm of steel that are 100 °C warmer are 0.36 mm longer')
    expect(weldSteps(weld(), [], units)[3]).toContain('1.00 to 2.00 mm (a guide until you have your own)')
  })

  it('shows the old figure only once the new one is typed, and judges the difference', () => {
    const readings = [
      { before: 648.5, most: 1 },
      { before: 700, after: 698.4, most: 1 },
      { before: 0.1, after: 0.25, most: 0.3, isAngle: true },
      { before: 5, after: 5 },
      { after: 5 },
    ]
    const tacked = weldRows(weld({}, readings), units)
    expect(tacked[0]!.before).toBe('648.5 mm')
    const rows = weldRows(weld({ hotAt: '2026-11-14T15:20:00.000Z' }, readings), units)
    expect(rows.map(({ before, change, verdict }) => [before, change, verdict])).toEqual([
      [HIDDEN, '', null],
      ['700.0 mm', '−1.6 mm', 'out'],
      ['0.10°', '+0.15°', 'holds'],
      ['5.0 mm', 'as it was', null],
      ['', '', null],
    ])
    expect(weldSentence(weld({}, readings))).toEqual({
      text: 'Drew too far: reading 1; 2 still to be read.',
      isOut: true,
    })
    expect(weldSentence(weld({}, readings.slice(2, 4)))).toEqual({
      text: 'Nothing drew further than it may.',
      isOut: false,
    })
    expect(weldSentence(weld())).toBeNull()
  })

  it('is refused with two readings of one name, or a seam of no kind', () => {
    const raw = structuredClone(bay) as any
    raw.welds[0].readings[1].id = 'over'
    raw.welds[1].seam = 'glue'
    raw.welds[1].runs = 1.5
    const parsed = parseBuild(raw)
    expect(parsed.ok ? [] : parsed.problems.map(({ path }) => path).sort()).toEqual([
      'welds[1].runs',
      'welds[1].seam',
    ])
    delete raw.welds[1]
    raw.welds.length = 1
    const again = parseBuild(raw)
    expect(again.ok ? [] : again.problems.map(({ path }) => path)).toEqual(['welds[0].readings[1].id'])
  })
})
