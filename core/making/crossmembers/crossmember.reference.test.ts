import cases from '../../testdata/crossmember.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { fillStack } from './fillStack'
import { memberBlank, memberLine, stockHeight, type LevelPart, type MemberStock } from './member'

describe('a crossmember between two rails against independent cases', () => {
  const level = ({ side = 'under', ...part }: any, leftY: number, rightY: number): LevelPart => ({
    leftY,
    rightY,
    faceZ: part.z,
    side,
  })
  // The cases fold on the outside of the face left whole, where a wall has no say.
  const stockOf = (stock: any): MemberStock => {
    if (stock.kind === 'tube') return { kind: 'tube', outerMm: stock.od_mm, midlineRadiusMm: stock.clr_mm }
    if (stock.kind === 'vcut') return { kind: 'notched', heightMm: stock.height_mm, wallMm: 1 }
    const { t_mm: thicknessMm, inside_radius_mm: insideRadiusMm, k_factor: kFactor } = stock
    return { kind: 'flat', thicknessMm, insideRadiusMm, kFactor }
  }
  const bent = ({ bends }: ReturnType<typeof memberBlank>, turns: readonly number[]) => ({
    straights_mm: bends?.straightsMm,
    bends: turns.map((turnDeg, i) => ({
      turn_deg: turnDeg,
      setback_mm: bends?.bends[i]?.setbackMm,
      allowance_mm: bends?.bends[i]?.allowanceMm,
      at_mm: bends?.bends[i]?.atMm,
    })),
  })
  const work = (input: any) => {
    const { left, pad, right } = input
    const stock = stockOf(input.stock)
    const line = memberLine(
      {
        left: level(left, left.outer_y, left.bend_y),
        pad: level(pad, pad.left_y, pad.right_y),
        right: level(right, right.bend_y, right.outer_y),
      },
      stock,
    )
    const blank = memberBlank(line, stock)
    const turns = line.corners.map(({ turnDeg }) => turnDeg)
    const { bolt_head_mm: head = 0, mount_bottom_z: mount, ground_z: ground } = input
    const padTop = line.midlineZ[1] + stockHeight(stock) / 2
    const stack = fillStack(
      mount - padTop,
      input.spacers.map((one: any) => ({ thickness: one.t_mm, count: one.count })),
    )
    return {
      segments_mm: line.legsMm,
      slope_deg: line.slopesDeg,
      centreline_z: line.midlineZ,
      ...bent(blank, turns),
      developed_mm: blank.blankMm,
      notches: blank.hinges?.map(({ xMm, wall, mouthMm }, i) => ({
        x_mm: xMm,
        hinge: wall,
        half_width_mm: mouthMm / 2,
        included_deg: Math.abs(turns[i] as number),
      })),
      spacer_gap_mm: stack.gapMm,
      spacers: { sum_mm: stack.sumMm, pieces: stack.pieces, error_mm: stack.sumMm - stack.gapMm },
      lowest_z: line.lowestZ - head,
      clearance_mm: line.lowestZ - head - ground,
    }
  }
  it.each(casesOf(cases))('%s', (_id, one) => expectCase(cases, one, work))
})
