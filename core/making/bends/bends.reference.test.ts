import bends from '../../testdata/bend.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { developBar, type DevelopedBar } from './developBar'
import { joggle } from './joggle'
import { pressedDeg, trialBend } from './trialBend'

describe('bent bars against independent cases', () => {
  const metalOf = (input: any) => ({
    thicknessMm: input.t_mm,
    insideRadiusMm: input.inside_radius_mm,
    kFactor: input.k_factor,
  })
  const developed = ({
    blankMm,
    straightsMm,
    midlineLegsMm,
    bends: placed,
    path,
    endDirectionDeg,
  }: DevelopedBar) => ({
    blank_mm: blankMm,
    straights_mm: straightsMm,
    midline_legs_mm: midlineLegsMm,
    bends: placed.map((bend) => ({
      allowance_mm: bend.allowanceMm,
      setback_mm: bend.setbackMm,
      deduction_mid_mm: bend.deductionMidMm,
      deduction_out_mm: bend.deductionOutMm,
      at_mm: bend.atMm,
      included_deg: bend.includedDeg,
      dir: bend.turns,
      from_other_end_mm: bend.fromOtherEndMm,
    })),
    path_mm: path,
    end_direction_deg: endDirectionDeg,
  })
  const work = (input: any): Record<string, unknown> => {
    if (input.op === 'develop')
      return developed(
        developBar({
          thicknessMm: input.t_mm,
          bends: input.bends.map((bend: any) => ({
            angleDeg: bend.angle_deg,
            ...metalOf({ ...input, ...bend }),
          })),
          legsMm: input.legs_mm,
          legsAre: input.dims,
          leastStraightMm: input.least_straight_mm,
          leastRadiusMm: input.r_min_mm,
        }),
      )
    if (input.op === 'joggle') {
      const by = input.run_mm === undefined ? { angleDeg: input.angle_deg } : { runMm: input.run_mm }
      const found = joggle({
        metal: metalOf(input),
        offsetMm: input.offset_mm,
        by,
        leastStraightMm: input.least_straight_mm,
      })
      return {
        angle_deg: found.angleDeg,
        run_mm: found.runMm,
        slope_mm: found.slopeMm,
        straight_mm: found.straightMm,
        straight_ok: found.isStraightEnough,
        extra_mm: found.extraMm,
        steepest_deg: found.steepestDeg,
      }
    }
    if (input.op === 'own_k') {
      const { thicknessMm, insideRadiusMm } = metalOf(input)
      const legsMm = [input.p_mm, input.q_mm] as const
      const found = trialBend({
        thicknessMm,
        insideRadiusMm,
        blankMm: input.blank_mm,
        legsMm,
        angleDeg: input.angle_deg,
      })
      return {
        deduction_mm: found.deductionMm,
        k_factor: found.kFactor,
        k_per_mm: found.kPerMm,
        plausible: found.isPlausible,
      }
    }
    const springs = input.ratio === undefined ? { backDeg: input.springback_deg } : { ratio: input.ratio }
    const pressed = pressedDeg(input.wanted_deg, springs)
    return { press_deg: pressed, press_included_deg: 180 - pressed }
  }
  it.each(casesOf(bends))('%s', (_id, one) => expectCase(bends, one, work))
})
