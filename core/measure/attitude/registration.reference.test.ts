import { movePoint } from '../../base/linalg/mat3'
import type { Vec3 } from '../../base/linalg/vec3'
import reference from '../../testdata/registration.json'
import { registration, type DatumPair } from './registration'

const ABS = 1e-6
const REL = 1e-7
const close = (got: number, wanted: number) =>
  expect(Math.abs(got - wanted)).toBeLessThanOrEqual(ABS + REL * Math.abs(wanted))

describe('registration against independent cases', () => {
  it.each(reference.cases.map((one) => [one.id, one] as const))('%s', (_id, { input, expect: wanted }) => {
    const result = registration(input.points as unknown as DatumPair[])
    if ('error' in wanted && wanted.error) {
      expect(result.ok).toBe(false)
      return
    }
    if (!result.ok) throw new Error(result.message)
    const { value } = result
    // Three points, or flat ones, have no direction of their own off their plane; R is still one answer.
    wanted.R!.forEach((row, i) => row.forEach((part, k) => close(value.move.rotation[i]![k]!, part)))
    wanted.t!.forEach((part, i) => close(value.move.shift[i]!, part))
    wanted.residuals!.forEach((one, i) => close(value.residuals[i]!.length, one.length))
    close(value.rms, wanted.rms!)
    if (wanted.rms_dof !== null) close(value.rmsFreedom, wanted.rms_dof!)
    wanted.spread!.forEach((part, i) => close(value.spread[i]!, part))
    expect(value.suspect).toBe(wanted.suspect)
    expect(value.isMirrored).toBe(wanted.mirror_suspected)
    wanted.leave_one_out?.forEach((one, i) => {
      if (one.rms === null) return expect(value.leftOut[i]).toBeNull()
      close(value.leftOut[i]!.rms, one.rms!)
      close(value.leftOut[i]!.miss, one.miss!)
    })
    const { probe } = input as { probe?: number[][] }
    probe?.forEach((point, i) =>
      movePoint(value.move, point as unknown as Vec3).forEach((part, k) =>
        close(part, wanted.probe![i]![k]!),
      ),
    )
  })

  it('names nobody among three points', () => {
    const three = registration([
      { id: 'a', setup: [0, 0, 0], chassis: [0, 0, 0] },
      { id: 'b', setup: [1000, 0, 0], chassis: [1000, 0, 0] },
      { id: 'c', setup: [0, 500, 0], chassis: [0, 540, 0] },
    ])
    expect(three.ok && three.value.suspect).toBeNull()
    expect(three.ok && three.value.leftOut).toEqual([])
    expect(three.ok && three.value.isFlat).toBe(true)
  })
})
