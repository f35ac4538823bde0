import { openedBay, storedBuild } from '../../tests/support/opened'
import { useGates } from './gates'
import { useReadings } from './readings'
import { useTemporary } from './temporary'

const states = () => useGates().all.map(({ state }) => state)

describe('gates of the open build', () => {
  it('stand, fall with a reading, and are passed again with reasons for what is temporary', async () => {
    const workbench = await openedBay()
    const gates = useGates()
    expect([states().slice(0, 3), gates.shown!.gate]).toEqual([['passed', 'passed', 'waiting'], 'tacked'])
    const reading = workbench.build!.readings.findLast(({ kind }) => kind === 'point-height')!
    workbench.change('Change a note', (draft) => {
      const one = draft.readings.find(({ id }) => id === reading.id)
      if (one) one.note = 'once more'
    })
    await storedBuild()
    expect(states().slice(0, 3)).toEqual(['passed', 'fallen', 'waiting'])
    expect(gates.shown!.changed).toEqual([{ part: 'readings', id: reading.id, how: 'other' }])
    gates.pass('nobody')
    expect(states()[1]).toBe('fallen')
    for (const { id } of gates.shown!.temporaries) gates.reasons[id] = ' stays until it is painted '
    expect(gates.isReady).toBe(true)
    gates.pass('the two of us')
    const passed = (await storedBuild()).gates!.find(({ gate }) => gate === 'checks')!
    expect(passed).toMatchObject({
      who: 'the two of us',
      over: [{ reason: 'stays until it is painted' }, {}],
    })
    expect([states()[1], gates.reasons]).toEqual(['passed', {}])
    await workbench.undo()
    await storedBuild()
    expect(states()[1]).toBe('fallen')
  })

  it('are looked at, noted, taken back', async () => {
    await openedBay()
    const gates = useGates()
    gates.look('position')
    gates.change('position', { note: 'by the low beam' })
    expect((await storedBuild()).gates![0]!.note).toBe('by the low beam')
    gates.takeBack('position')
    await storedBuild()
    expect(states().slice(0, 2)).toEqual(['ready', 'fallen'])
    expect(gates.isReady).toBe(false)
    useTemporary().close('cooler-dummy')
    useTemporary().close('bell-bolts')
    await storedBuild()
    expect(gates.isReady).toBe(true)
    expect(useReadings().openCount).toBe(0)
  })
})
