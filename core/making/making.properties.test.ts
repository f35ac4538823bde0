import fc from 'fast-check'
import { add, cross, scale, type Vec3 } from '../base/linalg/vec3'
import { bentBeam } from './beams/beam'
import { developBar } from './bends/developBar'
import { trialBend } from './bends/trialBend'
import { cope } from './copes/cope'
import { notchFold } from './folds/notchFold'
import { forceAt } from './mounts/load'
import { movedBy, settle, type ElasticMount } from './mounts/settle'

const SEED = 20261129
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('what is made', () => {
  it('gives back the K it was developed with, from one bent strip', () => {
    fc.assert(
      fc.property(
        number(2, 12),
        number(2, 20),
        number(0.25, 0.49),
        number(10, 140),
        (t, radius, k, angleDeg) => {
          const bend = { angleDeg, insideRadiusMm: radius, kFactor: k }
          const legsMm = [200, 250] as const
          const bar = { thicknessMm: t, bends: [bend], legsMm, legsAre: 'outside' as const }
          const { blankMm } = developBar(bar)
          const strip = { thicknessMm: t, insideRadiusMm: radius, blankMm, legsMm, angleDeg }
          expect(trialBend(strip).kFactor).toBeCloseTo(k, 8)
        },
      ),
      { seed: SEED },
    )
  })

  it('is a beam by the formulas of one load, resting and clamped', () => {
    fc.assert(
      fc.property(number(200, 900), number(0.05, 0.95), number(-9000, 9000), (spanMm, share, downN) => {
        const [a, b] = [share * spanMm, (1 - share) * spanMm]
        const section = { kind: 'box' as const, heightMm: 40, widthMm: 60, wallMm: 3 }
        const loads = [{ atMm: a, downN }]
        const beam = { spanMm, loads, pieces: [{ toMm: spanMm, section }], elasticity: 205_000 }
        const resting = bentBeam({ ...beam, ends: 'resting' })
        const clamped = bentBeam({ ...beam, ends: 'clamped' })
        const stiffness = 205_000 * resting.sections[0]!.inertia
        const near = (found: number, want: number) => expect(found).toBeCloseTo(want, 6)
        near(resting.worstMoment.sizeNmm / 1000, Math.abs(downN * a * b) / spanMm / 1000)
        near(resting.sagAtLoadsMm[0]!, (downN * a * a * b * b) / (3 * stiffness * spanMm))
        near(clamped.endMomentsNmm[0] / 1000, (downN * a * b * b) / spanMm ** 2 / 1000)
        near(clamped.endMomentsNmm[1] / 1000, (downN * a * a * b) / spanMm ** 2 / 1000)
        near(clamped.sagAtLoadsMm[0]!, (downN * a ** 3 * b ** 3) / (3 * stiffness * spanMm ** 3))
      }),
      { seed: SEED },
    )
  })

  it('holds what loads it: mounts balance every force and moment, and no pad pulls', () => {
    const place = fc.tuple(number(-60, 60), number(-60, 60), number(-60, 60))
    const CORNERS: readonly Vec3[] = [
      [0, 280, -150],
      [20, -280, -150],
      [-900, 120, -120],
      [-880, -120, -100],
    ]
    let answered = 0
    let lifted = 0
    fc.assert(
      fc.property(fc.tuple(place, place, place, place), place, place, (aside, at, push) => {
        const places = CORNERS.map((corner, i) => add(corner, aside[i]!))
        const force = scale(push, 30)
        const mounts = places.map((one, i): ElasticMount => ({
          id: `m${i}`,
          at: one,
          spring:
            i === 0
              ? { kind: 'pad', normal: [0, 0, 1], press: 400, shear: 150 }
              : { kind: 'bush', axis: [1, i, 0], axial: 300, radial: 900 },
        }))
        const load = forceAt(at, force)
        const settled = settle(mounts, load)
        answered++
        if (!settled.presses.has('m0')) lifted++
        const forces = mounts.map((mount) => settled.forces.get(mount.id)!)
        const sum = forces.reduce<Vec3>((all, one) => add(all, one), load.force)
        const moments = mounts.reduce<Vec3>(
          (all, mount, i) => add(all, cross(mount.at, forces[i]!)),
          load.moment,
        )
        for (const one of sum) expect(Math.abs(one)).toBeLessThan(1e-6)
        for (const one of moments) expect(Math.abs(one)).toBeLessThan(1e-3)
        const pressed = -movedBy(settled, places[0]!)[2]
        expect(settled.presses.has('m0')).toBe(pressed > 0)
        expect(forces[0]![2]).toBeCloseTo(400 * Math.max(0, pressed), 6)
      }),
      { seed: SEED },
    )
    expect(answered).toBe(100)
    expect(lifted).toBeGreaterThan(20)
    expect(lifted).toBeLessThan(80)
  })

  it('has copes that turn over with the angle, and folds whose blank is as long as its parts', () => {
    fc.assert(
      fc.property(number(20, 90), number(-5, 5), (angleDeg, offsetMm) => {
        const tube = { branchOuterMm: 30, branchWallMm: 3, mainOuterMm: 45, offsetMm }
        const [sharp, blunt] = [cope({ ...tube, angleDeg }), cope({ ...tube, angleDeg: 180 - angleDeg })]
        sharp.rows.forEach(({ cutMm, phiDeg }) => {
          // Seen from the other end, the acute side lies opposite and the offset stays where it is.
          const other = blunt.rows.find((row) => Math.abs(row.phiDeg - ((540 - phiDeg) % 360)) < 1e-9)
          expect(cutMm).toBeCloseTo(other!.cutMm!, 9)
        })
        const folded = notchFold({
          heightMm: 40,
          wallMm: 3,
          folds: [
            { angleDeg, how: 'close' },
            { angleDeg: -angleDeg, how: 'close' },
          ],
          legsMm: [150, 200, 150],
          hingeLine: 'inner',
          legsAre: 'centreline',
        })
        const shifts = folded.hinges.reduce((all, { shiftMm }) => all + 2 * shiftMm, 0)
        expect(folded.blankMm).toBeCloseTo(500 + shifts, 9)
        expect(folded.endDirectionDeg).toBeCloseTo(0, 9)
      }),
      { seed: SEED },
    )
  })
})
