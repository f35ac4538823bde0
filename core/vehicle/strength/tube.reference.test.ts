import tube from '../../testdata/tube.json'
import { disagreements } from '../../testdata/reference'
import { criticalRpmWithEnds, whirling, whirlRpm } from './criticalSpeed'
import { tubeSection } from './tubeSection'
import { polarInertiaKgM2, shearMPa, tubeMassKg, twistDeg } from './tubeStrength'

describe('a tube against independent cases', () => {
  it.each((tube.cases as any[]).map((one) => [one.id, one] as const))(
    '%s',
    (_id, { input, expected, tolerance }) => {
      const section = tubeSection({ outerMm: input.od_mm, wallMm: input.wall_mm })
      const metal = {
        stiffnessGPa: input.E_GPa,
        shearGPa: input.G_GPa,
        densityKgM3: input.rho_kg_m3,
        yieldMPa: 350,
      }
      const length = input.length_mm
      const got = {
        area_mm2: section.areaMm2,
        I_mm4: section.bendingMm4,
        J_mm4: section.torsionMm4,
        critical_rpm: whirlRpm(whirling(section, metal), length),
        shear_stress_MPa: shearMPa(section, input.torque_Nm),
        twist_deg: twistDeg(section, metal, length, input.torque_Nm),
        torsional_stiffness_Nm_per_deg: 1 / twistDeg(section, metal, length, 1),
        mass_kg: tubeMassKg(section, metal, length),
        polar_inertia_kg_m2: polarInertiaKgM2(section, metal, length),
        ...(input.end_mass_kg && {
          critical_rpm_with_end_masses: criticalRpmWithEnds(section, metal, length, {
            kind: 'mass',
            kg: input.end_mass_kg,
            inboardMm: input.end_mass_offset_mm,
          }),
        }),
        ...(input.yoke_mass_kg && {
          critical_rpm_stepped: criticalRpmWithEnds(section, metal, length, {
            kind: 'yoke',
            kg: input.yoke_mass_kg,
            lengthMm: input.yoke_length_mm,
          }),
        }),
      }
      expect(disagreements(got, expected, tolerance)).toEqual([])
    },
  )
})
