import { hubFile, hubBuild } from '../testdata/hubBuild'
import travel from '../testdata/travel.json'
import { evaluateBuild } from './evaluateBuild'

const cases = (travel.cases as any[]).filter(({ input }) => input.task === 'halfshaft')

describe('a halfshaft as the file of a build', () => {
  it.each(cases.map((one) => [one.id, one] as const))('%s', (_id, { input, expect: want }) => {
    const { halfshafts, checks } = evaluateBuild(hubBuild(hubFile(input)), {})
    const [found] = halfshafts
    if (!found) throw new Error('no halfshaft')
    expect(found.rideMm).toBeCloseTo(want.ride_length_mm, 4)
    for (const [got, wanted] of [
      [found.longest, want.worst.length_max_mm],
      [found.shortest, want.worst.length_min_mm],
    ] as const) {
      expect(Math.abs(got.lengthMm - wanted.value)).toBeLessThan(0.002)
      expect(Math.abs(got.upMm - wanted.at)).toBeLessThan(0.5)
      expect(got.rackMm).toBeCloseTo(wanted.rack, 9)
    }
    expect(Math.abs(found.lengths.middleMm - want.mid_best_mm)).toBeLessThan(0.002)
    expect(Math.abs(found.lengths.strokeMm - want.stroke_needed_mm)).toBeLessThan(0.004)
    expect(found.lengths.window).toEqual(
      want.window_mm && want.window_mm.map((one: number) => expect.closeTo(one, 2)),
    )
    expect(found.lengths.fromRide.isClear).toBe(want.mid_at_ride.ok)
    // Its joint angles are judged over the whole travel too, at the place where they are steepest.
    const steepest = checks.find(({ id }) => id === 'half/angle/2')!
    expect(steepest.value).toBeCloseTo(want.worst.outer_angle_deg.value, 4)
    const left = checks.find(({ quantity }) => quantity === 'plunge-left')!
    const { mid_length: middle } = input.side
    const reach = Math.max(want.worst.length_max_mm.value - middle, middle - want.worst.length_min_mm.value)
    expect(left.value).toBeCloseTo(input.plunge_mm - reach, 4)
  })
})
