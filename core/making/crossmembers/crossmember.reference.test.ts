import { radians } from '../../base/units/angle'
import cases from '../../testdata/crossmember.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { fillStack } from './fillStack'
import { cornerOf, memberBlank, stockHeight, type LevelPart, type MemberStock } from './member'

describe('a crossmember between two rails against independent cases', () => {
  const level = ({ side = 'under', z: faceZ }: any, leftY: number, rightY: number): LevelPart => ({
    leftY,
    rightY,
    faceZ,
    side,
  })
  const stockOf = (stock: any): MemberStock => {
    if (stock.kind === 'tube') return { kind: 'tube', outerMm: stock.od_mm, midlineRadiusMm: stock.clr_mm }
    // The cases fold on the outside of the face left whole.
    if (stock.kind === 'vcut') return { kind: 'notched', heightMm: stock.height_mm, hingeMm: 0 }
    const { t_mm: thicknessMm, inside_radius_mm: insideRadiusMm, k_factor: kFactor } = stock
    return { kind: 'flat', thicknessMm, insideRadiusMm, kFactor }
  }
  const work = (input: any) => {
    const { left, pad, right } = input
    const stock = stockOf(input.stock)
    const [early, metal] = cornerOf(stock)
    const blank = memberBlank(
      {
        left: level(left, left.outer_y, left.bend_y),
        pad: level(pad, pad.left_y, pad.right_y),
        right: level(right, right.bend_y, right.outer_y),
      },
      stock,
    )
    const isNotched = stock.kind === 'notched'
    const bends = blank.corners.map(({ turnDeg, atMm }) => {
      const turn = Math.abs(radians(turnDeg))
      const [setback, arc] = [early * Math.tan(turn / 2), metal * turn]
      return isNotched
        ? { turn_deg: turnDeg }
        : {
            turn_deg: turnDeg,
            setback_mm: setback,
            allowance_mm: arc,
            at_mm: [atMm - arc / 2, atMm, atMm + arc / 2],
          }
    })
    const notches = blank.corners.map(({ turnDeg, atMm }, i) => ({
      x_mm: atMm,
      // What turns down closes a notch cut from below.
      hinge: turnDeg < 0 ? 'top' : 'bottom',
      half_width_mm: stockHeight(stock) * Math.tan(Math.abs(radians(turnDeg)) / 2),
      included_deg: Math.abs(blank.corners[i]!.turnDeg),
    }))
    const { bolt_head_mm: head = 0, mount_bottom_z: mount, ground_z: ground } = input
    const stack = fillStack(
      mount - (blank.midlineZ[1] + stockHeight(stock) / 2),
      input.spacers.map((one: any) => ({ thickness: one.t_mm, count: one.count })),
    )
    return {
      centreline_z: blank.midlineZ,
      bends,
      developed_mm: blank.blankMm,
      ...(isNotched && { notches }),
      spacer_gap_mm: stack.gapMm,
      spacers: { sum_mm: stack.sumMm, pieces: stack.pieces, error_mm: stack.sumMm - stack.gapMm },
      lowest_z: blank.lowestZ - head,
      clearance_mm: blank.lowestZ - head - ground,
    }
  }
  // Legs and straight parts lie between what is told.
  const told = (want: any) =>
    Object.fromEntries(
      Object.entries(want).filter(([key]) => !['segments_mm', 'slope_deg', 'straights_mm'].includes(key)),
    )
  it.each(casesOf(cases))('%s', (_id, one) => expectCase(cases, { ...one, expect: told(one.expect) }, work))
})
