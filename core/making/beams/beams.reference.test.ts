import beams from '../../testdata/beam.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { bentBeam, type Beam, type BentBeam } from './beam'
import type { Section } from './section'

describe('bars as beams against independent cases', () => {
  const sectionOf = (section: any): Section =>
    ({
      flat: { kind: 'flat', widthMm: section.width_mm, thicknessMm: section.t_mm },
      flats: {
        kind: 'flats',
        widthMm: section.width_mm,
        thicknessMm: section.t_mm,
        count: section.count,
        isJoined: section.joined,
      },
      box: {
        kind: 'box',
        heightMm: section.side_mm ?? section.height_mm,
        widthMm: section.side_mm ?? section.width_mm,
        wallMm: section.t_mm,
      },
      tube: { kind: 'tube', outerMm: section.od_mm, wallMm: section.t_mm },
      flattened: { kind: 'flattened', outerMm: section.od_mm, wallMm: section.t_mm },
      solid: { kind: 'solid', diameterMm: section.d_mm },
    })[section.kind as Section['kind']] as Section
  const beamOf = (input: any): Beam => ({
    ends: input.ends,
    spanMm: input.span_mm,
    loads: input.loads.map((load: any) => ({
      atMm: load.at_mm,
      downN: load.down_N,
      offsetMm: load.offset_mm,
    })),
    pieces: input.pieces.map((piece: any) => ({ toMm: piece.to_mm, section: sectionOf(piece.section) })),
    elasticity: input.e_N_per_mm2 ?? 205000,
  })
  const told = (found: BentBeam, input: any) => {
    const allowed = (input.share ?? 0.6) * (input.yield_N_per_mm2 ?? 235)
    const stress = Math.max(...found.stresses)
    return {
      sections: found.sections.map(({ inertia, modulus }) => ({ I_mm4: inertia, W_mm3: modulus })),
      reactions_N: found.reactionsN,
      end_moments_Nmm: found.endMomentsNmm,
      moment_max_Nmm: found.worstMoment.sizeNmm,
      at_mm: found.worstMoment.atMm,
      sag_at_loads_mm: found.sagAtLoadsMm,
      sag_max_mm: found.worstSag.sagMm,
      sag_max_at_mm: found.worstSag.atMm,
      pieces: found.stresses.map((one) => ({ stress_N_per_mm2: one })),
      stress_N_per_mm2: stress,
      worst_piece: found.stresses.findIndex((one) => one >= stress * (1 - 1e-9)),
      weak_lines: found.weakLines.map((one) => ({ at_mm: one.atMm, stress_N_per_mm2: one.stress })),
      use: stress / allowed,
      stress_ok: stress <= allowed,
      sag_ok: Math.abs(found.worstSag.sagMm) <= (input.sag_limit_mm ?? 1.5),
      torsion: found.torsion && {
        torque_Nm: found.torsion.torquesNmm.map((torque) => torque / 1000),
        max_Nmm: found.torsion.mostNmm,
        tau_N_per_mm2: found.torsion.shear,
        ok: found.torsion.shear !== null,
      },
    }
  }
  it.each(casesOf(beams))('%s', (_id, one) =>
    expectCase(beams, one, (input) => told(bentBeam(beamOf(input)), input)),
  )
})
