import { openedBuild, openedDemo, storedBuild } from '../../tests/support/opened'
import { demoBuild } from '../../core/testdata/demos'
import { useShifts } from './shifts'
import { useWorkbench } from './workbench'

const van = async () => {
  await openedBuild(demoBuild('osier-van'))
  return useShifts()
}

describe('shift linkages of the open build', () => {
  it('are set in a gate, or have a rod: the best one, to a tenth of a millimetre', async () => {
    const shifts = await van()
    expect([shifts.found!.shift.setIn, shifts.betterRodMm]).toEqual(['r', null])
    expect(shifts.rodAsSetMm).toBeCloseTo(526.9, 1)
    expect(shifts.unlikeTold).toEqual([
      'L: the gearbox has it; the lever wants a new mark where it stands 27.6° down.',
    ])
    shifts.change({ setIn: undefined })
    expect([shifts.sentence, shifts.betterRodMm, shifts.rodAsSetMm]).toEqual([
      'No rod yet: the best one is told below.',
      527.1,
      null,
    ])
    shifts.setBestRod()
    expect((await storedBuild()).shifts![0]!.rodMm).toBe(527.1)
    expect(shifts.betterRodMm).toBeNull()
    expect(shifts.told!.rod).toBe(
      'A rod of 527.1 mm from pin to pin errs least: 0.4°; the one of 527.1 mm errs 0.4°.',
    )
  })

  it('turn an arm that lies otherwise to a way that it can point', async () => {
    const shifts = await van()
    shifts.changeArm('box', { lies: 'along' })
    expect(shifts.found!.shift.box).toMatchObject({ lies: 'along', points: 'down' })
    shifts.changeArm('box', { lies: 'upright' })
    expect((await storedBuild()).shifts![0]!.box).toMatchObject({ lies: 'upright', points: 'forward' })
  })

  it('lose a gate with its readings, never the last two of both ends; keep the order they are put in', async () => {
    const shifts = await van()
    const gates = () => shifts.found!.shift.gates.map(({ id }) => id)
    const readingsOf = (id: string) =>
      useWorkbench().build!.readings.filter((one) => one.kind === 'shift-gate' && one.gate === id).length
    expect(readingsOf('n')).toBe(2)
    shifts.removeGate('n')
    expect([gates(), readingsOf('n')]).toEqual([['p', 'r', 'd', 'l'], 0])
    shifts.gateEarlier('d')
    shifts.removeGate('r')
    // The rod was set in it.
    expect(shifts.found!.shift.setIn).toBeUndefined()
    shifts.removeGate('p')
    shifts.changeGate('d', { only: 'lever' })
    expect([gates(), shifts.found!.shift.gates[1]!.only]).toEqual([['p', 'd', 'l'], undefined])
    shifts.changeGate('l', { only: undefined, name: 'low' })
    shifts.addGate()
    expect((await storedBuild()).shifts![0]!.gates.map(({ name }) => name)).toEqual(['P', 'D', 'low', '4'])
    await useWorkbench().undo()
    await useWorkbench().undo()
    const { gates: back } = (await storedBuild()).shifts![0]!
    expect(back.at(-1)).toEqual({ id: 'l', name: 'L', only: 'box' })
  })

  it('begin on the chassis and the gearbox, and go with their bearings and readings', async () => {
    const workbench = await openedDemo()
    const shifts = useShifts()
    expect([shifts.all, shifts.scene('side', 300)]).toEqual([[], null])
    shifts.add()
    const [added] = (await storedBuild()).shifts!
    const bodyOf = (id: string) => workbench.build!.points.find((point) => point.id === id)?.body
    expect([bodyOf(added!.lever.pivot), bodyOf(added!.box.pivot)]).toEqual(['chassis', 'powertrain'])
    expect([shifts.sentence, shifts.rows.map(({ name }) => name)]).toEqual([
      'shift rod is not known yet.',
      ['P', 'R', 'N', 'D', '2', '1'],
    ])
    const { points } = workbench.build!
    shifts.remove()
    expect((await storedBuild()).points).toHaveLength(points.length - 2)
    expect(shifts.all).toEqual([])
  })
})
