import { casesOf, expectCase } from '../../../tests/support/expectCase'
import folds from '../../testdata/notch-fold.json'
import { notchFold } from './notchFold'

describe('notched and folded tubes against independent cases', () => {
  const work = (input: any): Record<string, unknown> => {
    const found = notchFold({
      heightMm: input.height_mm,
      wallMm: input.wall_mm,
      folds: input.folds.map((fold: any) => ({ angleDeg: fold.angle_deg, how: fold.how ?? 'close' })),
      legsMm: input.legs_mm,
      hingeLine: input.hinge_line ?? 'inner',
      legsAre: input.dims ?? 'centreline',
      kerfMm: input.kerf_mm,
      leastLandMm: input.least_land_mm,
    })
    return {
      hinges: found.hinges.map((hinge) => ({
        wall: hinge.wall,
        cut_wall: hinge.cutWall,
        x_mm: hinge.xMm,
        shift_mm: hinge.shiftMm,
        mouth_mm: hinge.mouthMm,
        edges_mm: hinge.edgesMm,
        saw_cuts: hinge.sawCuts,
      })),
      blank_mm: found.blankMm,
      centreline_legs_mm: found.centrelineLegsMm,
      end_mm: found.end,
      end_direction_deg: found.endDirectionDeg,
      least_land_found_mm: found.leastLandMm,
    }
  }
  it.each(casesOf(folds))('%s', (_id, one) => expectCase(folds, one, work))
})
