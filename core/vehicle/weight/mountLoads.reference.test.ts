import cases from '../../testdata/mounts.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { mountLoads } from './mountLoads'

describe('three mounts under weight and torque against independent cases', () => {
  const work = (input: any) => {
    const ids = input.mounts.map(({ id }: any) => id)
    const mounts = input.mounts.map(({ id, x_mm: x, y_mm: y, k_N_per_mm: stiffness = 1 }: any) => ({
      id,
      station: -x,
      offset: y,
      stiffness,
    }))
    const [x, y] = input.cg
    const found = mountLoads([{ kg: input.mass_kg, station: -x, offset: y, height: 0 }], mounts, {
      engineTorqueNm: input.engine_torque_Nm,
      ratio: input.gear_ratio * (input.crank === 'ccw_front' ? -1 : 1),
    })
    const byId = (figures: readonly number[]) => Object.fromEntries(figures.map((one, i) => [ids[i], one]))
    const turned = input.crank === 'ccw_front' ? -found.outputTorqueNm : found.outputTorqueNm
    return {
      reaction_N: byId(found.underTorqueN),
      static_N: byId(found.standingN),
      output_torque_Nm: turned,
      lifting: ids.filter((_: string, i: number) => found.underTorqueN[i]! < 0),
      drop_mm: byId(found.upMm),
      fall_change_deg: found.fallChangeDeg,
      roll_change_deg: found.rollChangeDeg,
    }
  }
  const TOLD = [
    'reaction_N',
    'static_N',
    'output_torque_Nm',
    'lifting',
    'drop_mm',
    'fall_change_deg',
    'roll_change_deg',
  ]
  // How far the tail goes stands in a line's figures, by its point.
  const told = (expect: any) =>
    expect.error
      ? expect
      : Object.fromEntries(TOLD.filter((key) => key in expect).map((key) => [key, expect[key]]))
  it.each(casesOf(cases))('%s', (_id, one) => expectCase(cases, { ...one, expect: told(one.expect) }, work))
})
