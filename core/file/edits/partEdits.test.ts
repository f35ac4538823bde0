import fc from 'fast-check'
import type { Build } from '../build/build'
import { bareBuild, newBuild } from './newBuild'
import { JOINT_KINDS } from '../parts/lineSpec'
import { parseBuildText } from '../open/parseBuild'
import { changedDemo } from '../../testdata/builds'
import { LAYOUTS } from './layouts'
import {
  insertionsIn,
  partStaysBecause,
  withInsertion,
  withJointKind,
  withoutLine,
  withoutPart,
  withPartMoved,
  type PartOfLine,
} from './partEdits'
import { withoutSeatAxis, withSeatAxis } from './seatAxis'
import { withLayout } from './withLayout'

const WANTED = {
  id: 'empty',
  name: 'Empty',
  units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
  profile: 'road',
  date: '2026-01-01',
} as const
const demo = changedDemo(() => undefined)
const lineOf = (build: Build) => build.lines[0]!
const kinds = (build: Build) => lineOf(build).joints.map(({ kind }) => kind)
const problems = (build: Build) => {
  const parsed = parseBuildText(JSON.stringify(build))
  return parsed.ok ? [] : parsed.problems
}

describe('the seat of a centre bearing', () => {
  const two = withInsertion(demo, 'rear', 0, 'bearing')
  const seated = withSeatAxis(two, 'rear', 0)
  const { axis } = lineOf(seated).shafts[0]!.bearing!

  it('gets an axis of its own to be read, on the bracket that carries it', () => {
    const bracket = two.points.find(({ id }) => id === lineOf(two).shafts[0]!.bearing!.point)!.body
    expect(seated.axes.find(({ id }) => id === axis)).toMatchObject({ body: bracket })
    expect(problems(seated)).toEqual([])
    // It has one now, and a shaft without a bearing gets none.
    expect(withSeatAxis(seated, 'rear', 0)).toBe(seated)
    expect(withSeatAxis(seated, 'rear', 1)).toBe(seated)
  })

  it('goes again, alone or with its bearing, and its readings with it', () => {
    expect(withoutSeatAxis(seated, 'rear', 0)).toEqual(two)
    expect(withoutSeatAxis(two, 'rear', 0)).toBe(two)
    const read: Build = {
      ...seated,
      readings: [
        ...seated.readings,
        { id: 'seat-read', setup: 'setup-1', kind: 'axis-fall', axis: axis!, value: 2 } as never,
      ],
    }
    expect(withoutSeatAxis(read, 'rear', 0).readings).toEqual(demo.readings)
    const gone = withoutPart(seated, 'rear', { part: 'bearing', index: 0 })
    expect(gone.axes).toEqual(demo.axes)
    expect(gone.bodies).toEqual(demo.bodies)
    expect(problems(gone)).toEqual([])
  })
})

describe('parts of a line', () => {
  const tubed = { ...lineOf(demo).shafts[0]!.tube! }
  const two = withInsertion(demo, 'rear', 0, 'bearing')

  it('get a centre bearing: two shafts of one, the joint behind it set by it, and levers to pack it', () => {
    expect(kinds(two)).toEqual(['cross', 'cross', 'cross'])
    const [front, rear] = lineOf(two).shafts
    expect(front!.bearing).toMatchObject({ overhangMm: 60 })
    expect(front!.drivingEnd).toEqual(lineOf(demo).shafts[0]!.drivingEnd)
    expect(front!.drivenEnd).toBeUndefined()
    expect(rear!.drivenEnd).toEqual(lineOf(demo).shafts[0]!.drivenEnd)
    expect(rear!.tube).toEqual(tubed)
    expect(lineOf(two).joints[1]!.point).toBeUndefined()
    expect(two.levers.slice(demo.levers.length).map(({ kind }) => kind)).toEqual(['up', 'sideways', 'fore'])
    expect(problems(two)).toEqual([])
  })

  it.each([
    ['joint', { part: 'joint', index: 1 }],
    ['bearing', { part: 'bearing', index: 0 }],
  ] as const)('lose it again with its %s, and nothing of it is left', (_what, place) => {
    expect(withoutPart(two, 'rear', place)).toEqual({
      ...demo,
      lines: [
        { ...lineOf(demo), shafts: [expect.objectContaining(lineOf(demo).shafts[0]!)] },
        ...demo.lines.slice(1),
      ],
    })
  })

  it('keep their first and last joint, and say why', () => {
    expect(partStaysBecause(lineOf(two), { part: 'joint', index: 2 })).toBe(
      'a line begins and ends with a joint',
    )
    expect(withoutPart(two, 'rear', { part: 'joint', index: 0 })).toBe(two)
    expect(partStaysBecause(lineOf(two), { part: 'shaft', index: 0 })).toBe(
      'a shaft goes with the joint behind it',
    )
  })

  it('change places by what they are, not by where they stand', () => {
    const disc = withJointKind(two, 'rear', 0, 'flex-disc')
    const moved = withPartMoved(disc, 'rear', { part: 'joint', index: 0 }, 1)
    expect(kinds(moved)).toEqual(['cross', 'flex-disc', 'cross'])
    expect(lineOf(moved).joints.map(({ point }) => point)).toEqual(
      lineOf(two).joints.map(({ point }) => point),
    )
    expect(withPartMoved(moved, 'rear', { part: 'joint', index: 0 }, -1)).toBe(moved)
    expect(withPartMoved(moved, 'rear', { part: 'joint', index: 1 }, -1)).toEqual(disc)
  })

  it('lose what only the old kind of joint had', () => {
    const piloted: Build = {
      ...two,
      lines: [
        {
          ...lineOf(two),
          joints: lineOf(two).joints.map((joint) => ({
            ...joint,
            kind: 'flex-disc' as const,
            centringPilot: true,
            limitDeg: 2,
          })),
        },
      ],
    }
    expect(lineOf(withJointKind(piloted, 'rear', 1, 'cv')).joints[1]).toEqual({ id: 'joint-1', kind: 'cv' })
    expect(lineOf(withJointKind(piloted, 'rear', 1, 'flex-disc')).joints[1]).toMatchObject({ limitDeg: 2 })
  })

  it('stay a file that opens, whatever is done to them in whatever order', () => {
    const place = fc.record({
      part: fc.constantFrom('joint', 'shaft', 'bearing', 'slip', 'plunge'),
      index: fc.nat(4),
    }) as fc.Arbitrary<PartOfLine>
    const edit = fc.oneof(
      fc.tuple(fc.nat(4), fc.constantFrom('bearing', 'slip', 'plunge')).map(
        ([at, what]) =>
          (build: Build) =>
            withInsertion(build, lineOf(build).id, at, what as 'slip'),
      ),
      place.map((one) => (build: Build) => withoutPart(build, lineOf(build).id, one)),
      fc.tuple(place, fc.constantFrom(1, -1)).map(
        ([one, by]) =>
          (build: Build) =>
            withPartMoved(build, lineOf(build).id, one, by as 1),
      ),
      fc.tuple(fc.nat(4), fc.constantFrom(...JOINT_KINDS)).map(
        ([at, kind]) =>
          (build: Build) =>
            withJointKind(build, lineOf(build).id, at, kind),
      ),
      fc.constantFrom(...LAYOUTS).map((layout) => (build: Build) => withLayout(build, layout)),
      fc.constant((build: Build) => withoutLine(build, build.lines.at(-1)!.id)),
    )
    const start = fc.constantFrom(
      demo,
      newBuild(WANTED),
      ...LAYOUTS.map((one) => withLayout(bareBuild(WANTED), one)),
    )
    fc.assert(
      fc.property(start, fc.array(edit, { maxLength: 12 }), (from, edits) => {
        const build = edits.reduce((now, next) => next(now), from)
        expect(problems(build)).toEqual([])
        for (const line of build.lines) expect(line.shafts).toHaveLength(line.joints.length - 1)
      }),
      { seed: 20261129, numRuns: 60 },
    )
  })

  it('take a line out with its axes, points, brackets and levers, and leave what others need', () => {
    const both = withLayout(
      demo,
      LAYOUTS.find(({ key }) => key === 'three-piece')!,
    )
    const line = both.lines.at(-1)!
    const left = withoutLine(both, line.id)
    expect(left.lines).toEqual(demo.lines)
    expect(left.axes).toEqual(demo.axes)
    expect(left.levers).toEqual(demo.levers)
    expect(left.points).toEqual(demo.points)
    expect(withoutLine(demo, 'rear')).toBe(demo)
  })

  it('take nothing in twice', () => {
    const slipping = withInsertion(demo, 'rear', 0, 'slip')
    expect(insertionsIn(lineOf(slipping), 0)).toEqual(['bearing'])
    expect(withInsertion(slipping, 'rear', 0, 'plunge')).toBe(slipping)
  })
})
