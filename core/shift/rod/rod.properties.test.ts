import fc from 'fast-check'
import { cross, norm, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import { radians } from '../../base/units/angle'
import { cases } from '../../../tests/support/cases'
import { pinAt, type Arm } from './arm'
import { bestHoles, bestRod, rodFor } from './bestRod'
import { gatesReached, slotNeed, type ShiftGate } from './gates'
import { branchNear, leverFor, standAt, turnWithin } from './linkage'

const figure = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true })
const place = (most: number) => fc.tuple(figure(-most, most), figure(-most, most), figure(-most, most))
/** An arm on any axis whatever. */
const anyArm: fc.Arbitrary<Arm> = fc
  .record({
    pivot: place(600),
    axis: place(1),
    other: place(1),
    armMm: figure(20, 120),
    clock: figure(-3, 3),
    playMm: figure(0, 1),
  })
  .filter(({ axis, other }) => norm(axis) > 0.2 && norm(cross(axis, other)) > 0.1)
  .map(({ axis, other, clock, ...arm }) => {
    const normal = unit(axis)
    const from = unit(cross(normal, other))
    return { ...arm, from, toward: cross(normal, from), clock: radians((clock * 180) / Math.PI) }
  })
const pinOf = (arm: Arm, deg: number): Vec3 => pinAt(arm, arm.clock + radians(deg))

describe('two arms in space', () => {
  it('stand just a rod apart wherever it reaches, and miss it by what is told where not', () => {
    fc.assert(
      fc.property(
        anyArm,
        anyArm,
        figure(50, 1500),
        figure(-60, 60),
        fc.constantFrom(1 as const, -1 as const),
        (lever, box, rodMm, deg, branch) => {
          const { boxDeg, shortMm } = standAt({ lever, box, rodMm }, deg, branch)
          if (shortMm === 0)
            return expect(norm(sub(pinOf(box, boxDeg), pinOf(lever, deg)))).toBeCloseTo(rodMm, 6)
          // So much longer it touches; a hair less and it does not.
          const just = standAt(
            { lever, box, rodMm: rodMm + shortMm + Math.sign(shortMm) * 1e-6 },
            deg,
            branch,
          )
          const hair = standAt({ lever, box, rodMm: rodMm + shortMm * (1 - 1e-6) }, deg, branch)
          expect(Math.abs(just.shortMm)).toBeLessThan(1e-5)
          expect(hair.shortMm).not.toBe(0)
          expect(boxDeg).toBeNaN()
        },
      ),
      { numRuns: cases(400) },
    )
  })

  it('turn alike forth and back: the lever for where the gearbox came to is the lever', () => {
    fc.assert(
      fc.property(anyArm, anyArm, figure(-40, 40), figure(-40, 40), (lever, box, leverDeg, boxDeg) => {
        const rodMm = rodFor({ lever, box }, { name: '', leverDeg, boxDeg })
        fc.pre(rodMm > 1)
        const linkage = { lever, box, rodMm }
        const branch = branchNear(linkage, leverDeg, boxDeg)
        const stand = standAt(linkage, leverDeg, branch)
        fc.pre(stand.transmissionDeg > 5 && Math.abs(stand.ratio) > 0.1)
        expect(turnWithin(stand.boxDeg - boxDeg)).toBeCloseTo(0, 5)
        expect(leverFor(linkage, stand.boxDeg, leverDeg, branch)).toBeCloseTo(leverDeg, 5)
        // The ratio is what a small turn shows.
        const small = standAt(linkage, leverDeg + 1e-4, branch)
        expect(turnWithin(small.boxDeg - stand.boxDeg) / 1e-4).toBeCloseTo(stand.ratio, 1)
      }),
      { numRuns: cases(300) },
    )
  })

  const gatesOf = (step: number, ratio: number): ShiftGate[] =>
    ['P', 'R', 'N', 'D'].map((name, k) => ({
      name,
      leverDeg: step * (k - 1.5),
      boxDeg: ratio * step * (k - 1.5),
    }))
  const armAt = (forward: number, armMm: number, clockDeg: number): Arm => ({
    ...{
      pivot: [forward, 0, 0],
      from: [1, 0, 0],
      toward: [0, 0, 1],
      armMm,
      clock: radians(clockDeg),
      playMm: 0.2,
    },
  })

  it('are best joined by no rod that another of the range betters', () => {
    fc.assert(
      fc.property(
        figure(-110, -70),
        figure(-110, -70),
        figure(0.8, 1.25),
        figure(0, 1),
        (a, b, ratio, share) => {
          const [arms, gates] = [{ lever: armAt(0, 60, a), box: armAt(500, 60, b) }, gatesOf(12, ratio)]
          const best = bestRod(arms, gates, [420, 580])!
          expect(gatesReached({ ...arms, rodMm: best.rodMm }, gates).maxErrorDeg).toBeCloseTo(
            best.maxErrorDeg,
            9,
          )
          const other = 420 + 160 * share
          let worst = Infinity
          try {
            worst = gatesReached({ ...arms, rodMm: other }, gates).maxErrorDeg
          } catch {}
          expect(best.maxErrorDeg).toBeLessThanOrEqual(worst + 1e-6)
        },
      ),
      { numRuns: cases(60) },
    )
  })

  it('find the holes whose arms are as long as the steps are wide', () => {
    const arms = { lever: armAt(0, 60, -90), box: armAt(500, 60, -90) }
    const pairs = bestHoles(arms, gatesOf(12, 0.75), [450, 550], { leverMm: [45, 60, 80], boxMm: [60] })
    expect([pairs[0]!.leverArmMm, pairs.length]).toEqual([45, 3])
    expect(pairs.map(({ maxErrorDeg }) => maxErrorDeg)).toEqual(
      pairs.map(({ maxErrorDeg }) => maxErrorDeg).toSorted((x, y) => x - y),
    )
    expect(() => bestHoles(arms, gatesOf(12, 1), [700, 800], { leverMm: [60], boxMm: [60] })).toThrow(
      'no pair reaches',
    )
    expect(bestRod(arms, gatesOf(12, 1), [700, 800])).toBeNull()
    expect(() => bestRod(arms, gatesOf(12, 1), [500, 400])).toThrow('range')
  })

  it('have a slot that is long enough at one end and not at the other; gates out of order are refused', () => {
    const linkage = { lever: armAt(0, 60, -90), box: armAt(500, 60, -90), rodMm: 500 }
    const gates = gatesOf(12, 1)
    const found = gatesReached(linkage, gates)
    const need = slotNeed(linkage, gates, found, { fromDeg: -18, toDeg: 30, radiusMm: 100, overMm: 1.2 })!
    // 1.2 at 60 is 1.146°, half of 0.4 at 60 is 0.191°.
    expect([need.fromDeg, need.toDeg]).toEqual([expect.closeTo(-19.337, 2), expect.closeTo(19.337, 2)])
    expect([need.fileFromMm, need.fileToMm]).toEqual([expect.closeTo(2.333, 2), 0])
    expect(slotNeed(linkage, gates, found, { fromDeg: 0, toDeg: 1, radiusMm: 100, overMm: 90 })).toBeNull()
    expect(() => gatesReached(linkage, [gates[1]!, gates[0]!, gates[2]!])).toThrow('does not go on')
  })
})
