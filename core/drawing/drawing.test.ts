import { evaluateBuild } from '../model/evaluateBuild'
import { demoBuild, rawDemo } from '../testdata/builds'
import { parseBuild } from '../file/open/parseBuild'
import { calloutBoxes } from './calloutBoxes'
import { lineScene, stationSpan } from './lineScene'
import {
  draggedAmount,
  jointFocus,
  projection,
  rulerMarks,
  steadyFocus,
  steppedAmount,
  wholeFocus,
  zoomed,
} from './projection'
import { windowBar } from './windowBar'

const build = demoBuild()
const now = evaluateBuild(build, {})
const scene = lineScene(build, now)
const FRAME = { width: 900, sideHeight: 280, topHeight: 160 }

describe('lineScene', () => {
  it('puts the joints where the model has them, in both views', () => {
    const ride = now.lines[0]!.ride
    if (!ride.known) throw new Error('unknown')
    const [x, y, z] = ride.value.geometry.centres[1]!
    expect(scene.joints[1]).toMatchObject({
      number: 2,
      at: { side: [-x, z], top: [-x, y] },
      verdict: 'holds',
    })
  })

  it('draws what has no sizes yet in usual ones, marked as such', () => {
    const raw = rawDemo()
    delete raw.bodies[1].sizes
    raw.bodies[0].sizes = {}
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error('refused')
    const parts = (of: typeof scene) => new Set(of.shapes.side.map((shape) => shape.part))
    expect([...parts(scene)].sort()).toEqual([
      'axis-line',
      'axle',
      'ground',
      'powertrain',
      'rail',
      'shaft',
      'tyre',
    ])
    const bare = lineScene(parsed.value, evaluateBuild(parsed.value, {}))
    const usual = bare.shapes.side.filter((shape) => shape.isUsual).map((shape) => shape.part)
    expect([...new Set(usual)].sort()).toEqual(['powertrain', 'rail'])
    // The ground is measured or left out: a usual one would look like a clearance.
    expect(parts(bare).has('ground')).toBe(false)
    expect(scene.shapes.side.some((shape) => shape.isUsual)).toBe(false)
  })

  it('shows the measured place as a ghost once a lever has moved', () => {
    expect(scene.ghosts.side).toEqual([])
    const moved = lineScene(build, evaluateBuild(build, { tail: 20 }))
    const outline = (shapes: typeof scene.shapes.side) => shapes.find((shape) => shape.part === 'powertrain')!
    const before = outline(scene.shapes.side)
    const ghost = outline(moved.ghosts.side)
    expect(ghost).toEqual(before)
    const after = outline(moved.shapes.side)
    if (after.form === 'circle' || before.form === 'circle') throw new Error('an outline is no circle')
    // 20 mm at the tail mount lift the output, farther back, by 20·1030/864.
    expect(after.points[0]![1] - before.points[0]![1]).toBeCloseTo((20 * 1030) / 864, 0)
  })

  it('calls out what is out at its place, the gravest first', () => {
    expect(scene.callouts.map(({ id, checks }) => [id, checks.map((check) => check.verdict)])).toEqual([
      ['rear/shaft/0', ['out', 'tight']],
    ])
  })

  it('offers a grip for each lever', () => {
    expect(scene.handles.map(({ leverId, arm }) => [leverId, Math.round(arm)])).toEqual([
      ['tail', 0],
      ['wedge', 2640 - 2317],
    ])
  })
})

describe('projection', () => {
  const span = stationSpan(build, now)
  const focus = wholeFocus(scene, span, FRAME)

  it('shows the whole line on one scale for both views', () => {
    const view = projection(FRAME, focus, 1)
    for (const joint of scene.joints) {
      expect(view.x(joint.at.side[0])).toBeGreaterThan(0)
      expect(view.x(joint.at.side[0])).toBeLessThan(900)
    }
    expect(view.sideY(0) - view.sideY(100)).toBeCloseTo(100 * view.pxPerMm, 9)
    expect(view.topY(0) - view.topY(100)).toBeCloseTo(100 * view.pxPerMm, 9)
    expect(view.x(1100) - view.x(1000)).toBeCloseTo(100 * view.pxPerMm, 9)
  })

  it('stretches heights only when angles are exaggerated', () => {
    const view = projection(FRAME, focus, 4)
    expect(view.sideY(0) - view.sideY(100)).toBeCloseTo(400 * view.pxPerMm, 9)
    expect(view.x(1100) - view.x(1000)).toBeCloseTo(100 * view.pxPerMm, 9)
  })

  it('closes in on a joint and zooms about the middle', () => {
    const close = jointFocus(scene, 'rear', 1)!
    expect((close.from + close.to) / 2).toBeCloseTo(1178, 9)
    expect(jointFocus(scene, 'rear', 9)).toBeNull()
    expect(zoomed({ from: 0, to: 100, height: 0, offset: 0 }, 2)).toMatchObject({ from: 25, to: 75 })
  })

  it('stays as it is while about the same is shown, and does not drift', () => {
    const kept = steadyFocus(undefined, focus)
    expect(kept).toBe(focus)
    const stretch = focus.to - focus.from
    const moved = (part: number) => ({ ...focus, from: focus.from - part * stretch })
    expect(steadyFocus(kept, moved(0.015))).toBe(kept)
    // Each step is held against what is shown, not against the step before it.
    const steps = [0.005, 0.01, 0.015, 0.02, 0.025].reduce(
      (shown, part) => steadyFocus(shown, moved(part)),
      kept,
    )
    expect(steps).toEqual(moved(0.025))
    expect(steadyFocus(kept, { ...focus, height: focus.height + 0.03 * stretch })).not.toBe(kept)
  })

  it('marks the ruler in the build’s own steps', () => {
    const marks = rulerMarks({ from: 0, to: 1000, height: 0, offset: 0 }, 0.3)
    expect(marks.filter((mark) => mark.rank === 'long').map((mark) => mark.station)).toEqual([0, 500, 1000])
    const inches = rulerMarks({ from: 0, to: 1000, height: 0, offset: 0 }, 0.4, 'in')
    expect(
      inches.filter((mark) => mark.rank === 'long').map((mark) => Math.round(mark.station / 25.4)),
    ).toEqual([0, 8, 16, 24, 32])
  })

  it('turns a drag into steps of the lever, within its range', () => {
    expect(draggedAmount(0, 8.4, 0, 1, [-40, 60])).toBe(8)
    expect(draggedAmount(0, 99, 0, 1, [-40, 60])).toBe(60)
    expect(draggedAmount(1, 323 * Math.tan(Math.PI / 90), 323, 0.5, [-6, 6])).toBe(3)
    expect(steppedAmount(0.30000000000000004, 0.1, [0, 1])).toBe(0.3)
  })
})

describe('calloutBoxes', () => {
  it('neither overlap nor leave the frame', () => {
    const view = projection(FRAME, wholeFocus(scene, stationSpan(build, now), FRAME), 1)
    const callouts = [880, 2400, 2500].map((station, i) => ({
      id: String(i),
      at: [station, 0] as const,
      checks: [],
    }))
    const boxes = calloutBoxes(callouts, view, 900, { width: 200, height: 44 })
    expect(boxes).toHaveLength(3)
    boxes.forEach((box, i) => {
      expect(box.x).toBeGreaterThanOrEqual(0)
      expect(box.x + 200).toBeLessThanOrEqual(900)
      if (i > 0) expect(box.x - boxes[i - 1]!.x).toBeGreaterThanOrEqual(200)
    })
  })
})

describe('windowBar', () => {
  const at = (
    value: number | null,
    window: object,
    plusMinus: number | null = null,
    interval: readonly [number, number] | null = null,
  ) =>
    windowBar({
      value,
      plusMinus,
      interval,
      window: { failLow: null, warnLow: null, warnHigh: null, failHigh: null, ...window },
    })

  it('places the tick on the scale of the limits', () => {
    const bar = at(200, { warnHigh: 300, failHigh: 400 })
    expect(bar.allowed).toEqual({ from: 0, to: 300 / 540 })
    expect(bar.warning).toEqual([{ from: 300 / 540, to: 400 / 540 }])
    expect(bar.tick).toBeCloseTo(200 / 540, 12)
    expect(bar.whisker).toBeNull()
    expect(at(200, { warnHigh: 300, failHigh: 400 }, 54).whisker).toEqual({ from: 146 / 540, to: 254 / 540 })
    expect(at(20, { warnHigh: 300, failHigh: 400 }, 54, [0, 90]).whisker).toEqual({ from: 0, to: 90 / 540 })
  })

  it('pins a value far outside to the end and has no tick for an unknown one', () => {
    expect(at(9999, { failHigh: 400 }).tick).toBe(1)
    expect(at(null, { failHigh: 400 }).tick).toBeNull()
    expect(at(3, {})).toEqual({ allowed: null, warning: [], tick: 0.5, whisker: null })
  })
})
