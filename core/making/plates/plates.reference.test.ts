import pattern from '../../testdata/hole-pattern.json'
import plateFits from '../../testdata/plate-fit.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { bossSpacers } from './bossSpacers'
import { holePattern, type SuspectTape } from './holePattern'
import { fitPlate } from './plateFit'

describe('holes from tapes against independent cases', () => {
  const tape = (one: SuspectTape | null) =>
    one && { a: one.a, b: one.b, index: one.index, rms_dof_without: one.scatterWithoutMm }
  const work = ({ holes, distances, dia_mm: diameters = {} }: any) => {
    const found = holePattern({
      holes,
      distances: distances.map((one: any) => ({ mode: 'centre', ...one })),
      diameters: new Map(Object.entries<number>(diameters)),
    })
    return {
      xy: Object.fromEntries(found.places),
      dof: found.degreesOfFreedom,
      rms: found.rmsMm,
      rms_dof: found.scatterMm,
      residuals: found.residuals.map(({ a, b, residualMm, redundancy, estimatedErrorMm }) => ({
        a,
        b,
        v: residualMm,
        r: redundancy,
        estimated_error: estimatedErrorMm,
      })),
      ambiguous: found.isAmbiguous,
      suspect: tape(found.suspect),
      best_candidate: tape(found.bestCandidate),
    }
  }
  it.each(casesOf(pattern))('%s', (_id, one) => expectCase(pattern, one, work))
})

describe('plates on bosses against independent cases', () => {
  const fit = (input: any) => {
    const found = fitPlate({
      holes: input.holes.map((hole: any) => ({
        id: hole.id,
        at: hole.xy_mm,
        holeMm: hole.hole_mm,
        boltMm: hole.bolt_mm,
        boss: hole.boss_mm,
        isDowel: hole.dowel ?? false,
      })),
      dowelMm: input.dowel_tol_mm,
      mostOpen: input.max_open,
      seenFrom: input.seen_from ?? 'front',
    })
    return {
      miss_mm: found.missMm,
      least_largest_error_mm: found.leastLargestMm,
      least_squares_error_mm: Object.fromEntries(found.leastSquaresMm),
      verdict: found.verdict,
      open: found.open.map(({ id, byMm, hour, towardDeg }) => ({
        id,
        by_mm: byMm,
        hour,
        toward_deg: towardDeg,
      })),
      total_mm: found.totalMm,
      alternatives: found.alternatives.map(({ ids, totalMm }) => ({ ids, total_mm: totalMm })),
    }
  }
  const spacers = (input: any) => {
    const found = bossSpacers({
      bosses: input.bosses.map((boss: any) => ({ id: boss.id, at: boss.xy_mm, depthMm: boss.depth_mm })),
      leastMm: input.least_mm,
      fitted: input.fitted_mm && new Map(Object.entries<number>(input.fitted_mm)),
      press: input.press_xy_mm,
    })
    const { rests } = found
    return {
      spacer_mm: Object.fromEntries(found.spacersMm),
      ...(rests && {
        touching: rests.touching,
        gap_mm: Object.fromEntries(rests.gapsMm),
        rock_mm: rests.rockMm,
        tilt_deg: rests.tiltDeg,
        flat: rests.isFlat,
        change_mm: rests.changesMm && Object.fromEntries(rests.changesMm),
        grind: rests.grind,
      }),
    }
  }
  const work = (input: any) => (input.op === 'fit' ? fit(input) : spacers(input))
  it.each(casesOf(plateFits))('%s', (_id, one) => expectCase(plateFits, one, work))
})
