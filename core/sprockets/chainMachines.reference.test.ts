import faces from '../testdata/sprocket-alignment.json'
import axles from '../testdata/cut-axle.json'
import { alignment, shimFor, type FaceRead } from './alignment'
import { cutSide, neededLength, type AxleJoin, type AxleSide } from './cutAxle'

const casesOf = (file: any) => (file.cases as any[]).map((one) => [one.id, one] as const)
const near = (value: any, digits = 5): any =>
  Array.isArray(value)
    ? value.map((one) => near(one, digits))
    : typeof value === 'number'
      ? expect.closeTo(value, digits)
      : value

describe('the line of two sprockets against independent cases', () => {
  const faceOf = ({ points, centre, tooth_centre_mm: toothMm }: any): FaceRead => ({
    points: points.map(({ x_mm: x, z_mm: z, reading_mm: readingMm }: any) => ({ x, z, readingMm })),
    centre,
    ...(toothMm !== undefined && { toothMm }),
  })

  it.each(casesOf(faces))('%s', (_id, { input, expect: want }) => {
    const read = () => alignment(faceOf(input.a), faceOf(input.b), input.laser_side)
    if (want.error) {
      expect(read).toThrow(/coincide|below nought/)
      return
    }
    const found = read()
    for (const [plane, named] of [
      [found.first, want.a],
      [found.second, want.b],
    ] as const)
      expect([
        plane.leftMm,
        plane.slopeX,
        plane.slopeZ,
        plane.yawDeg,
        plane.tiltDeg,
        plane.residualMm,
      ]).toEqual(
        near(
          [
            named.y_centre_mm,
            named.slope_x,
            named.slope_z,
            named.yaw_deg,
            named.tilt_deg,
            named.rms_residual_mm,
          ],
          6,
        ),
      )
    expect([
      found.offsetMm,
      found.spacerMm + 0,
      found.fromPlaneMm,
      found.yawDeg,
      found.tiltDeg,
      found.angleDeg,
    ]).toEqual(
      near([
        want.offset_laser_mm,
        want.spacer_mm,
        want.offset_from_a_plane_mm,
        want.yaw_between_deg,
        want.tilt_between_deg,
        want.angle_between_deg,
      ]),
    )
    expect([found.turn, found.lean]).toEqual([want.turn_b_seen_from_above, want.lean_b_top])
    if (want.shim_mm) {
      expect(shimFor(input.base_mm.fore_aft, found.yawDeg!)).toBeCloseTo(want.shim_mm.fore_aft, 5)
      if (found.tiltDeg !== null)
        expect(shimFor(input.base_mm.up_down, found.tiltDeg)).toBeCloseTo(want.shim_mm.up_down, 5)
    }
  })
})

describe('cutting an axle against independent cases', () => {
  const joinOf = ({
    kind,
    gap_mm: gapMm,
    sleeve_mm: sleeveMm,
    overlap_mm: overlapMm,
    at_mm: at,
  }: any): AxleJoin => ({
    ...(kind === 'butt' ? { kind, gapMm, sleeveMm } : { kind, overlapMm }),
    ...(at != null && { atMm: at }),
  })
  const sideOf = ({ inner, outer, join, spline, min_bite_mm: leastBiteMm }: any): AxleSide => ({
    inner: { lengthMm: inner.length_mm, plain: inner.plain },
    outer: { lengthMm: outer.length_mm, plain: outer.plain },
    join: joinOf(join),
    spline: { shaft: spline.shaft, gear: spline.gear, leastMm: spline.min_mm },
    leastBiteMm,
  })

  it.each(casesOf(axles))('%s', (_id, { input, expect: want }) => {
    const cut = (name: 'left' | 'right') => {
      const raw = input[name]
      const endPlayMm = input.end_play_mm ?? 0
      const needMm =
        raw.need_mm ??
        neededLength(name, {
          widthMm: input.width_mm,
          offsetLeftMm: input.diff_offset_mm,
          hubMm: raw.hub_mm,
          stopMm: raw.stop_mm,
          endPlayMm,
        })
      return cutSide(sideOf(raw), needMm, endPlayMm)
    }
    const sides = (['left', 'right'] as const).filter((name) => input[name])
    if (want.error) {
      expect(() => sides.map(cut)).toThrow(/no place|must lie|plain stretch/)
      return
    }
    for (const name of sides) {
      const [found, named] = [cut(name), want[name]]
      expect([
        found.needMm,
        found.keep,
        found.cut,
        found.bite,
        found.atMm,
        found.range,
        found.engagedMm,
        found.holds,
      ]).toEqual(
        near([
          named.need_mm,
          [named.keep_inner_mm, named.keep_outer_mm],
          [named.cut_inner_mm, named.cut_outer_mm],
          named.bite_mm,
          named.at_mm,
          named.at_range_mm,
          named.spline.engagement_mm,
          named.ok,
        ]),
      )
      expect(found.engagedMm >= input[name].spline.min_mm).toBe(named.spline.ok)
    }
    if (want.difference_mm !== undefined)
      expect(cut('left').needMm - cut('right').needMm).toEqual(near(want.difference_mm))
  })
})
