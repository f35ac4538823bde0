import fc from 'fast-check'
import { axisDirection } from '../base/frame/axis'
import { add, norm, scale, sub, unit, type Vec3 } from '../base/linalg/vec3'
import type { LineGeometry } from './lineGeometry'
import type { ShaftEnd } from '../file/parts/lineSpec'
import { demoBuild } from '../testdata/builds'
import { radians } from '../base/units/angle'
import { lengthBetween, shaftLengths } from './shaftLengths'

const axis = (fall: number, plan = 0) => axisDirection({ fall: radians(fall), plan: radians(plan) })
const FLANGE: ShaftEnd = { kind: 'flange', faceToJointMm: 58 }
const SLIP: ShaftEnd = { kind: 'slip-yoke', boreBottomToJointMm: 112, setInMm: 22, sealToShaftEndMm: 94 }
const withEnds = (drivingEnd?: ShaftEnd, drivenEnd?: ShaftEnd) => {
  const line = demoBuild().lines[0]!
  return { ...line, shafts: [{ ...line.shafts[0]!, drivingEnd, drivenEnd }] }
}
const between = (front: Vec3, rear: Vec3, driving: Vec3, driven: Vec3): LineGeometry => ({
  centres: [front, rear],
  axes: [driving, unit(sub(rear, front)), driven],
})
const straight = between([0, 0, 0], scale(axis(0), 1000), axis(0), axis(0))

describe('the lengths of a shaft', () => {
  it('simply add up in a straight line', () => {
    const lengths = shaftLengths(withEnds(SLIP, FLANGE), straight, 0)
    const figures = lengths.all.map(({ from, to, length }) => [from, to, length])
    expect(figures).toEqual([
      ['joint-centre', 'joint-centre', 1000],
      ['joint-centre', 'flange-face', 1058],
      ['shaft-end', 'joint-centre', 1134],
      ['shaft-end', 'flange-face', 1192],
      ['seal-face', 'joint-centre', 1228],
      ['seal-face', 'flange-face', 1286],
    ])
    for (const { length, onBench } of lengths.all) expect(onBench).toBeCloseTo(length, 9)
    expect(lengths.setIn).toBe(22)
  })

  it('are a straight line in the vehicle, and longer on the bench, wherever the joints bend', () => {
    const lie = fc.double({ min: -30, max: 30, noNaN: true })
    fc.assert(
      fc.property(lie, lie, lie, lie, (fallA, planA, fallB, planB) => {
        const [driving, driven] = [axis(fallA, planA), axis(fallB, planB)]
        const rear: Vec3 = scale(axis(4, 2), 900)
        const lengths = shaftLengths(withEnds(FLANGE, FLANGE), between([0, 0, 0], rear, driving, driven), 0)
        const faceToFace = norm(sub(add(rear, scale(driven, 58)), scale(driving, -58)))
        expect(lengthBetween(lengths, 'flange-face', 'flange-face')).toBeCloseTo(faceToFace, 9)
        expect(lengthBetween(lengths, 'joint-centre', 'joint-centre')).toBeCloseTo(900, 9)
        for (const { length, onBench } of lengths.all) expect(onBench).toBeGreaterThanOrEqual(length - 1e-9)
      }),
      { seed: 20261129 },
    )
  })

  it('are only those its ends allow', () => {
    const plain = shaftLengths(withEnds({ kind: 'yoke' } as ShaftEnd, FLANGE), straight, 0)
    expect(plain.all.map(({ from, to }) => `${from} to ${to}`)).toEqual([
      'joint-centre to joint-centre',
      'joint-centre to flange-face',
    ])
    expect(plain.setIn).toBeNull()
    expect(lengthBetween(plain, 'seal-face', 'flange-face')).toBeNull()
    const noSeal = shaftLengths(withEnds({ ...SLIP, sealToShaftEndMm: undefined } as ShaftEnd), straight, 0)
    expect(noSeal.all.map(({ from }) => from)).toEqual(['joint-centre', 'shaft-end'])
  })
})
