import cases from '../../testdata/hump.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { breakoverDeg, rollOver } from './rollOver'

describe('a vehicle over a hump against independent cases', () => {
  const work = (input: any): Record<string, unknown> => {
    const { wheelbase_mm: wheelbaseMm, radius_mm: frontRadiusMm, rear_radius_mm: rear } = input
    const vehicle = { wheelbaseMm, frontRadiusMm, rearRadiusMm: rear ?? frontRadiusMm }
    const low = ({ id, back_mm: backMm, height_mm: heightMm }: any) => ({ id, backMm, heightMm })
    if (input.op === 'breakover') return { breakover_deg: breakoverDeg(vehicle, low(input)) }
    const { profile } = input
    const ground =
      profile.kind === 'round'
        ? { kind: 'round' as const, chordMm: profile.chord_mm, heightMm: profile.height_mm }
        : { kind: 'ramp' as const, points: profile.points_mm }
    const found = rollOver({ ...vehicle, points: input.points.map(low) }, ground)
    return {
      points: found.points.map((one) => ({
        id: one.id,
        least_mm: one.leastMm,
        front_x_mm: one.frontXMm,
        point_x_mm: one.pointXMm,
      })),
      order: found.order,
      touches: found.touches,
      first_touch: found.firstTouch && { id: found.firstTouch.id, front_x_mm: found.firstTouch.frontXMm },
      highest_mm: found.highestMm,
    }
  }
  it.each(casesOf(cases))('%s', (_id, one) => expectCase(cases, one, work))
})
