import { openedDemo, storedBuild } from '../../tests/support/opened'
import { useEvaluation } from './evaluation'
import { useLiftIns } from './liftIns'
import { useLevers } from './levers'
import { usePlace, type NewGap } from './place'
import { useWorkbench } from './workbench'

const HEAD: NewGap = {
  name: 'head to firewall',
  kind: 'static',
  body: 'powertrain',
  obstacle: 'chassis',
  toward: [-1, 0, 0],
  place: {
    station: '470',
    stationWay: 'rearward',
    offset: '40',
    side: 'right',
    height: '390',
    heightWay: 'above',
  },
}

describe('gaps', () => {
  it('may be to a turning shaft: no body, no direction to be said, and a figure without a reading', async () => {
    await openedDemo()
    const place = usePlace()
    const hoop = {
      station: '1700',
      stationWay: 'rearward',
      offset: '0',
      side: 'left',
      height: '90',
      heightWay: 'below',
    } as const
    const shaft = { line: 'rear', index: 0 }
    const id = place.addGap({
      ...HEAD,
      name: 'hoop',
      kind: 'moving',
      body: 'chassis',
      obstacle: '',
      shaft,
      place: hoop,
    })
    const [gap] = (await storedBuild()).gaps
    expect(gap).toMatchObject({ id, shaft })
    expect(gap).not.toHaveProperty('obstacle')
    const found = useEvaluation().current!.gaps.find((one) => one.gap.id === id)!
    // The shaft passes some 100 mm over it.
    if (!found.ride.known) throw new Error(JSON.stringify(found.ride.missing))
    expect(found.ride.value.gapMm).toBeGreaterThan(40)
    expect(found.check.value).toBeCloseTo(found.ride.value.gapMm, -1)
  })

  it('are added with their touch point and, once, the limits of gaps; undo takes all of it back', async () => {
    await openedDemo()
    const place = usePlace()
    const id = place.addGap(HEAD)
    place.addGap({ ...HEAD, name: 'second', obstacle: 'rear-axle' })
    const build = await storedBuild()
    expect(build.gaps).toMatchObject([
      { id, name: 'head to firewall', kind: 'static', toward: [-1, 0, 0] },
      { name: 'second', obstacle: 'rear-axle' },
    ])
    expect(build.gaps[0]).not.toHaveProperty('obstacle')
    expect(build.limits.entries.filter(({ quantity }) => quantity === 'gap')).toHaveLength(5)
    expect(build.points.find(({ id: point }) => point === build.gaps[0]!.point)).toMatchObject({
      body: 'powertrain',
    })
    expect(build.readings.at(-2)).toMatchObject({
      kind: 'given-point',
      station: '470',
      side: 'right',
      plusMinus: '10 mm',
    })
    await useWorkbench().undo()
    await useWorkbench().undo()
    const before = await storedBuild()
    expect([before.gaps, before.limits.entries.some(({ quantity }) => quantity === 'gap')]).toEqual([
      [],
      false,
    ])
  })

  it('to the ground name no obstacle, and are stored like all others', async () => {
    await openedDemo()
    usePlace().addGap({ ...HEAD, name: 'sump', kind: 'ground', obstacle: '', toward: [0, 0, -1] })
    const { gaps } = await storedBuild()
    expect(gaps).toMatchObject([{ name: 'sump', kind: 'ground' }])
    expect(gaps[0]).not.toHaveProperty('obstacle')
  })

  it('are read in the trial that stands, and go with their readings and their own touch point', async () => {
    await openedDemo(
      (raw) =>
        (raw.trials = [
          { id: 't1', name: 'first' },
          { id: 't2', name: 'second' },
        ]),
    )
    const place = usePlace()
    const id = place.addGap(HEAD)
    place.readGap(id, ' 12 ', 'tape', 'free')
    const read = await storedBuild()
    expect(read.readings.at(-1)).toMatchObject({
      kind: 'gap',
      gap: id,
      values: ['12'],
      tool: 'tape',
      trial: 't2',
    })
    place.changeGap(id, { failBelow: 5, warnBelow: 9 })
    place.changeGap(id, { failBelow: undefined })
    expect((await storedBuild()).gaps[0]).toEqual({ ...read.gaps[0], warnBelow: 9 })
    place.removeGap(id)
    const after = await storedBuild()
    expect(after.gaps).toEqual([])
    expect(after.readings.some((one) => one.kind === 'gap')).toBe(false)
    expect(after.points).toHaveLength(read.points.length - 1)
  })

  it('leave a point that something else rests on', async () => {
    await openedDemo((raw) => {
      raw.gaps = [{ id: 'g', name: 'tail to floor', kind: 'static', point: 'mount-tail', toward: [0, 0, 1] }]
    })
    usePlace().removeGap('g')
    const build = await storedBuild()
    expect(build.points.some(({ id }) => id === 'mount-tail')).toBe(true)
    expect(build.readings.some((one) => 'point' in one && one.point === 'mount-tail')).toBe(true)
  })
})

describe('trials and positions', () => {
  it('start a trial packed as the levers stand, behind a first one in which nothing was', async () => {
    await openedDemo((raw) => (raw.trials = []))
    const place = usePlace()
    useLevers().set('Move', { tail: 6 })
    useLiftIns().add('trial 2')
    const { trials } = await storedBuild()
    expect(trials).toMatchObject([{ name: 'first lift-in' }, { name: 'trial 2', packed: { tail: 6 } }])
    expect(trials[0]).not.toHaveProperty('packed')
    expect(place.trial?.name).toBe('trial 2')
    useLiftIns().remove(trials[1]!.id)
    expect((await storedBuild()).trials).toHaveLength(1)
  })

  it('keep a trial that readings belong to', async () => {
    await openedDemo((raw) => {
      raw.trials = [{ id: 't1', name: 'first' }]
      raw.readings[0].trial = 't1'
    })
    useLiftIns().remove('t1')
    expect((await storedBuild()).trials).toHaveLength(1)
  })

  it('keep a setting as another position, choose, name and take away, but never the last', async () => {
    await openedDemo()
    const place = usePlace()
    useLevers().set('Move', { tail: 6 })
    place.addPosition()
    useLevers().set('Move', { tail: 9 })
    const two = await storedBuild()
    expect(two.positions.map(({ name, settings }) => [name, settings.tail])).toEqual([
      ['A', 6],
      ['B', 9],
    ])
    expect(two.chosen).toBe(two.positions[1]!.id)
    place.choosePosition('a')
    expect(useLevers().settings.tail).toBe(6)
    place.renamePosition('a', '  low and back ')
    place.renamePosition('a', '   ')
    expect((await storedBuild()).positions[0]!.name).toBe('low and back')
    expect(place.positions.map(({ evaluation }) => evaluation.settings.tail)).toEqual([6, 9])
    place.removePosition('a')
    const one = await storedBuild()
    expect(one.chosen).toBe(one.positions[0]!.id)
    place.removePosition(one.chosen)
    expect((await storedBuild()).positions).toHaveLength(1)
  })
})
