import fc from 'fast-check'
import { cross, dot, type Vec3 } from '../../base/linalg/vec3'
import { newSettler, type Settler } from './settler'
import { springParts, type MountSpring } from './spring'

const at = (figures: Float64Array, i: number): Vec3 => [
  figures[3 * i]!,
  figures[3 * i + 1]!,
  figures[3 * i + 2]!,
]
const figure = (most: number) => fc.double({ min: -most, max: most, noNaN: true })
const place = fc.tuple(figure(400), figure(400), figure(200))
const stiff = fc.double({ min: 50, max: 900, noNaN: true })
const bush = fc.record({
  kind: fc.constant('bush' as const),
  axis: fc.constantFrom<Vec3>([1, 0, 0], [0, 1, 0], [0, 0, 1], [1, 1, 0]),
  axial: stiff,
  radial: stiff,
})
const ways = fc.record({ kind: fc.constant('axes' as const), perMm: fc.tuple(stiff, stiff, stiff) })
const pad = fc.record({
  kind: fc.constant('pad' as const),
  normal: fc.constant<Vec3>([0, 0, 1]),
  press: stiff,
  shear: stiff,
})
const load = fc.tuple(figure(4000), figure(4000), figure(9000), figure(8e5), figure(8e5), figure(8e5))

/** Three that hold whatever comes, apart from each other, and what else is asked for. */
function settled(
  springs: readonly MountSpring[],
  places: readonly Vec3[],
  acts: readonly number[],
): Settler | null {
  const settler = newSettler(springs.map(springParts))
  settler.places.set(places.flat())
  settler.load.set(acts)
  return settler.settle() === null ? settler : null
}

const CORNERS: readonly Vec3[] = [
  [0, 300, -100],
  [0, -300, -120],
  [-900, 10, -80],
]

function isInBalance({ load: acts, places, forces }: Settler, count: number): void {
  const force = [acts[0]!, acts[1]!, acts[2]!]
  const moment = [acts[3]!, acts[4]!, acts[5]!]
  for (let i = 0; i < count; i++) {
    const given = at(forces, i)
    const about = cross(at(places, i), given)
    for (let way = 0; way < 3; way++) {
      force[way]! += given[way]!
      moment[way]! += about[way]!
    }
  }
  for (const left of force) expect(Math.abs(left)).toBeLessThan(1e-6 * 9000)
  for (const left of moment) expect(Math.abs(left)).toBeLessThan(1e-6 * 1e7)
}

describe('a body on its mounts', () => {
  it('stands where all forces and moments are in balance, whatever holds it', () => {
    fc.assert(
      fc.property(fc.tuple(ways, bush, ways, bush), place, load, (springs, fourth, acts) => {
        const found = settled(springs, [...CORNERS, fourth], acts)
        if (found) isInBalance(found, 4)
      }),
    )
  })

  it('is never pulled by a pad, and pressed by each that it goes into', () => {
    fc.assert(
      fc.property(fc.tuple(ways, ways, bush, pad, pad), place, place, load, (springs, a, b, acts) => {
        const found = settled(springs, [...CORNERS, a, b], acts)
        if (!found) return
        isInBalance(found, 5)
        for (const i of [3, 4]) {
          const up = at(found.forces, i)[2]
          const turned = cross(at(found.move, 1), at(found.places, i))
          const down = -(found.move[2]! + turned[2])
          expect(up).toBeGreaterThanOrEqual(-1e-9)
          expect(found.presses[i] === 1).toBe(down > 0)
        }
      }),
    )
  })

  it('keeps nothing of what it was asked before', () => {
    fc.assert(
      fc.property(fc.tuple(ways, bush, ways, pad), place, load, load, (springs, fourth, first, second) => {
        const places = [...CORNERS, fourth]
        const used = settled(springs, places, first)
        const fresh = settled(springs, places, second)
        if (!used || !fresh) return
        used.load.set(second)
        expect(used.settle()).toBeNull()
        expect([...used.move]).toEqual([...fresh.move])
        expect([...used.forces]).toEqual([...fresh.forces])
      }),
    )
  })

  it('gives twice as far under twice the load while nothing lifts, and says why it does not settle', () => {
    const springs: MountSpring[] = [
      { kind: 'axes', perMm: [150, 150, 300] },
      { kind: 'axes', perMm: [150, 150, 300] },
      { kind: 'bush', axis: [0, 1, 0], axial: 100, radial: 400 },
    ]
    const once = settled(springs, CORNERS, [100, 50, -2000, 3e5, 0, 0])!
    const twice = settled(springs, CORNERS, [200, 100, -4000, 6e5, 0, 0])!
    for (let k = 0; k < 6; k++) expect(twice.move[k]).toBeCloseTo(2 * once.move[k]!, 9)
    // The work of the load is twice what the springs hold.
    const work = [0, 1, 2, 3, 4, 5].reduce((sum, k) => sum + once.load[k]! * once.move[k]!, 0)
    expect(work).toBeGreaterThan(0)
    expect(dot(at(once.load, 0), at(once.move, 0))).toBeGreaterThan(0)
    const refused = (some: readonly MountSpring[], acts: readonly number[]) => {
      const settler = newSettler(some.map(springParts))
      settler.places.set(CORNERS.slice(0, some.length).flat())
      settler.load.set(acts)
      return settler.settle()
    }
    const soft: MountSpring = { kind: 'axes', perMm: [0, 0, 0] }
    expect(refused([soft], [0, 0, -1, 0, 0, 0])).toBe('nothing')
    expect(refused(springs.slice(0, 1), [0, 0, -1, 0, 0, 0])).toBe('some-way')
    expect(refused(springs, [0, 0, -1e6, 0, 0, 0])).toBe('turns-over')
  })
})
