import { leastLift } from '../../core/bay/swing/wayIn'
import type { SwingSetup } from '../../core/bay/swing/scene'
import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { useWayIn } from './wayIn'

jest.mock('comlink', () => ({ proxy: (one: unknown) => one }))
jest.mock('../workers/workerClient', () => ({
  ...jest.requireActual('../workers/workerClient'),
  workerClient: () => ({
    ask: (question: (service: unknown) => Promise<unknown>) => question(service),
    end: () => undefined,
  }),
}))

const service = {
  leastLift: async (setup: SwingSetup, range: readonly [number, number], report: (at: unknown) => void) => {
    const search = leastLift(setup, range)
    for (;;) {
      const step = search.next()
      if (step.done) return step.value
      report(step.value)
    }
  },
}

describe('the way in', () => {
  it('is found, shown from hanging to installed, and stale once something else is in the way', async () => {
    await openedBay()
    const wayIn = useWayIn()
    expect(wayIn.setup?.known).toBe(true)
    await wayIn.search()
    expect(wayIn.failure).toBeNull()
    const way = wayIn.way!
    expect(way.liftMm).toBeGreaterThanOrEqual(0)
    expect(way.liftMm).toBeLessThanOrEqual(600)
    expect(wayIn.along).toBe(0)
    const hanging = wayIn.frame.pose
    expect([hanging.x, hanging.z]).toEqual([way.poses[0]!.x, way.poses[0]!.z])
    wayIn.along = 1
    expect(wayIn.frame.pose).toEqual({ x: 0, z: 0, tiltDeg: 0 })
    const shares = wayIn.stepShares
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
    expect([shares[0], shares.length]).toEqual([0, way.poses.length])

    wayIn.setOff('radiator', false)
    expect((await storedBuild()).wayIn!.off).not.toContain('radiator')
    expect(wayIn.isFresh).toBe(false)
    expect(wayIn.way).toBeNull()
  })

  it('is planned, changed, and of a gearbox alone goes out below', async () => {
    const workbench = await openedDemo()
    const wayIn = useWayIn()
    expect([wayIn.plan, wayIn.setup, wayIn.picture]).toEqual([null, null, null])
    await wayIn.search()
    expect(wayIn.found).toBeNull()
    wayIn.begin()
    expect(wayIn.plan!.liftMm[1]).toBeGreaterThan(0)
    wayIn.change({ keepMm: 25 })
    wayIn.setAlone(true)
    const { wayIn: kept } = await storedBuild()
    expect(kept).toMatchObject({ keepMm: 25, alone: { drawMm: 150, fallDeg: 4.2 }, start: { upMm: -400 } })
    wayIn.setAlone(false)
    expect(wayIn.plan!.alone).toBeUndefined()
    for (let step = 0; step < 4; step++) await workbench.undo()
    await storedBuild()
    expect(wayIn.plan).toBeNull()
  })
})
