import halfshafts from '../../testdata/halfshaft.json'
import travel from '../../testdata/travel.json'
import { norm, sub } from '../../base/linalg/vec3'
import { halfshaft, type HalfshaftSide } from './halfshaft'
import { pattern } from './pattern'
import { halfshaftExtremes, plungeWindow } from './plungeWindow'

function sideOf(raw: any): HalfshaftSide {
  const { type, lower, upper, tie, strut, hinge } = raw
  const suspension =
    type === 'double_wishbone'
      ? ({ kind: 'double-wishbone', lower, upper, tie } as const)
      : type === 'strut'
        ? ({ kind: 'strut', lower, top: strut.top, onStrut: strut.axis_point, tie } as const)
        : ({ kind: 'arm', pivots: [hinge.a, hinge.b] } as const)
  return {
    suspension,
    wheel: raw.wheel_centre,
    inner: raw.inner_cv,
    outer: raw.outer_cv,
    innerAxis: raw.inner_axis,
    outerAxis: raw.outer_axis,
  }
}

describe('halfshafts against independent cases', () => {
  it.each((halfshafts.cases as any[]).map((one) => [one.id, one] as const))(
    '%s',
    (_id, { input, expected }) => {
      for (const name of ['left', 'right']) {
        const raw = input.sides[name]
        const side = sideOf(raw)
        const shaft = halfshaft(side)
        const rest = norm(sub(side.outer, side.inner))
        for (const want of expected[name]) {
          const found = shaft.at(want.travel, raw.rack ?? 0)
          expect(found !== null).toBe(want.converged)
          if (!found) continue
          const got: Record<string, unknown> = {
            outer_cv: found.outer,
            length_mm: found.lengthMm,
            plunge_mm: found.lengthMm - raw.mid_length,
            length_change_mm: found.lengthMm - rest,
            inner_angle_deg: found.innerAngleDeg,
            outer_angle_deg: found.outerAngleDeg,
            toe_deg: found.toeDeg,
            camber_change_deg: found.camberDeg,
          }
          for (const [key, value] of Object.entries(got))
            expect([name, want.travel, key, value]).toEqual([
              name,
              want.travel,
              key,
              Array.isArray(want[key])
                ? want[key].map((one: number) => expect.closeTo(one, 5))
                : expect.closeTo(want[key], 5),
            ])
        }
      }
    },
  )
})

describe('the length of a halfshaft against independent cases', () => {
  const cases = (task: string) =>
    (travel.cases as any[]).filter(({ input }) => input.task === task).map((one) => [one.id, one] as const)

  it.each(cases('halfshaft'))('%s', (_id, { input, expect: want }) => {
    const reach = { bumpMm: input.bump, droopMm: input.droop, rackMm: input.rack_mm ?? 0 }
    const extremes = halfshaftExtremes(halfshaft(sideOf(input.side)), reach)
    const pairs = [
      [extremes.longest, want.worst.length_max_mm],
      [extremes.shortest, want.worst.length_min_mm],
      [extremes.innerAngle, want.worst.inner_angle_deg],
      [extremes.outerAngle, want.worst.outer_angle_deg],
    ] as const
    for (const [got, wanted] of pairs) {
      expect(got.value).toBeCloseTo(wanted.value, 5)
      expect(Math.abs(got.atMm - wanted.at)).toBeLessThan(0.1)
    }
    const found = plungeWindow(extremes, { plungeMm: input.plunge_mm, spareMm: input.spare_mm })
    expect(extremes.rideMm).toBeCloseTo(want.ride_length_mm, 5)
    expect(found.middleMm).toBeCloseTo(want.mid_best_mm, 5)
    expect(found.strokeMm).toBeCloseTo(want.stroke_needed_mm, 5)
    expect(found.atRideMm).toBeCloseTo(want.plunge_at_ride_mm, 5)
    expect(found.window).toEqual(
      want.window_mm && want.window_mm.map((one: number) => expect.closeTo(one, 5)),
    )
    expect(found.fromRide).toMatchObject({
      outMm: expect.closeTo(want.mid_at_ride.out_mm, 5),
      inMm: expect.closeTo(want.mid_at_ride.in_mm, 5),
      isClear: want.mid_at_ride.ok,
    })
  })

  it.each(cases('pattern'))('%s', (_id, { input, expect: want }) => {
    const work = () =>
      pattern({
        outerPieceMm: input.piece_a_mm,
        innerPieceMm: input.piece_b_mm,
        overlapBottomedMm: input.overlap_bottomed_mm,
        overlapPulledMm: input.overlap_pulled_mm,
        offsetMm: input.offset_mm,
        clampMm: input.clamp_mm,
      })
    if (want.error) {
      expect(work).toThrow('the marks are swapped')
      return
    }
    expect(work()).toEqual({
      bottomedMm: want.length_bottomed_mm,
      pulledMm: want.length_pulled_mm,
      middleMm: want.mid_mm,
      strokeMm: want.stroke_mm,
      shaftMm: want.shaft_mm,
      overlapMm: want.overlap_set_mm,
      toBottomMm: want.to_bottom_mm,
      toPulledMm: want.to_pull_out_mm,
      canClamp: want.clamp_ok,
      cutOffMm: want.cut_off_mm,
    })
  })

  it('refuses a travel that is not reached, or below nought, and pieces that do not meet', () => {
    const [, { input }] = cases('halfshaft')[0]!
    const shaft = halfshaft(sideOf(input.side))
    expect(() => halfshaftExtremes(shaft, { bumpMm: 900, droopMm: 10 })).toThrow('does not reach')
    expect(() => halfshaftExtremes(shaft, { bumpMm: -1, droopMm: 10 })).toThrow('from 0 up')
    const read = { outerPieceMm: 100, innerPieceMm: 90, overlapBottomedMm: 0, overlapPulledMm: 40 }
    expect(() => pattern({ ...read, overlapBottomedMm: -0.5 })).toThrow('do not meet')
    // Pieces that just meet are a pattern; an offset may go as far as a stop and no further.
    expect(pattern(read)).toMatchObject({ bottomedMm: 190, pulledMm: 150, shaftMm: 170 })
    expect(pattern({ ...read, offsetMm: 20 })).toMatchObject({ shaftMm: 190, toBottomMm: 0 })
    for (const offsetMm of [20.1, -20.1])
      expect(() => pattern({ ...read, offsetMm })).toThrow('offset: the offset puts the joint past its stop')
    expect(() => pattern({ ...read, overlapBottomedMm: 50, overlapPulledMm: 95 })).toThrow(
      'longer than a piece',
    )
  })

  it('stands off mid plunge at ride height as far as is wished', () => {
    const extreme = (value: number) => ({ value, atMm: 0, rackMm: 0 })
    const range = { rideMm: 500, longest: extreme(508), shortest: extreme(496) }
    expect(plungeWindow(range, { plungeMm: 20 }, 4).fromRide).toEqual({
      lengthMm: 496,
      outMm: 12,
      inMm: 0,
      isClear: true,
    })
    expect(plungeWindow(range, { plungeMm: 9 }).window).toEqual([502, 502])
    expect(plungeWindow(range, { plungeMm: 8.9 }).window).toBeNull()
  })
})
