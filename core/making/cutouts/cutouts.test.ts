import fc from 'fast-check'
import type { Place2 } from '../../base/outline/polygon'
import { changedBay } from '../../testdata/bay'
import { cutoutScene } from '../../drawing/cutoutScene'
import type { CutoutEntry } from '../../file/kinds/cutoutKinds'
import { cutRows, largerText, nextCut } from '../../show/text/cutoutText'
import { cutBack } from './cutBack'
import { cutoutAnswer } from './cutoutAnswer'

const UNITS = changedBay().units
const BOX: readonly Place2[] = [
  [0, 0],
  [300, 0],
  [300, 400],
  [0, 400],
]
const FLOOR: CutoutEntry = {
  id: 'floor',
  name: 'floor',
  corners: BOX.map(([fromLeftMm, fromFrontMm]) => ({ fromLeftMm, fromFrontMm })),
  gapMm: 20,
}
type Touch = readonly [number, number, number, number?]
const touched = (...touches: readonly Touch[]): CutoutEntry => ({
  ...FLOOR,
  touches: touches.map(([fromLeftMm, fromFrontMm, overlapMm, leftMm], k) => ({
    ...{ id: `t${k}`, at: { fromLeftMm, fromFrontMm }, overlapMm },
    ...(leftMm !== undefined && { leftMm }),
  })),
})
const found = (entry: CutoutEntry) => {
  const answer = cutoutAnswer(entry)
  if (!answer.known) throw new Error(answer.missing[0]!.what)
  return answer.value
}

describe('an opening that is cut to shape', () => {
  it('is cut back on the side that is touched, by the overlap and its gap, as one line between the edges beside it', () => {
    const { cuts, corners } = found(touched([290, 150, 8]))
    expect(cuts[0]).toMatchObject({ side: 1, depthMm: 28, outward: [1, expect.closeTo(0, 12)] })
    expect(cuts[0]!.marks.map(({ beyondMm }) => beyondMm)).toEqual([28, 28])
    expect(corners).toEqual([
      [0, 0],
      [328, 0],
      [328, 400],
      [0, 400],
    ])
    expect(nextCut(cuts[0]!, UNITS)).toEqual({
      name: 'Cut the right side back by',
      figure: '28.0 mm',
      marks: [
        '328.0 mm from the left edge, 0.0 mm from the front: 28.0 mm beyond the corner',
        '328.0 mm from the left edge, 400.0 mm from the front: 28.0 mm beyond the corner',
      ],
    })
    expect(cutRows(found(touched([150, 2, 5], [150, 395, 5], [4, 200, 5])), UNITS)).toEqual(
      ['front side', 'rear side', 'left side'].map((side, k) => ({
        ...{ id: `t${k}`, side, overlap: '5.0 mm', depth: '25.0 mm' },
      })),
    )
  })

  it('says what a larger cut saves, by how much wider the part became between two touches on a side', () => {
    // 20 of gap and 5 that were found, over 50 mm: half a millimetre a millimetre; 100 to go want 50.
    const answer = found(touched([290, 150, 8, 150], [325, 150, 5, 100]))
    expect(answer.larger.known && answer.larger.value).toEqual({ depthMm: 75, lowerings: 3, saves: 2 })
    expect(largerText(answer, UNITS)).toContain('Cut back by 75.0 mm at once')
    expect(largerText(found(touched([290, 150, 8, 60], [325, 150, 5, 10])), UNITS)).toContain(
      'after the next lowering',
    )
    const lacks = (...of: readonly Touch[]) => {
      const { larger } = found(touched(...of))
      return larger.known ? '' : larger.missing[0]!.what
    }
    expect(lacks()).toBe('a second touch on the same side')
    expect(lacks([290, 150, 8, 150], [5, 150, 5, 100])).toBe('a second touch on the same side')
    expect(lacks([290, 150, 8, 150], [325, 150, 5])).toContain('still had to come down')
    expect(lacks([290, 150, 8, 100], [325, 150, 5, 100])).toBe('a touch after it came down further')
    const bare = { ...touched([290, 150, 8, 150], [305, 150, 5, 100]), gapMm: undefined }
    expect(found(bare).larger.known).toBe(false)
  })

  it('moves one side and leaves all others on their lines, whichever way round its corners run', () => {
    const mm = fc.double({ min: -80, max: 80, noNaN: true })
    fc.assert(
      fc.property(
        fc.array(fc.tuple(mm, mm), { minLength: 4, maxLength: 4 }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.boolean(),
        fc.nat(3),
        (jitter, depth, isTurned, side) => {
          const even = BOX.map(([x, y], k): Place2 => [x + jitter[k]![0], y + jitter[k]![1]])
          const corners = isTurned ? even.toReversed() : even
          const [from, to] = [corners[side]!, corners[(side + 1) % 4]!]
          const middle: Place2 = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
          const cut = cutBack(corners, middle, depth)
          expect(cut.side).toBe(side)
          const [one, other] = cut.marks
          for (const { at } of [one, other]) {
            const out = (at[0] - middle[0]) * cut.outward[0] + (at[1] - middle[1]) * cut.outward[1]
            expect(out).toBeCloseTo(depth, 6)
          }
          expect(cut.corners.filter((corner, k) => corner !== corners[k])).toHaveLength(2)
          // It never grows inward.
          const inside = corners.reduce(
            (sum, [x, y]) => sum + (x - middle[0]) * cut.outward[0] + (y - middle[1]) * cut.outward[1],
            0,
          )
          expect(inside).toBeLessThan(0)
        },
      ),
      { seed: 11, numRuns: 200 },
    )
  })

  it('is refused where no line can be taped', () => {
    const flat = cutoutAnswer({
      ...touched([5, 0, 4]),
      corners: FLOOR.corners.map((one) => ({ ...one, fromFrontMm: 0 })),
    })
    expect(!flat.known && flat.missing[0]!.what).toMatch(/cross|no area/)
    expect(() => cutBack(BOX, [0, 0], -1)).toThrow('must not be below nought')
    const stepped: readonly Place2[] = [
      [0, 0],
      [100, 0],
      [200, 0],
      [200, 100],
      [0, 100],
    ]
    expect(() => cutBack(stepped, [50, 0], 10)).toThrow('runs along')
  })

  it('is drawn, and a tap on the drawing is a place on the sheet', () => {
    const answer = found(touched([290, 150, 8]))
    const scene = cutoutScene(BOX, answer, 600)
    const [first] = scene.touches
    expect(scene.placeAt(first!.at)).toEqual([expect.closeTo(290, 9), expect.closeTo(150, 9)])
    expect(scene.at([290, 150])).toEqual(first!.at)
    expect([scene.before.length, scene.line![0][0] - scene.before[1]![0]]).toEqual([4, expect.any(Number)])
    expect(scene.line![0][0]).toBeGreaterThan(scene.before[1]![0])
  })
})
