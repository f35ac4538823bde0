import { CoreError } from '../../base/errors'
import runout from '../../testdata/runout.json'
import stackup from '../../testdata/stackup.json'
import { bestDowel, boreRunOut, faceRunOut, fitDial } from './runOut'
import { stackUp, type StackSize } from './stackUp'

type Case = any
const near = (figure: number, wanted: number, abs: number, rel: number) =>
  expect(Math.abs(figure - wanted)).toBeLessThanOrEqual(abs + rel * Math.abs(wanted))

const sizesOf = ({ items }: Case): StackSize[] =>
  items.map((item: Case) => ({
    sign: item.sign,
    nominalMm: item.nominal_mm,
    plusMm: item.plus_mm,
    minusMm: item.minus_mm,
    spread: item.dist ?? 'normal',
  }))
const windowOf = ({ limits }: Case) => ({ minMm: limits?.min_mm ?? null, maxMm: limits?.max_mm ?? null })

describe('stacks of sizes of the reference', () => {
  const cases = stackup.cases as Case[]
  it.each(cases.filter(({ expect: wanted }) => !wanted.error).map((one) => [one.id, one]))(
    '%s',
    (_, { input, expect: wanted }) => {
      const result = stackUp(sizesOf(input), windowOf(input))
      near(result.nominal, wanted.nominal, 1e-9, 1e-9)
      near(result.mid, wanted.mid, 1e-9, 1e-9)
      near(result.worst[0], wanted.worst_min, 1e-9, 1e-9)
      near(result.worst[1], wanted.worst_max, 1e-9, 1e-9)
      near(result.rss[0], wanted.rss_min, 1e-9, 1e-9)
      near(result.rss[1], wanted.rss_max, 1e-9, 1e-9)
      near(result.sd, wanted.sd, 1e-9, 1e-9)
      wanted.share.forEach((share: number, k: number) => near(result.shares[k] ?? NaN, share, 1e-9, 1e-9))
      near(result.quantiles[0], wanted.q00135, 1e-4, 1e-3)
      near(result.quantiles[1], wanted.q50, 1e-4, 1e-3)
      near(result.quantiles[2], wanted.q99865, 1e-4, 1e-3)
      // A chain without tolerances may meet its limit exactly; then the reference counts it as kept.
      near(result.below, wanted.p_below, 1e-4, 1e-3)
      near(result.above, wanted.p_above, 1e-4, 1e-3)
    },
  )

  it.each(cases.filter(({ expect: wanted }) => wanted.error).map((one) => [one.id, one]))(
    '%s is refused',
    (_, { input }) => {
      expect(() => stackUp(sizesOf(input), windowOf(input))).toThrow(CoreError)
    },
  )
})

describe('dial readings of the reference', () => {
  const cases = runout.cases as Case[]
  const dial = ({ readings }: Case) =>
    (readings ?? []).map(({ clock_deg, mm }: Case) => ({ clockDeg: clock_deg, mm }))
  const close = (figure: number | null, wanted: number | null) =>
    wanted === null ? expect(figure).toBeNull() : near(figure ?? NaN, wanted, 1e-6, 1e-7)
  const fits = ({ fit }: { fit: Case }, wanted: Case) => {
    close(2 * fit.amplitude, wanted.tir_fit_mm)
    close(fit.totalRaw, wanted.tir_raw_mm)
    close(fit.rmsResidual, wanted.rms_residual_mm)
    close(fit.maxResidual, wanted.max_residual_mm)
    close(fit.secondHarmonic, wanted.second_harmonic_mm)
    close(fit.closure, wanted.four_point_closure_mm)
  }

  it.each(cases.filter(({ expect: wanted }) => wanted.bore).map((one) => [one.id, one]))(
    'bore, %s',
    (_, { input, expect: { bore: wanted } }) => {
      const bore = boreRunOut(dial(input.bore), input.plunger_in_positive ?? true)
      fits(bore, wanted)
      close(bore.offsetMm, wanted.eccentricity_mm)
      close(bore.centre.leftMm, wanted.bore_centre.y_mm)
      close(bore.centre.upMm, wanted.bore_centre.z_mm)
      close(bore.centre.clockDeg, wanted.bore_centre.clock_deg)
      if (!wanted.dowel) return
      const dowel = bestDowel(bore, input.dowels_mm)
      close(dowel.sizeMm, wanted.dowel.size_mm)
      close(dowel.leftMm, wanted.dowel.left_mm)
      if (wanted.dowel.size_mm > 0) close(dowel.moveClockDeg, wanted.dowel.move_clock_deg)
    },
  )

  it.each(cases.filter(({ expect: wanted }) => wanted.face).map((one) => [one.id, one]))(
    'face, %s',
    (_, { input, expect: { face: wanted } }) => {
      const face = faceRunOut(dial(input.face), input.face.radius_mm, input.plunger_in_positive ?? true)
      fits(face, wanted)
      close(face.tiltDeg, wanted.tilt_deg)
      close(face.highClockDeg, wanted.high_clock_deg)
      close(face.shimClockDeg, wanted.shim_clock_deg)
      close(face.fallDeg, wanted.axis_fall_deg)
      close(face.planDeg, wanted.axis_plan_deg)
    },
  )

  it.each(cases.filter(({ expect: wanted }) => wanted.error).map((one) => [one.id, one]))(
    '%s is refused',
    (_, { input }) => {
      expect(() => boreRunOut(dial(input.bore ?? {}))).toThrow(CoreError)
    },
  )
})

describe('what cannot be told', () => {
  const at = (places: readonly number[], mm: (deg: number) => number) =>
    places.map((clockDeg) => ({ clockDeg, mm: mm(clockDeg) }))
  const sine = (deg: number) => 0.1 * Math.cos((deg * Math.PI) / 180)

  it('is a run-out of readings that stand together: their noise would be taken for it', () => {
    // A hundredth of noise within 20° would come out as more than a millimetre.
    expect(() => fitDial(at([0, 10, 20], (deg) => (deg === 10 ? 0.01 : 0)))).toThrow(
      'three places well round the clock are needed',
    )
    expect(() => fitDial(at([0, 30, 60], sine))).toThrow('well round the clock')
    expect(fitDial(at([0, 45, 90], sine)).amplitude).toBeCloseTo(0.1, 9)
  })

  it('is the direction of what runs true', () => {
    const still = at([0, 90, 180, 270], () => 0.25)
    expect(boreRunOut(still).centre).toMatchObject({ clockDeg: null })
    expect(faceRunOut(still, 60)).toMatchObject({ highClockDeg: null, shimClockDeg: null })
    expect(bestDowel(boreRunOut(still), [0.18])).toMatchObject({ sizeMm: 0, moveClockDeg: null })
  })

  it('is a chain with a tolerance larger than its part', () => {
    const size = { sign: 1, nominalMm: 0.5, plusMm: 0.1, minusMm: 0.6, spread: 'normal' } as const
    expect(() => stackUp([size])).toThrow('part 1: a tolerance must not be larger than its part')
    expect(stackUp([{ ...size, nominalMm: 0 }]).worst).toEqual([-0.6, 0.1])
  })
})
