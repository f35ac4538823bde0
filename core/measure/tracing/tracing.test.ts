import fc from 'fast-check'
import { CoreError } from '../../base/errors'
import { SEEN_FROM, type PhotoScale, type SeenFrom } from '../../file/parts/photo'
import { parseBuild } from '../../file/open/parseBuild'
import type { Build } from '../../file/build/build'
import { rawDemo } from '../../testdata/builds'
import { depthFault, depthShare, photoMap } from './photoScale'
import { rescaled, withoutPhoto } from './retraced'

const LEVEL: PhotoScale = {
  seenFrom: 'left',
  points: [
    [100, 400],
    [500, 400],
  ],
  places: [[300, 50]],
  distanceMm: 800,
}
const close = (got: readonly number[], wanted: readonly number[]) =>
  got.forEach((figure, i) => expect(figure).toBeCloseTo(wanted[i]!, 6))

describe('a photograph', () => {
  it('is laid by one place and a distance: 400 px are 800 mm', () => {
    const map = photoMap(LEVEL)
    expect(map.mmPerPx).toBeCloseTo(2, 12)
    expect(map.turnedDeg).toBeCloseTo(0, 12)
    close(map.toPlace([100, 400]), [300, 50])
    // 50 px higher on the picture is 100 mm higher; 10 px to the right is 20 mm rearward.
    close(map.toPlace([110, 350]), [320, 150])
  })

  it('runs the other way from the right, from above and from behind', () => {
    const placed = (seenFrom: SeenFrom) => photoMap({ ...LEVEL, seenFrom }).toPlace([110, 350])
    close(placed('left'), [320, 150])
    close(placed('right'), [280, 150])
    // The front of the vehicle is at the left of the picture: from above its right side is up.
    close(placed('above'), [320, -50])
    close(placed('below'), [320, 150])
    // From the front the vehicle’s left is at the right.
    close(placed('front'), [320, 150])
    close(placed('behind'), [280, 150])
  })

  it('is turned by two places, which also tell how far apart they are', () => {
    const scale: PhotoScale = {
      ...LEVEL,
      places: [
        [0, 0],
        [0, 1000],
      ],
      distanceMm: undefined,
    }
    const map = photoMap(scale)
    expect(map.mmPerPx).toBeCloseTo(2.5, 12)
    expect(map.turnedDeg).toBeCloseTo(90, 9)
    close(map.toPlace([500, 400]), [0, 1000])
    close(map.toPlace([100, 396]), [-10, 0])
  })

  it('brings both points onto their places, keeps shapes and leads back, from any side', () => {
    const spot = fc.tuple(fc.integer({ min: 0, max: 2000 }), fc.integer({ min: 0, max: 1500 }))
    const place = fc.tuple(fc.integer({ min: -3000, max: 3000 }), fc.integer({ min: -800, max: 1500 }))
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(SEEN_FROM) as SeenFrom[])),
        fc.tuple(spot, spot, spot, spot),
        fc.tuple(place, place),
        (seenFrom, [a, b, one, two], places) => {
          fc.pre(Math.hypot(a[0] - b[0], a[1] - b[1]) > 20)
          fc.pre(Math.hypot(places[0][0] - places[1][0], places[0][1] - places[1][1]) > 20)
          const { toPlace, toPixel, mmPerPx } = photoMap({ seenFrom, points: [a, b], places })
          close(toPlace(a), places[0])
          close(toPlace(b), places[1])
          close(toPixel(toPlace(one)), one)
          const [from, to] = [toPlace(one), toPlace(two)]
          expect(Math.hypot(from[0] - to[0], from[1] - to[1])).toBeCloseTo(
            mmPerPx * Math.hypot(one[0] - two[0], one[1] - two[1]),
            5,
          )
        },
      ),
      { seed: 3, numRuns: 300 },
    )
  })

  it('is none with points on each other or without a distance', () => {
    const faulty = (scale: PhotoScale) => () => photoMap(scale)
    expect(
      faulty({
        ...LEVEL,
        points: [
          [5, 5],
          [9, 9],
        ],
      }),
    ).toThrow(CoreError)
    expect(faulty({ ...LEVEL, distanceMm: undefined })).toThrow('the distance of the two points is not known')
    expect(
      faulty({
        ...LEVEL,
        places: [
          [1, 1],
          [1, 1],
        ],
      }),
    ).toThrow(CoreError)
  })
})

describe('depth', () => {
  it('makes 100 mm nearer at 3 m look 3.4 % larger', () => {
    expect(depthShare(3000, 100)).toBeCloseTo(0.034483, 6)
    expect(depthShare(3000, -100)).toBeCloseTo(-0.032258, 6)
    expect(() => depthShare(3000, 3000)).toThrow(CoreError)
    expect(() => depthShare(0, 10)).toThrow(CoreError)
  })

  it('is what a pinhole camera shows: of 600 mm it makes 620.7, and the far corner 10.3 mm out of place', () => {
    // A line of 600 mm, 100 mm nearer than the points that scale the picture: traced it is 600 · 3000/2900 long.
    const traced = (600 * 3000) / 2900
    const corners = [
      [-traced / 2, 0],
      [traced / 2, 0],
    ] as const
    const fault = depthFault(corners, [0, 0], 3000, 100)
    expect(fault.longMm).toBeCloseTo(traced - 600, 9)
    expect(fault.placeMm).toBeCloseTo((traced - 600) / 2, 9)
    expect(depthFault([], [0, 0], 3000, 100)).toMatchObject({ longMm: 0, placeMm: 0 })
  })
})

describe('a build with a photograph', () => {
  const traced = (changed: (raw: any) => void = () => undefined): Build => {
    const raw = rawDemo() as any
    raw.photos = [{ id: 'p', name: 'engine from the left', scale: structuredClone(LEVEL) }]
    raw.bodies[1].outlines = [
      {
        view: 'side',
        corners: [
          [0, 0],
          [100, 0],
          [100, 80],
        ],
        photo: 'p',
      },
      {
        view: 'side',
        corners: [
          [0, 0],
          [100, 0],
          [100, 80],
        ],
      },
    ]
    changed(raw)
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error(parsed.problems.map(({ path, message }) => `${path}: ${message}`).join())
    return parsed.value
  }

  it('takes what was traced along when it is scaled anew, and nothing else', () => {
    const build = traced()
    const after = rescaled(build, 'p', { ...LEVEL, seenFrom: 'front', distanceMm: 400 })
    const [one, other] = after.bodies[1]!.outlines!
    expect(one!.view).toBe('front')
    // About the first point, which stays at (300, 50), all is half as large.
    close(one!.corners[0]!, [150, 25])
    close(one!.corners[2]!, [200, 65])
    expect(other).toEqual(build.bodies[1]!.outlines![1])
    expect(after.photos![0]!.scale!.distanceMm).toBe(400)
    expect(parseBuild(JSON.parse(JSON.stringify(after))).ok).toBe(true)
  })

  it('keeps the corners when the photograph goes', () => {
    const build = traced()
    const { bodies, photos } = withoutPhoto(build, 'p')
    expect(photos).toEqual([])
    const [before, after] = [build, { bodies }].map((one) => one.bodies[1]!.outlines![0]!)
    expect(after).toEqual({ view: before!.view, corners: before!.corners })
  })

  it.each([
    [
      'a photograph that is not there',
      'bodies[1].outlines[0].photo',
      (raw: any) => (raw.bodies[1].outlines[0].photo = 'x'),
    ],
    ['no distance', 'photos[0].scale', (raw: any) => delete raw.photos[0].scale.distanceMm],
    ['one point', 'photos[0].scale.points', (raw: any) => raw.photos[0].scale.points.pop()],
    ['another side', 'photos[0].scale.seenFrom', (raw: any) => (raw.photos[0].scale.seenFrom = 'inside')],
    [
      'words for px',
      'photos[0].scale.points[1][0]',
      (raw: any) => (raw.photos[0].scale.points[1][0] = 'far'),
    ],
  ])('is refused with %s, by its place', (_, path, spoil) => {
    expect(() => traced(spoil)).toThrow(`${path}:`)
  })
})
