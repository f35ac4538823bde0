import fc from 'fast-check'
import bay from '../../demo/sedge-wagon.lurvan.json'
import { add, cross, dot, norm, scale, sub, type Vec3 } from '../base/linalg/vec3'
import { radians } from '../base/units/angle'
import { copedTubeScene } from '../drawing/copedTubeScene'
import { parseBuild } from '../file/open/parseBuild'
import { staysBecause, withoutBody } from '../file/edits/withoutBody'
import { cope } from '../making/copes/cope'
import { wrapCut } from '../making/copes/wrapEnd'
import { wrapTemplate } from '../making/templates/wrapTemplate'
import { resultJson } from '../show/result/resultJson'
import { printedEnds, tubeChange, tubeEndRows, tubeSteps } from '../show/text/copedTubeText'
import { changedBay, tapedBay } from '../testdata/bay'
import { coverage, within } from '../testdata/coverage'
import { demoBuild } from '../testdata/demos'
import { readOnce } from '../testdata/readOnce'
import type { Build } from '../file/build/build'
import { COPED_TUBES, jointOf, tubeFigureId } from './copedTubeSubject'
import { evaluateBuild } from './evaluateBuild'
import { foundOf } from './subject'

const tubeOf = (build: Build) => foundOf(evaluateBuild(build, {}).subjects, COPED_TUBES)[0]!
const known = (build: Build) => {
  const { found } = tubeOf(build)
  if (!found.known) throw new Error(JSON.stringify(found.missing))
  return found.value
}
const build = demoBuild('sedge-wagon')
const setPoint = (raw: any, point: string, [station, left, up]: Vec3) =>
  Object.assign(
    raw.readings.find((one: any) => one.point === point),
    { station: `${station}`, offset: `${Math.abs(left)}`, side: left < 0 ? 'right' : 'left' },
    { height: `${Math.abs(up)}`, heightWay: up < 0 ? 'below' : 'above' },
  )
/** The way from the axis of a tube that lies on another to its outside. */
const fromAxis = (at: Vec3, [a, b]: readonly [Vec3, Vec3]) => {
  const way = sub(b, a)
  return norm(cross(sub(at, a), way)) / norm(way)
}

describe('a tube of a build', () => {
  it('is as long as its axes and its cuts ask for', () => {
    const { ends, figures } = known(build)
    const [first, second] = ends
    // From (1240, 70 left, 60 down) to (960, 326 left, 23 down); the first foot is its point.
    const long = Math.hypot(280, 256, 37)
    expect(figures.axisMm).toBeCloseTo(long - second!.figures.footMm!, 9)
    expect(first!.figures.angleDeg).toBeCloseTo((Math.acos(-256 / long) * 180) / Math.PI, 9)
    const joints = ends.map((end, k) => jointOf(tubeOf(build).tube, k, end)!)
    const [one, other] = joints.map((joint) => cope(joint))
    expect(first!.figures).toMatchObject({
      tipMm: expect.closeTo(one!.cutMm!.least, 6),
      rootMm: expect.closeTo(one!.cutMm!.most, 6),
      roomMm: 11,
    })
    expect(figures.sawMm).toBeCloseTo(figures.axisMm! - one!.cutMm!.least - other!.cutMm!.least + 5, 6)
    const match = wrapCut({ joint: joints[1]!, matchDeg: figures.twistDeg! })[0]![1]
    expect(figures.matchMm).toBeCloseTo(figures.axisMm! - one!.rows[0]!.cutMm! - match, 9)
  })

  it('lies on both of its mains all the way round, whichever way they lie', () => {
    const spread = (most: number) => fc.integer({ min: -most, max: most })
    fc.assert(
      fc.property(spread(150), spread(150), spread(60), spread(10), (forward, aside, up, past) => {
        const turned = changedBay((raw) => {
          raw.copedTubes[0].ends[0].main.outerMm = 90
          raw.copedTubes[0].ends[1].main.outerMm = 90
          setPoint(raw, 'tube-cross-left', [1240 + forward, 370, -60 + up])
          setPoint(raw, 'tube-cross-right', [1240 - forward, -230, -60 - up])
          setPoint(raw, 'tube-side-front', [700, 330 + aside, -20 + past])
          setPoint(raw, 'tube-side-rear', [1200, 322 - aside, -28 + past - up])
        })
        const { ends, figures } = known(turned)
        const { tube } = tubeOf(turned)
        const [first, second] = ends as [(typeof ends)[0], (typeof ends)[0]]
        const along = scale(sub(second.at, first.at), 1 / norm(sub(second.at, first.at)))
        const main = sub(first.main![1], first.main![0])
        const flat = sub(main, scale(along, dot(main, along)))
        const toward = scale(flat, 1 / norm(flat))
        for (const [k, end] of ends.entries()) {
          const joint = jointOf(tube, k, end)!
          if (end.figures.tipMm === undefined) continue
          for (const turn of [0, 40, 155, 260]) {
            const phi = k === 0 ? turn : figures.twistDeg! - turn
            // A line of the tube's outside, right-handed about it from its first end.
            const side = add(
              scale(toward, Math.cos(radians(turn))),
              scale(cross(along, toward), Math.sin(radians(turn))),
            )
            const at = (cut: number): Vec3 => {
              const inward = end.figures.footMm! + cut
              return add(add(end.at, scale(along, k === 0 ? inward : -inward)), scale(side, 19))
            }
            const meets = wrapCut({ joint: { ...joint, branchWallMm: 1e-6 }, matchDeg: phi })[0]![1]
            expect(fromAxis(at(meets), end.main!)).toBeCloseTo(45, 4)
          }
        }
      }),
      { numRuns: 25 },
    )
  })

  it('is printed so that both wraps begin at the match line and stand as far apart as is said', () => {
    const evaluation = tubeOf(build)
    const ends = printedEnds(evaluation, build.points)
    expect(ends.map(({ faces, edgeMm }) => [faces, edgeMm])).toEqual([
      ['cross tube, right end', 90],
      ['as at the first end', 100],
    ])
    const { marks, size } = wrapTemplate('strut', ends, 0.1)
    const outlines = marks.flatMap((mark) => (mark.form === 'outline' ? [mark.points] : []))
    expect(size[0]).toBeCloseTo(Math.PI * 38.1, 9)
    const { figures } = known(build)
    // What both wraps take off at the match line, with what lies between them, is the way from axis to axis.
    const high = outlines.map((points) => points.at(-1)![1] - points[0]![1])
    expect(high[0]! + high[1]!).toBeCloseTo(figures.matchMm! - (figures.axisMm! - 190), 9)
    expect(tubeSteps(evaluation, build.points, build.units)).toEqual([
      'saw 337.3 mm of 38 × 3 round tube and scribe one line along it, the match line',
      'wrap both prints with their edges along the match line, their straight edges 190.7 mm apart',
      'the second end is turned by 170.0° against the first: the print holds it, if both wraps begin at one line',
      'between the cuts along the match line: 332.3 mm',
    ])
  })

  it('tells flats for an end that is square to its main, and a branch that overhangs', () => {
    const square = changedBay((raw) => {
      setPoint(raw, 'strut-head', [960, 70, -60])
      delete raw.copedTubes[0].ends[1].main
    })
    expect(tubeEndRows(tubeOf(square), square.units)).toEqual([
      expect.objectContaining({ angle: '90.0°', flats: 'two at 19.6°, then 1.9 mm to hollow out' }),
      expect.objectContaining({ main: 'cut square', flats: '' }),
    ])
    expect(tubeSteps(tubeOf(square), square.points, square.units)[1]).toMatch(
      /^wrap the print .* 220.0 mm from the square end$/,
    )
    const beside = changedBay((raw) => (raw.copedTubes[0].ends[1].main.outerMm = 38))
    expect(tubeOf(beside).checks.map(({ verdict }) => verdict)).toEqual(['holds', 'out'])
    expect(tubeSteps(tubeOf(beside), beside.points, beside.units)).toEqual([])
    expect(copedTubeScene(tubeOf(beside), 700)).toBeNull()
  })

  it('is drawn between its mains', () => {
    const scene = copedTubeScene(tubeOf(build), 700)!
    expect(scene.mains).toHaveLength(2)
    const [from, to] = scene.match
    const perMm = (to[0] - from[0]) / known(build).figures.matchMm!
    const ys = [...scene.front, ...scene.behind].map(([, y]) => y)
    expect((Math.max(...ys) - Math.min(...ys)) / perMm).toBeCloseTo(38, 6)
  })

  it('says how it lies otherwise than when it was made', () => {
    const { figures, ends } = known(build)
    const made = {
      at: '2026-11-20',
      axisMm: figures.axisMm,
      twistDeg: figures.twistDeg,
      firstDeg: ends[0]!.figures.angleDeg,
    }
    const later = changedBay((raw) => {
      raw.copedTubes[0].made = made
      setPoint(raw, 'strut-head', [970, 326, -23])
    })
    const change = tubeChange(tubeOf(later))!
    expect(change.isStale).toBe(true)
    expect(change.longerMm).toBeCloseTo(Math.hypot(270, 256, 37) - Math.hypot(280, 256, 37), 0)
    const same = changedBay((raw) => (raw.copedTubes[0].made = made))
    expect(tubeChange(tubeOf(same))).toEqual({
      longerMm: expect.closeTo(0, 9),
      turnedDeg: expect.closeTo(0, 9),
      isStale: false,
    })
    expect(tubeChange(tubeOf(build))).toBeNull()
  })

  it('refuses what is no tube, waits for what is missing, and keeps its points', () => {
    const refused = (edit: (tube: any) => void) => {
      const raw = structuredClone(bay) as any
      edit(raw.copedTubes[0])
      const parsed = parseBuild(raw)
      return parsed.ok ? 'let in' : parsed.problems.map(({ path }) => path).join(' ')
    }
    expect(refused((tube) => (tube.wallMm = 19))).toBe('copedTubes[0].wallMm')
    expect(refused((tube) => (tube.ends[1].point = 'strut-foot'))).toBe('copedTubes[0].ends[1].point')
    expect(refused((tube) => (tube.ends[0].main.b = 'nowhere'))).toBe('copedTubes[0].ends[0].main.b')
    expect(refused((tube) => (tube.ends[0].main.b = 'tube-cross-left'))).toBe('copedTubes[0].ends[0].main.b')
    expect(refused((tube) => tube.ends.pop())).toBe('copedTubes[0].ends')
    const unread = changedBay((raw) => {
      raw.readings = raw.readings.filter(({ point }: any) => point !== 'strut-head')
    })
    const { found } = tubeOf(unread)
    expect(found.known ? [] : found.missing[0]!.what).toContain('strut, at the side tube')
    expect(staysBecause(build, 'chassis')).not.toBeNull()
    expect(withoutBody(build, 'air-filter').copedTubes).toEqual(build.copedTubes)
    expect((resultJson(build) as any).copedTubes).toEqual([
      expect.objectContaining({ id: 'strut', matchMm: expect.closeTo(332.265, 3) }),
    ])
  })

  it('holds its lengths and turns within ±, in 95 of 100 vehicles', () => {
    const truth = tapedBay(['strut-foot', 'strut-head', 'tube-side-front', 'tube-side-rear'])
    const covered = coverage({
      truth,
      readOnce: (random) => readOnce(truth, random),
      figures: Object.fromEntries(
        (['matchMm', 'twistDeg'] as const).map((name) => [
          tubeFigureId('strut', name),
          (evaluation: ReturnType<typeof evaluateBuild>) => figureOf(evaluation, name),
        ]),
      ),
    })
    expect(Object.values(covered)).toEqual([within, within])
  })
})

function figureOf({ subjects }: ReturnType<typeof evaluateBuild>, name: 'matchMm' | 'twistDeg'): number {
  const { found } = foundOf(subjects, COPED_TUBES)[0]!
  return found.known ? found.value.figures[name]! : NaN
}
