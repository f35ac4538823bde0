import { askedIds } from '../../testdata/askedIds'
import { hubById } from '../parts/bodies'
import type { Build } from '../build/build'
import { parseBuildText } from '../open/parseBuild'
import { SUSPENSION_POINTS } from '../parts/hubMotion'
import { measuringTour } from '../../measure/tour/tour'
import { changedDemo } from '../../testdata/builds'
import { HUB_WAYS, withHubMotion, withLength, withoutHubMotion, withoutLength } from './hubEdits'
import { LAYOUTS } from './layouts'
import { withTravel } from './motionEdits'
import { withLayout } from './withLayout'

/** The truck with halfshafts besides: an odd one, but every list of it is filled. */
const build = withLayout(
  changedDemo(() => undefined),
  LAYOUTS.find(({ key }) => key === 'transaxle')!,
)
const problems = (one: Build) => {
  const parsed = parseBuildText(JSON.stringify(one))
  return parsed.ok ? [] : parsed.problems
}

describe('how a hub moves', () => {
  it.each(HUB_WAYS)(
    'is told by %s: a file that opens, with points that are asked for, and goes again',
    (way) => {
      const told = withHubMotion(build, 'left-hub', way)
      expect(problems(told)).toEqual([])
      const added = told.points.slice(build.points.length).map(({ id }) => id)
      const asked = askedIds(measuringTour(told, 'setup-1'))
      for (const id of added) expect(asked).toContain(id)
      // The points of the suspension, and the middle of the wheel.
      expect(added).toHaveLength(way === 'lengths' ? 0 : SUSPENSION_POINTS[way].length + 1)
      expect(withoutHubMotion(told, 'left-hub')).toEqual(build)
      expect(withHubMotion(told, 'left-hub', way)).toBe(told)
      // Another way takes its place, and nothing of the one before is left.
      expect(withHubMotion(withHubMotion(build, 'left-hub', 'strut'), 'left-hub', way)).toEqual(told)
    },
  )

  it('keeps a point that something else needs', () => {
    const told = withHubMotion(build, 'left-hub', 'strut')
    const top = told.points.find(({ name }) => name.includes('top mount'))!
    const gap = { id: 'own', name: 'own', point: top.id, toward: [0, 0, 1], kind: 'static' } as const
    const shifted: Build = {
      ...told,
      shiftLever: { point: top.id } as Build['shiftLever'] & object,
      gaps: [gap as never],
    }
    expect(withoutHubMotion(shifted, 'left-hub').points.map(({ id }) => id)).toContain(top.id)
  })

  it('is measured where a halfshaft drives it, and nowhere else', () => {
    expect(withHubMotion(build, 'chassis', 'strut')).toBe(build)
    const bare: Build = { ...build, lines: build.lines.filter(({ id }) => !id.includes('halfshaft')) }
    expect(withHubMotion(bare, 'left-hub', 'lengths')).toBe(bare)
    expect(withLength(build, 'left-hub', { wheelUpMm: 0, lengthMm: 520 })).toBe(build)
    expect(withoutLength(build, 'left-hub', 0)).toBe(build)
  })

  it('takes distances by rising height, each once', () => {
    const told = [
      [60, 518],
      [0, 521],
      [-80, 517],
      [0, 522],
    ].reduce(
      (sum, [wheelUpMm = 0, lengthMm = 0]) => withLength(sum, 'left-hub', { wheelUpMm, lengthMm }),
      withHubMotion(build, 'left-hub', 'lengths'),
    )
    const rowsOf = (one: Build) => {
      const motion = hubById(one, 'left-hub')?.motion
      return motion?.kind === 'lengths' ? motion.rows.map((row) => [row.wheelUpMm, row.lengthMm]) : null
    }
    expect(rowsOf(told)).toEqual([
      [-80, 517],
      [0, 522],
      [60, 518],
    ])
    expect(problems(withTravel(told, 'left-hub', { bumpMm: 60, droopMm: 80, rackMm: 55 }))).toEqual([])
    expect(rowsOf(withoutLength(told, 'left-hub', 0))).toEqual([
      [-80, 517],
      [60, 518],
    ])
  })
})
