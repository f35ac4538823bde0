import copes from '../../testdata/cope.json'
import { casesOf, expectAgreement, expectCase } from '../../../tests/support/expectCase'
import { cope, twoFlats } from './cope'

describe('copes against independent cases', () => {
  const jointOf = (input: any) => ({
    branchOuterMm: input.branch_od_mm,
    branchWallMm: input.branch_wall_mm,
    mainOuterMm: input.main_od_mm,
    angleDeg: input.angle_deg,
    offsetMm: input.offset_mm ?? 0,
  })
  const work = (input: any): Record<string, unknown> => {
    const found = cope(jointOf(input), input.steps, input.paper_mm)
    const rows = found.rows.map((row) => ({
      phi_deg: row.phiDeg,
      s_mm: row.wrapMm,
      z_outer: row.outerMm,
      z_inner: row.innerMm,
      z_cut: row.cutMm,
    }))
    const extents =
      found.outerMm && found.cutMm
        ? {
            min_outer: found.outerMm.least,
            max_outer: found.outerMm.most,
            depth_outer_mm: found.outerMm.most - found.outerMm.least,
            depth_cut_mm: found.cutMm.most - found.cutMm.least,
          }
        : {}
    return { rows, wrap_mm: found.wrapMm, complete: found.isComplete, ...extents }
  }
  it.each(casesOf(copes))('%s', (_id, one) => {
    if (one.expect.complete !== false) return expectCase(copes, one, work)
    // Of a branch that overhangs no depth is told: beside it the cut has none.
    const { rows, wrap_mm, complete } = one.expect
    expectAgreement(copes, work(one.input), { rows, wrap_mm, complete })
  })

  it('by two flats leave little to hollow out under a thin branch', () => {
    const flats = [20, 16, 10].map((radius) => twoFlats(2 * radius, 40))
    expect(flats.map(({ angleDeg }) => angleDeg)).toEqual([45, 26.6, 15].map((one) => expect.closeTo(one, 1)))
    expect(flats.map(({ leftMm }) => leftMm / 20)).toEqual(
      [0.41, 0.12, 0.035].map((one) => expect.closeTo(one, 2)),
    )
  })
})
