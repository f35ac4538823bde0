import { openedBay, openedBuild, openedDemo, storedBuild } from '../../tests/support/opened'
import van from '../../demo/osier-van.lurvan.json'
import { parseBuild } from '../../core/file/open/parseBuild'
import { leverInstruction, leverName } from '../../core/show/told/leverText'
import { useLevers } from './levers'
import { useMounts } from './mounts'
import { useWeight } from './weight'

describe('mounts of a build', () => {
  it('tell each case, follow a stiffness and a lever, and are undone', async () => {
    const workbench = await openedBay()
    const mounts = useMounts()
    expect(mounts.at!.at.key).toBe('drive')
    const roll = () => mounts.at!.rollDeg
    const before = roll()
    mounts.change('left', { upNPerMm: 900 })
    mounts.change('right', { upNPerMm: 900 })
    await storedBuild()
    expect(roll()).toBeLessThan(before)
    mounts.looked = 'bump'
    expect(mounts.forces).toHaveLength(3)
    expect(mounts.share).toContain('% of the shaft’s reaction')
    await workbench.undo()
    await workbench.undo()
    await storedBuild()
    mounts.looked = 'drive'
    expect(roll()).toBeCloseTo(before, 9)
    expect(mounts.panes(300).map(({ view }) => view)).toEqual(['behind', 'side'])
    const up = mounts.found.known ? mounts.found.value.mounts[2]!.at[2] : NaN
    useLevers().set('Pack the tail', { tail: 5 })
    expect(mounts.found.known && mounts.found.value.mounts[2]!.at[2]).toBeCloseTo(up + 5, 1)
  })

  it('carry what hangs on the hoist at once: a mass that is changed, or still to come', async () => {
    const workbench = await openedBay()
    const mounts = useMounts()
    const kg = () => (mounts.found.known ? mounts.found.value.unit.massKg : NaN)
    const keys = () => mounts.rows.map(({ key }) => key)
    expect(kg()).toBe(217)
    useWeight().changeMass('engine', { kg: 181 })
    await storedBuild()
    expect(kg()).toBe(227)
    useWeight().changeMass('gearbox', { later: true })
    await storedBuild()
    expect([kg(), keys().includes('complete')]).toEqual([181, true])
    await workbench.undo()
    await storedBuild()
    expect([kg(), keys().includes('complete')]).toEqual([227, false])
  })

  it('keep a push, rubber and a misfit beside the figures that are taken from them', async () => {
    await openedBay()
    const mounts = useMounts()
    mounts.changePart('tail', 'push', { loadN: 900, moveMm: 1.5 })
    mounts.changePart('tail', 'misfit', { upMm: 2 })
    const { mounts: stored } = await storedBuild()
    expect(stored![2]).toMatchObject({ push: { loadN: 900, moveMm: 1.5 }, misfit: { upMm: 2 } })
    // Its bolt lies across: 420 upright.
    expect(mounts.strains).toEqual(['gearbox mount: 840 N stays in its bolt, 840 up'])
    mounts.turnInto('tail', 'stop')
    expect((await storedBuild()).mounts![2]).toMatchObject({ kind: 'stop', way: 'up' })
    expect((await storedBuild()).mounts![2]!.push).toBeUndefined()
  })

  it('are the three of the powertrain first, wait for their figures, and become another kind', async () => {
    await openedDemo()
    const mounts = useMounts()
    mounts.adopt()
    const { mounts: taken = [] } = await storedBuild()
    expect(taken.map(({ point, isTail }) => [point, isTail ?? false])).toEqual([
      ['mount-left', false],
      ['mount-right', false],
      ['mount-tail', true],
    ])
    expect(mounts.found.known).toBe(false)
    const { id } = taken[2]!
    mounts.change(id, { upNPerMm: 200 })
    mounts.turnInto(id, 'bush')
    mounts.change(id, { axialNPerMm: 90, radialNPerMm: 300 })
    mounts.turn('clockwise')
    const build = await storedBuild()
    expect(build.mounts![2]).toEqual({
      id,
      name: taken[2]!.name,
      point: 'mount-tail',
      kind: 'bush',
      bolt: 'along',
      axialNPerMm: 90,
      radialNPerMm: 300,
      isTail: true,
    })
    expect(build.drivetrain.turns).toBe('clockwise')
  })

  it('are added with a point of their own, which goes with them', async () => {
    await openedBay()
    const mounts = useMounts()
    mounts.add()
    const { mounts: [, , , fourth] = [], points } = await storedBuild()
    expect(points.find(({ id }) => id === fourth!.point)).toMatchObject({ body: 'powertrain' })
    mounts.remove(fourth!.id)
    mounts.remove('tail')
    const left = await storedBuild()
    expect(left.points.some(({ id }) => id === fourth!.point)).toBe(false)
    expect(left.points.some(({ id }) => id === 'mount-tail')).toBe(true)
    expect(left.mounts!.map(({ id }) => id)).toEqual(['left', 'right'])
  })
})

describe('where a mount may stand', () => {
  it('is a lever for each way that is free, moved, called by its mount, and gone with it', async () => {
    const workbench = await openedBay()
    const mounts = useMounts()
    const before = mounts.forces.map(({ size }) => size)
    mounts.free('left', 'mount-aside', true)
    mounts.free('left', 'mount-aside', true)
    mounts.free('left', 'mount-fore', true)
    const build = await storedBuild()
    const [aside, fore] = mounts.leversOf('left')
    expect([aside, fore, mounts.leversOf('right').length]).toMatchObject([
      { kind: 'mount-aside', body: 'powertrain', range: [-100, 100], step: 5 },
      { kind: 'mount-fore' },
      0,
    ])
    expect(leverName(build, aside!)).toBe('left engine mount, sideways')
    expect(leverInstruction(build, aside!, -20)).toBe(
      'Make the place of left engine mount 20.0 mm further right',
    )
    expect(mounts.forces.map(({ size }) => size)).toEqual(before)
    useLevers().set('Set a mount elsewhere', { [aside!.id]: -60 })
    expect(mounts.forces.map(({ size }) => size)).not.toEqual(before)
    useLevers().lock(fore!.id)
    expect(mounts.leversOf('left')[1]!.locked).toBe(true)
    mounts.free('left', 'mount-fore', false)
    mounts.remove('left')
    const without = await storedBuild()
    expect(without.levers.filter(({ mount }) => mount !== undefined)).toEqual([])
    expect(Object.keys(without.positions[0]!.settings)).not.toContain(aside!.id)
    await workbench.undo()
    await storedBuild()
    expect(mounts.leversOf('left').map(({ id }) => id)).toEqual([aside!.id])
  })
})

describe('mounts of a differential', () => {
  it('are told apart from those of the powertrain, and begin as points of their own body', async () => {
    const raw = structuredClone(van) as any
    const axle = raw.bodies.find(({ id }: any) => id === 'rear-axle')
    axle.suspension = 'fixed'
    delete axle.travel
    delete axle.motion
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
    await openedBuild(parsed.value)
    const mounts = useMounts()
    expect([mounts.body!.id, mounts.bodies.map(({ id }) => id)]).toEqual([
      'powertrain',
      ['powertrain', 'rear-axle'],
    ])
    mounts.lookedBody = 'rear-axle'
    mounts.add()
    const stored = await storedBuild()
    expect(stored.points.find(({ id }) => id === stored.mounts![0]!.point)!.body).toBe('rear-axle')
    expect(mounts.entries).toHaveLength(1)
    expect(mounts.found.known ? [] : mounts.found.missing.map(({ what }) => what)).toEqual(
      expect.arrayContaining([expect.stringContaining('the weight of')]),
    )
    expect(mounts.third).toBeNull()
    mounts.lookedBody = 'powertrain'
    expect(mounts.entries).toEqual([])
    mounts.remove(stored.mounts![0]!.id)
    expect((await storedBuild()).mounts).toEqual([])
  })
})
