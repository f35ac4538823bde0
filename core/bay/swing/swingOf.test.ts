import { changedBay } from '../../testdata/bay'
import { demoBuild } from '../../testdata/builds'
import { newWayInPlan, swingSetup, wayParts } from './swingOf'
import { leastLift, type LeastLift } from './wayIn'

const bay = changedBay()
const plan = bay.wayIn!

function found(off: readonly string[]): LeastLift {
  const setup = swingSetup(bay, { ...plan, off })
  if (!setup.known) throw new Error(JSON.stringify(setup.missing))
  const run = leastLift(setup.value, plan.liftMm, { finestMm: 2, mostBoxes: 20_000, liftStepMm: 50 })
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
  }
}

describe('the way into the tight bay', () => {
  it('is there with the front crossmember unbolted, and proved not to be with it in', () => {
    const { way } = found(plan.off)
    expect(way?.liftMm).toBe(0)
    expect(way?.nearest[0]?.mm).toBeGreaterThan(plan.keepMm - 6)
    expect(way?.poses.length).toBeGreaterThan(3)
    const closed = found(plan.off.filter((key) => key !== 'chassis/front crossmember'))
    expect(closed).toEqual({ way: null, noneUpToMm: 600 })
  })

  it('looks at what is drawn from the side, with names, and lets the exhaust go along', () => {
    const parts = wayParts(bay)
    expect(parts.find(({ key }) => key === 'exhaust')?.goesAlong).toBe(true)
    expect(parts.find(({ key }) => key === 'chassis/firewall')?.isOpen).toBe(true)
    expect(parts.find(({ key }) => key === 'chassis/bonnet')?.isLid).toBe(true)
  })

  it('begins a plan with the lid off and what stands beside the unit out of the way', () => {
    const fresh = newWayInPlan(bay)
    expect(fresh.off).toEqual(['chassis/bonnet', 'battery', 'steering-shaft', 'air-filter'])
    // The lowest corner hangs 80 mm or a little more above the highest thing in the way.
    expect(fresh.start.upMm).toBeGreaterThanOrEqual(492 + 92 + 80)
  })

  it('says what has still to be drawn or measured', () => {
    const answer = swingSetup(demoBuild(), newWayInPlan(demoBuild()))
    expect(answer.known ? [] : answer.missing.map(({ what }) => what)).toEqual(
      expect.arrayContaining([
        'the powertrain’s outline from the side, or its box',
        'the station where the front tyres stand',
        'the wheelbase',
      ]),
    )
  })

  it('names an outline whose sides cross, instead of looking for a way', () => {
    const crossed = changedBay((raw) => {
      const corners = raw.bodies[0].outlines.find(({ name }: any) => name === 'steering rack').corners
      ;[corners[0], corners[1]] = [corners[1], corners[0]]
    })
    const answer = swingSetup(crossed, plan)
    expect(answer.known ? '' : answer.missing[0]?.what).toContain('steering rack: its sides cross')
  })
})
