import { plungePicture } from './plungePicture'

const DRAWN = { reachMm: 20, spareMm: 3, lengthMm: 500, longestMm: 506, shortestMm: 492, rideMm: 504 }

describe('the bar of a plunge', () => {
  it('has the middle of the joint in its middle, and its stops as far from there', () => {
    const { middle, stops, clear, used, ride, ticks } = plungePicture(DRAWN, 424)
    const mm = 424 / (2 * 20 * 1.06)
    expect(middle).toBe(212)
    expect(stops).toEqual([expect.closeTo(212 - 20 * mm, 9), expect.closeTo(212 + 20 * mm, 9)])
    expect(clear[1] - clear[0]).toBeCloseTo(34 * mm, 9)
    expect(used).toEqual([expect.closeTo(212 - 8 * mm, 9), expect.closeTo(212 + 6 * mm, 9)])
    expect(ride).toBeCloseTo(212 + 4 * mm, 9)
    expect(ticks).toHaveLength(5)
  })

  it('is wide enough for a travel beyond the stops, and for a joint of which nothing is told', () => {
    const far = plungePicture({ ...DRAWN, longestMm: 540 }, 400)
    expect(far.used[1]).toBeLessThanOrEqual(400)
    expect(far.stops[1]).toBeLessThan(far.used[1])
    const untold = plungePicture({ ...DRAWN, reachMm: null }, 400)
    expect(untold.used[0]).toBeGreaterThanOrEqual(0)
    expect(untold.used[1]).toBeLessThanOrEqual(400)
  })
})
