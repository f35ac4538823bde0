import { evaluateBuild } from '../model/evaluateBuild'
import { demoFile } from '../testdata/demoFile'
import { chainPicture, linePicture } from './chainScene'
import { chainShapes, liveAxleShapes } from './chainShapes'
import { placePanes } from './placePanes'
import { chainLevels, movedBodies, placeBackdrop, placeSpan } from './placeScene'

const BUGGY = demoFile('comfrey-buggy')
const CART = demoFile('burdock-cart')
const pictured = (build: typeof CART, index = 0, settings = {}) => {
  const now = evaluateBuild(build, settings).chains[index]!
  return { now, picture: chainPicture(build, now)! }
}
const apart = ([a, b]: readonly [number, number], [c, d]: readonly [number, number]) =>
  Math.hypot(c - a, d - b)

describe('a chain in its picture', () => {
  it.each([
    ['on two sprockets', CART, 0],
    ['with a tensioner', BUGGY, 0],
    ['about shafts along the vehicle', CART, 1],
  ] as const)('has as many links as it has, each as long as its pitch, %s', (_name, build, index) => {
    const { picture, now } = pictured(build, index)
    const { links, pitchMm } = now.chain
    expect(picture.pins).toHaveLength(links!)
    picture.pins.forEach((pin, i) => {
      const next = picture.pins[(i + 1) % picture.pins.length]!
      // Where a run meets a sprocket, chord and circle differ by hundredths.
      expect(Math.abs(apart(pin, next) / pitchMm - 1)).toBeLessThan(0.03)
    })
  })

  it('lies on every sprocket it touches, teeth in the gaps', () => {
    const { picture } = pictured(BUGGY)
    for (const { at, radiusMm, teeth, sprocket } of picture.sprockets) {
      const on = picture.pins.filter((pin) => Math.abs(apart(pin, at) - radiusMm) < 0.05)
      expect([sprocket.id, on.length > 0]).toEqual([sprocket.id, true])
      expect(teeth).toHaveLength(4 * sprocket.teeth)
    }
  })

  it('hangs in its slack run alone, by what is too much', () => {
    const { picture, now } = pictured(CART)
    expect(picture.runs.map(({ isTight, isSlack }) => [isTight, isSlack])).toEqual([
      [true, false],
      [false, true],
    ])
    expect(picture.slack?.halfMm).toBeCloseTo(7.75, 2)
    expect(now.slackSpan).toBe(1)
    // Downward on the paper, square to the run.
    const { square } = picture.slack!
    expect(Math.hypot(...square)).toBeCloseTo(1, 9)
    expect(square[1]).toBeLessThan(0)
  })

  it('is pulled below where its first sprocket turns backward', () => {
    const turned = demoFile('burdock-cart', (raw) => (raw.chains[0].turnsBackward = true))
    expect(pictured(turned).picture.runs.map(({ isTight }) => isTight)).toEqual([false, true])
  })

  it('offers what tightens it, and guides, to the hand', () => {
    expect(pictured(CART).picture.handles.map(({ leverId, along }) => [leverId, along])).toEqual([
      ['jack-bolt', [-1, 0]],
    ])
    expect(pictured(BUGGY).picture.handles.map(({ leverId }) => leverId)).toEqual([
      'jack-bolt',
      'tensioner-up',
    ])
  })
})

describe('the line from above', () => {
  it('shows each sprocket off the plane of the largest, and none turned against itself', () => {
    const { now } = pictured(CART)
    const [front, rear] = linePicture(now)!
    expect(rear?.at[1]).toBeCloseTo(now.aligned[0]!.offsetMm, 9)
    expect(front?.at[1]).toBeCloseTo(0, 9)
    expect(rear?.half[1]).toBeCloseTo(0, 9)
    const slope = Math.atan2(-(front?.half[1] ?? 0), front?.half[0] ?? 1)
    expect((slope * 180) / Math.PI).toBeCloseTo(-now.aligned[0]!.yawDeg, 2)
  })
})

describe('chains in the drawing of the vehicle', () => {
  it('stand where their sprockets do, in every view', () => {
    const now = evaluateBuild(CART, {})
    for (const view of ['side', 'top', 'front'] as const) {
      const shapes = chainShapes(now, view)
      // Two rounds and two runs each.
      expect(shapes).toHaveLength(8)
      for (const shape of shapes)
        expect('points' in shape && shape.points.flat().every(Number.isFinite)).toBe(true)
    }
    expect(liveAxleShapes(CART, now, 'top')).toHaveLength(1)
    expect(liveAxleShapes(CART, now, 'side')).toEqual([])
  })
  it('are inside what the board of trials shows, high and low', () => {
    for (const build of [CART, BUGGY]) {
      const now = evaluateBuild(build, {})
      const moved = movedBodies(build, now)
      const span = placeSpan(build, now)
      const { panes } = placePanes(
        placeBackdrop(build, now, span, moved).side,
        span,
        890,
        0,
        chainLevels(now),
      )
      const { projection, width, height } = panes[0]!
      const corners = chainShapes(now, 'side').flatMap((shape) => ('points' in shape ? shape.points : []))
      const [xs, ys] = [corners.map(([x]) => projection.x(x)), corners.map(([, y]) => projection.sideY(y))]
      expect(Math.min(...xs, ...ys)).toBeGreaterThan(0)
      expect(Math.max(...xs)).toBeLessThan(width)
      expect(Math.max(...ys)).toBeLessThan(height)
    }
  })
})
