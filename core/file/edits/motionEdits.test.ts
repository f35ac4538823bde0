import { askedIds } from '../../testdata/askedIds'
import type { AxleBody } from '../parts/body'
import type { Build } from '../build/build'
import { parseBuildText } from '../open/parseBuild'
import { measuringTour } from '../../measure/tour/tour'
import { changedDemo } from '../../testdata/builds'
import { MOTION_WAYS, withHeight, withMotion, withoutHeight, withoutMotion, withTravel } from './motionEdits'

const demo = changedDemo(() => undefined)
const axleOf = (build: Build) => build.bodies.find(({ kind }) => kind === 'axle') as AxleBody
const problems = (build: Build) => {
  const parsed = parseBuildText(JSON.stringify(build))
  return parsed.ok ? [] : parsed.problems
}

describe('how an axle moves', () => {
  it.each(MOTION_WAYS)(
    'is told by %s: a file that opens, with points that are asked for, and goes again',
    (way) => {
      const told = withMotion(demo, 'rear-axle', way)
      expect(problems(told)).toEqual([])
      const added = told.points.slice(demo.points.length).map(({ id }) => id)
      const asked = askedIds(measuringTour(told, 'setup-1'))
      for (const id of added) expect(asked).toContain(id)
      expect(added.length > 0).toBe(way !== 'table')
      expect(withoutMotion(told, 'rear-axle')).toEqual(demo)
      // Another way takes its place, and nothing of the one before is left.
      expect(withMotion(told, 'rear-axle', 'table')).toEqual(withMotion(demo, 'rear-axle', 'table'))
    },
  )

  it('takes the levers of its links along when it goes', () => {
    const told = withMotion(demo, 'rear-axle', 'four-link')
    const motion = axleOf(told).motion!
    if (motion.kind !== 'links') throw new Error('no links')
    const lever = {
      id: 'long',
      kind: 'link-length',
      body: 'rear-axle',
      holding: motion.holdings[2]!.id,
      range: [-10, 10],
      step: 1,
    } as const
    const adjustable: Build = {
      ...told,
      levers: [...told.levers, lever],
      positions: told.positions.map((position) => ({ ...position, settings: { long: 4 } })),
    }
    expect(problems(adjustable)).toEqual([])
    expect(problems({ ...adjustable, levers: [...told.levers, { ...lever, holding: 'nothing' }] })).toEqual([
      expect.objectContaining({ path: `levers[${told.levers.length}].holding` }),
    ])
    expect(withoutMotion(adjustable, 'rear-axle').levers).toEqual(demo.levers)
    expect(withoutMotion(adjustable, 'rear-axle').positions).toEqual(demo.positions)
  })

  it('is left as it is where there is no such axle', () => {
    expect(withMotion(demo, 'chassis', 'arc')).toBe(demo)
    expect(withHeight(demo, 'rear-axle', { wheelUpMm: 0, stationMm: 1, noseDeg: 1 })).toBe(demo)
  })

  it('refuses points on the wrong side of what moves, by their place', () => {
    const told = withMotion(demo, 'rear-axle', 'arc')
    const wrong = {
      ...told,
      bodies: told.bodies.map((body) =>
        body.id === 'rear-axle'
          ? { ...body, motion: { kind: 'arc', seat: 'mount-left', eye: 'axle-centre' } }
          : body,
      ),
    } as Build
    expect(problems(wrong).map(({ path }) => path)).toEqual(['bodies[2].motion.seat', 'bodies[2].motion.eye'])
  })
})

describe('heights that are read', () => {
  const table = withMotion(demo, 'rear-axle', 'table')
  const rows = (build: Build) => {
    const { motion } = axleOf(build)
    return motion?.kind === 'table' ? motion.rows : []
  }

  it('count from ride height, in the order of their heights, whichever was read first', () => {
    expect(withHeight(table, 'rear-axle', { wheelUpMm: -90, stationMm: 2323, noseDeg: 6.7 })).toBe(table)
    const ride = withHeight(table, 'rear-axle', { wheelUpMm: 0, stationMm: 2317, noseDeg: 4.6 })
    const droop = withHeight(ride, 'rear-axle', { wheelUpMm: -90, stationMm: 2323, noseDeg: 6.7 })
    const bump = withHeight(droop, 'rear-axle', { wheelUpMm: 70, stationMm: 2318.5, noseDeg: 3.4 })
    expect(problems(bump)).toEqual([])
    expect(rows(bump)).toEqual([
      { wheelUpMm: -90, forwardMm: -6, noseUpDeg: expect.closeTo(2.1, 9) },
      { wheelUpMm: 0, forwardMm: 0, noseUpDeg: 0 },
      { wheelUpMm: 70, forwardMm: -1.5, noseUpDeg: expect.closeTo(-1.2, 9) },
    ])
    const again = withHeight(bump, 'rear-axle', { wheelUpMm: 70, stationMm: 2318, noseDeg: 3.4 })
    expect(rows(again)).toHaveLength(3)
    expect(rows(again)[2]!.forwardMm).toBe(-1)
    expect(rows(withoutHeight(again, 'rear-axle', 70))).toHaveLength(2)
    expect(withoutHeight(again, 'rear-axle', 0)).toBe(again)
  })

  it('stay as they were read when ride height is read anew', () => {
    const ride = withHeight(table, 'rear-axle', { wheelUpMm: 0, stationMm: 2317, noseDeg: 4.6 })
    const droop = withHeight(ride, 'rear-axle', { wheelUpMm: -90, stationMm: 2323, noseDeg: 6.7 })
    const anew = withHeight(droop, 'rear-axle', { wheelUpMm: 0, stationMm: 2320, noseDeg: 4.1 })
    // Still 2323 and 6.7 there: now 3 behind ride height, and 2.6 further up.
    expect(rows(anew)[0]).toEqual({ wheelUpMm: -90, forwardMm: -3, noseUpDeg: expect.closeTo(2.6, 9) })
  })

  it('and how far the wheels go, an emptied figure taken out', () => {
    const reach = withTravel(demo, 'rear-axle', { droopMm: 90, strapMm: 78 })
    expect(axleOf(reach).travel).toEqual({ bumpMm: 0, droopMm: 90, strapMm: 78 })
    expect(axleOf(withTravel(reach, 'rear-axle', { strapMm: undefined })).travel).toEqual({
      bumpMm: 0,
      droopMm: 90,
    })
    expect(problems(reach)).toEqual([])
  })
})
