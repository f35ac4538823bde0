import file from '../testdata/cut-axle.json'
import type { AxleCut, AxleCutSide } from '../file/parts/axleCut'
import { axleCutAnswers, sleeveFit } from './axleCutOf'

const cases = (file.cases as any[])
  .filter(
    ({ input, expect: want }) => !want.error && input.left && input.right && input.width_mm !== undefined,
  )
  .filter(
    ({ input: { left, right } }) =>
      left.hub_mm === right.hub_mm &&
      left.stop_mm === right.stop_mm &&
      JSON.stringify({ ...left.join, at_mm: 0 }) === JSON.stringify({ ...right.join, at_mm: 0 }),
  )
  .map((one) => [one.id, one] as const)

const sideOf = ({ inner, outer, join, spline, min_bite_mm: bite }: any): AxleCutSide => ({
  innerMm: inner.length_mm,
  innerPlainFromMm: inner.plain[0],
  innerPlainToMm: inner.plain[1],
  outerMm: outer.length_mm,
  outerPlainFromMm: outer.plain[0],
  outerPlainToMm: outer.plain[1],
  shaftSplineFromMm: spline.shaft[0],
  shaftSplineToMm: spline.shaft[1],
  gearSplineFromMm: spline.gear[0],
  gearSplineToMm: spline.gear[1],
  leastSplineMm: spline.min_mm,
  leastBiteMm: bite,
  ...(join.at_mm != null && { atMm: join.at_mm }),
})
const cutOf = (input: any): AxleCut => ({
  id: 'cut',
  name: 'cut',
  school: input.left.join.kind === 'butt' ? 'sleeve' : 'lap',
  widthMm: input.width_mm,
  offsetLeftMm: input.diff_offset_mm,
  hubMm: input.left.hub_mm,
  stopMm: input.left.stop_mm,
  endPlayMm: input.end_play_mm,
  gapMm: input.left.join.gap_mm,
  sleeveMm: input.left.join.sleeve_mm,
  overlapMm: input.left.join.overlap_mm,
  left: sideOf(input.left),
  right: sideOf(input.right),
})

describe('an axle of another width as the file tells it', () => {
  it('has cases to look at', () => expect(cases.length).toBeGreaterThan(2))

  it.each(cases)('%s', (_id, { input, expect: want }) => {
    const answers = axleCutAnswers(cutOf(input))
    for (const { side, needMm, cut } of answers) {
      if (!needMm.known || !cut.known) throw new Error(JSON.stringify([needMm, cut]))
      const named = want[side]
      expect(needMm.value).toBeCloseTo(named.need_mm, 5)
      expect(cut.value.keep).toEqual([
        expect.closeTo(named.keep_inner_mm, 5),
        expect.closeTo(named.keep_outer_mm, 5),
      ])
      expect(cut.value.engagedMm).toBeCloseTo(named.spline.engagement_mm, 5)
      expect(cut.value.holds).toBe(named.ok)
    }
  })

  it('says what end play the shaft that came leaves, none where it is too long', () => {
    const wide: AxleCut = {
      id: 'cut',
      name: 'cut',
      school: 'new-shaft',
      widthMm: 1180,
      hubMm: 38,
      stopMm: 41,
    }
    const play = (cameMm: number | undefined, endPlayMm?: number) => {
      const [{ playMm }] = axleCutAnswers({ ...wide, endPlayMm, left: { cameMm } })
      return playMm.known ? playMm.value : playMm.missing.map(({ what }) => what)
    }
    // 590 − 38 − 41 = 511 from stop to seat.
    expect([play(509.5, 1.5), play(510.2, 1.5), play(511), play(511.4, 1.5)]).toEqual([1.5, 0.8, 0, -0.4])
    expect(play(undefined)).toEqual(['how long the shaft of the left side came'])
  })

  it('says what was not measured, piece by piece', () => {
    const bare: AxleCut = { id: 'cut', name: 'cut', school: 'new-shaft' }
    const [left] = axleCutAnswers(bare)
    expect(left.needMm).toEqual({
      known: false,
      missing: [
        'hub face to hub face',
        'hub face in to the shaft’s seat',
        'differential’s middle out to its stop',
      ].map((what) => ({ what, path: '' })),
    })
    const wide = { ...bare, widthMm: 1180, hubMm: 38, stopMm: 41, offsetLeftMm: 61, endPlayMm: 1.5 }
    const [one, other] = axleCutAnswers(wide)
    // A differential to the left makes the left shaft the shorter one.
    expect([one.needMm, other.needMm]).toMatchObject([
      { known: true, value: 448.5 },
      { known: true, value: 570.5 },
    ])
    const [half] = axleCutAnswers({ ...wide, school: 'sleeve', sleeveMm: 160, left: { innerMm: 520 } })
    expect(half.cut.known ? [] : half.cut.missing.map(({ what }) => what)).toContain(
      'length of the outer piece',
    )
    const [never] = axleCutAnswers({ ...wide, widthMm: 200 })
    expect(never.needMm).toEqual({
      known: false,
      missing: [{ what: 'left: no shaft is left between hub and differential', path: '' }],
    })
  })

  it('tells how a sleeve fits', () => {
    const cut: AxleCut = { id: 'cut', name: 'cut', school: 'sleeve' }
    expect(sleeveFit(cut)).toBeNull()
    expect(sleeveFit({ ...cut, shaftMm: 30, sleeveBoreMm: 30.1 })).toEqual({
      playMm: expect.closeTo(0.1, 9),
      isPressed: false,
    })
    expect(sleeveFit({ ...cut, shaftMm: 30.02, sleeveBoreMm: 30 })?.isPressed).toBe(true)
  })
})
