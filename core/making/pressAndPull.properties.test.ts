import { assert, double, integer, property, record } from 'fast-check'
import type { ChainLine } from '../file/parts/chainLine'
import { cross, dot, norm, sub, type Vec3 } from '../base/linalg/vec3'
import { pitchRadius } from '../sprockets/sprocket'
import { pressOrder } from './bends/pressOrder'
import { wedgeOf } from './crossmembers/wedge'
import { chainRuns } from './mounts/chainRuns'

const mm = (min: number, max: number) => double({ min, max, noNaN: true })

describe('the press', () => {
  const bar = record({
    ends: mm(40, 120),
    slope: mm(60, 300),
    pad: mm(50, 160),
    left: mm(5, 60),
    right: mm(5, 60),
    thick: mm(3, 12),
  })
  const press = record({ dieMm: mm(20, 100), blockMm: mm(40, 250), ramMm: mm(10, 100) })
  const orderOf = ({ ends, slope, pad, left, right, thick }: any, told: any) => {
    const bends = [
      { atMm: ends, turnDeg: left },
      { atMm: ends + slope, turnDeg: -left },
      { atMm: ends + slope + pad, turnDeg: right },
      { atMm: ends + 2 * slope + pad, turnDeg: -right },
    ]
    return pressOrder(2 * ends + 2 * slope + pad, thick, bends, told)
  }

  it('takes every bar in a smaller one that a larger one takes, each bend once', () => {
    assert(
      property(bar, press, (shape, told) => {
        const found = orderOf(shape, told)
        if (!found.isPossible) {
          expect(found.done.length + found.left.length).toBeLessThanOrEqual(4)
          expect(found.left.length).toBeGreaterThan(0)
          return
        }
        expect(found.steps.map(({ bend }) => bend).toSorted()).toEqual([0, 1, 2, 3])
        expect(found.steps[0]!.isTurnedOver).toBe(false)
        const smaller = { dieMm: told.dieMm / 2, blockMm: told.blockMm / 2, ramMm: told.ramMm / 2 }
        expect(orderOf(shape, smaller).isPossible).toBe(true)
      }),
      { numRuns: 60 },
    )
  })

  it('bends a bar and its mirror image in as many turnings', () => {
    assert(
      property(bar, press, (shape, told) => {
        const turnings = (found: ReturnType<typeof orderOf>) =>
          found.isPossible ? found.steps.filter(({ isTurnedOver }) => isTurnedOver).length : -1
        const mirrored = { ...shape, left: shape.right, right: shape.left }
        expect(turnings(orderOf(mirrored, told))).toBe(turnings(orderOf(shape, told)))
      }),
      { numRuns: 40 },
    )
  })
})

describe('a wedge', () => {
  const lean = record({ acrossDeg: mm(-30, 30), alongDeg: mm(-30, 30) })

  it('is the same angle whichever face is the bar’s, its thick corner the opposite one on top of the rail', () => {
    assert(
      property(lean, lean, mm(10, 200), mm(10, 200), (face, end, wide, long) => {
        const under = wedgeOf(face, end, [wide, long], true)
        const swapped = wedgeOf(end, face, [wide, long], true)
        const over = wedgeOf(face, end, [wide, long], false)
        expect(swapped.angleDeg).toBeCloseTo(under.angleDeg, 9)
        expect(over.thickMm).toBeCloseTo(under.thickMm, 9)
        expect(under.thickMm).toBeGreaterThanOrEqual(0)
        if (Math.abs(face.alongDeg - end.alongDeg) > 1e-6)
          expect(over.isThickForward).toBe(!under.isThickForward)
        // Upright the corners of a wedge so thick lie further apart than its angle alone would have them on the shorter side.
        const least = Math.min(wide, long) * Math.tan((under.angleDeg * Math.PI) / 180)
        if (end.acrossDeg === 0 && end.alongDeg === 0)
          expect(under.thickMm).toBeGreaterThanOrEqual(least - 1e-9)
      }),
    )
  })
})

describe('the runs of a chain', () => {
  const drive = record({
    first: integer({ min: 9, max: 30 }),
    driven: integer({ min: 9, max: 60 }),
    x: mm(-900, 900),
    z: mm(-300, 300),
    backward: integer({ min: 0, max: 1 }),
  })

  it('touch both sprockets; the driving one pulls against the turning of the first, the holding one with it', () => {
    assert(
      property(drive, ({ first, driven, x, z, backward }) => {
        const pitchMm = 15.875
        const sprockets = [first, driven].map((teeth, i) => ({ id: `s${i}`, teeth, point: `p${i}` }))
        const chain = {
          ...{ id: 'c', name: 'c', duty: 'drive', pitchMm, sprockets },
          ...(backward === 1 && { turnsBackward: true }),
        } as ChainLine
        const [near, far] = [pitchRadius(first, pitchMm), pitchRadius(driven, pitchMm)]
        if (Math.hypot(x, z) < near + far + 20 || Math.abs(x) < 1) return
        const [own, other]: [Vec3, Vec3] = [
          [0, 0, 0],
          [x, 0, z],
        ]
        const { driving, holding } = chainRuns(chain, own, other)
        for (const { at, toward } of [driving, holding]) {
          expect(norm(toward)).toBeCloseTo(1, 9)
          expect(norm(sub(at, own))).toBeCloseTo(near, 9)
          expect(dot(sub(at, own), toward)).toBeCloseTo(0, 6)
          // The line of the run passes the other sprocket at its pitch radius.
          expect(norm(cross(sub(at, other), toward))).toBeCloseTo(far, 6)
        }
        // A wheel that rolls forward turns about +Y: what pulls back on it turns the other way.
        const about = (run: typeof driving) => cross(sub(run.at, own), run.toward)[1]
        const sense = backward === 1 ? -1 : 1
        expect(Math.sign(about(driving))).toBe(-sense)
        expect(about(holding)).toBeCloseTo(-about(driving), 9)
      }),
    )
  })
})
