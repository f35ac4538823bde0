import fc from 'fast-check'
import { NO_MOVE } from '../base/linalg/mat3'
import type { BodyBox } from '../file/parts/body'
import type { Build } from '../file/build/build'
import { evaluateBuild } from '../model/evaluateBuild'
import { changedBay } from '../testdata/bay'
import { closePairs } from './closePairs'
import { serviceWay } from './serviceWay'
import { drawnGap, thingsOf, type MoveOf } from './things'

const still: MoveOf = () => NO_MOVE
const boxed = (boxes: Record<string, BodyBox>, standsOn: Record<string, string> = {}): Build =>
  changedBay((raw) => {
    raw.bodies = [
      { id: 'chassis', kind: 'chassis', name: 'chassis' },
      ...raw.bodies
        .filter(({ kind }: { kind: string }) => kind !== 'item' && kind !== 'chassis')
        .map((body: any) => ({ ...body, outlines: undefined, box: undefined })),
      ...Object.entries(boxes).map(([id, box]) => ({
        id,
        kind: 'item',
        name: id,
        box,
        standsOn: standsOn[id],
      })),
    ]
    raw.gaps = []
    raw.levers = raw.levers.filter(({ body }: { body: string }) =>
      raw.bodies.some(({ id }: { id: string }) => id === body),
    )
    raw.positions.forEach((position: { settings: object }) => (position.settings = {}))
    raw.trials = []
    raw.readings = raw.readings.filter(({ kind, trial }: any) => kind !== 'gap' && trial === undefined)
    raw.points = raw.points.filter(({ body }: { body: string }) =>
      raw.bodies.some(({ id }: { id: string }) => id === body),
    )
    raw.readings = raw.readings.filter(
      ({ point }: any) => point === undefined || raw.points.some(({ id }: { id: string }) => id === point),
    )
    raw.weight = raw.wayIn = raw.services = raw.temporaries = undefined
  })
const cube = (x: number, y: number, z: number, size = 100): BodyBox => ({
  stations: [x, x + size],
  offsets: [y, y + size],
  heights: [z, z + size],
})
const things = (build: Build) => thingsOf(build, still).things

describe('two things as they are drawn', () => {
  it('are as far apart as they look in the view that shows them farthest apart', () => {
    const build = boxed({ a: cube(0, 0, 0), b: cube(130, 240, 0) })
    const [a, b] = things(build)
    // From the side 30, from above hypot(30, 140), from the front 140.
    expect(drawnGap(a!, b!)).toMatchObject({ view: 'top', views: 3 })
    expect(drawnGap(a!, b!)!.gapMm).toBeCloseTo(Math.hypot(30, 140), 9)
  })

  it('of boxes square to the vehicle, lie in each other by no more than in any view', () =>
    fc.assert(
      fc.property(fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: -250, max: 250 }))), ([x, y, z]) => {
        const build = boxed({ a: cube(0, 0, 0), b: cube(x!, y!, z!) })
        const [a, b] = things(build)
        const apart = [x!, y!, z!].map((shift) => Math.abs(shift) - 100)
        const gap = drawnGap(a!, b!)!.gapMm
        const isApart = apart.some((one) => one > 0)
        // In the plane of its view each pair is two of the three; the widest of those is told.
        if (isApart) {
          const pairs = [
            [0, 1],
            [0, 2],
            [1, 2],
          ].map((pair) => Math.hypot(...pair.map((i) => Math.max(0, apart[i]!))))
          expect(gap).toBeCloseTo(Math.max(...pairs), 6)
        } else expect(gap).toBeCloseTo(Math.max(...apart), 6)
      }),
      { seed: 20261129, numRuns: 60 },
    ))

  it('are not told of each other where no view shows both', () => {
    const build = changedBay()
    const all = things(build)
    const rack = all.find(({ name }) => name === 'steering rack')!
    const tunnel = all.find(({ name }) => name === 'tunnel, left')!
    expect([Object.keys(rack.views), Object.keys(tunnel.views)]).toEqual([['side'], ['top']])
    expect(drawnGap(rack, tunnel)).toBeNull()
  })

  it('leaves out an outline that crosses itself, and names it', () => {
    const build = changedBay((raw) => {
      const battery = raw.bodies.find(({ id }: { id: string }) => id === 'battery')
      battery.outlines = [
        {
          view: 'side',
          corners: [
            [0, 0],
            [100, 100],
            [100, 0],
            [0, 100],
          ],
        },
      ]
    })
    const { things: usable, unusable } = thingsOf(build, still)
    expect(unusable).toEqual(['battery tray'])
    expect(usable.find(({ key }) => key === 'battery')!.views).toHaveProperty('top')
  })
})

describe('close pairs that nobody watches', () => {
  it('names the nearest first, none that is watched and none that stands on the other', () => {
    const build = boxed(
      { a: cube(0, 0, 0), b: cube(112, 0, 0), c: cube(0, 0, 104), d: cube(0, 0, 300) },
      { c: 'a' },
    )
    const pairs = closePairs(build, things(build))
    expect(pairs.map(({ a, b, gapMm }) => [a.name, b.name, Math.round(gapMm * 10) / 10])).toEqual(
      [
        ['b', 'c', 12.6],
        ['a', 'b', 12],
      ].sort((one, other) => (one[2] as number) - (other[2] as number)),
    )
  })

  it('of the tight bay are the ones that no reading speaks of', () => {
    const build = changedBay()
    const pairs = closePairs(build, things(build))
    const names = pairs.map(({ a, b }) => `${a.name} and ${b.name}`)
    expect(names).not.toContain('steering rack and powertrain')
    expect(pairs.every(({ gapMm }, i) => i === 0 || gapMm >= pairs[i - 1]!.gapMm)).toBe(true)
  })
})

describe('what comes out', () => {
  const filter = { id: 's', name: 'filter out', body: 'filter', toward: [0, 0, -1] as const, wayMm: 120 }

  it('tells what lies in the way and after how far, and passes what stands beside', () => {
    const build = boxed(
      {
        block: cube(0, 0, 0, 300),
        filter: cube(120, 120, -60, 60),
        bar: cube(100, 100, -200, 90),
        aside: cube(400, 120, -160, 60),
      },
      { filter: 'block' },
    )
    const answer = serviceWay(build, filter, things(build))
    // The bar's top stands at -110, the filter's underside at -60.
    expect(answer).toMatchObject({ known: true, value: { clearMm: 50, boltedTo: ['block'] } })
    expect(answer.known && answer.value.inWay.map(({ name, afterMm }) => [name, afterMm])).toEqual([
      ['bar', 50],
    ])
    expect(serviceWay(build, { ...filter, wayMm: 40 }, things(build))).toMatchObject({
      value: { inWay: [], clearMm: 50 },
    })
  })

  it('goes a slanting way as far as it is along it', () => {
    const build = boxed({ filter: cube(0, 0, 0), wall: cube(0, 0, -300, 100) })
    const slant = { ...filter, toward: [0, 0.3, -0.4] as const, wayMm: 500 }
    // The wall is 200 below: 250 along a way that goes four fifths down. By then it has gone 150 aside and is past it.
    expect(serviceWay(build, slant, things(build))).toMatchObject({ value: { clearMm: null, inWay: [] } })
    const steep = { ...filter, toward: [0, 0.05, -1] as const, wayMm: 500 }
    const met = serviceWay(build, steep, things(build))
    expect(met.known && met.value.clearMm).toBeCloseTo(200 * Math.hypot(1, 0.05), 6)
  })

  it('goes with what stands on it, and wants an outline', () => {
    const build = boxed(
      { filter: cube(0, 0, 0), pipe: cube(0, 150, -20), bar: cube(0, 140, -180) },
      { pipe: 'filter' },
    )
    const met = serviceWay(build, filter, things(build))
    // The pipe's underside at -20 comes to the bar's top at -80 first.
    expect(met.known && met.value.inWay[0]).toMatchObject({ name: 'bar', afterMm: 60 })
    expect(serviceWay(build, { ...filter, body: 'powertrain' }, things(build))).toMatchObject({
      known: false,
      missing: [{ what: 'an outline or a box of powertrain' }],
    })
  })

  it('follows the levers', () => {
    const build = changedBay()
    const check = { id: 's', name: 'filter out', body: 'air-filter', toward: [0, 0, 1] as const, wayMm: 150 }
    const at = (settings: Record<string, number>) => {
      const now = evaluateBuild(build, settings)
      const move: MoveOf = (id) => {
        const one = now.moves.get(id)
        return one?.known ? one.value : null
      }
      const answer = serviceWay(build, check, thingsOf(build, move).things)
      return answer.known ? answer.value.inWay.map(({ name }) => name) : []
    }
    expect(at({})).toContain('bonnet')
  })
})
