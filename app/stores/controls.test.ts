import { openedBuild, openedDemo, storedBuild } from '../../tests/support/opened'
import { demoBuild } from '../../core/testdata/demos'
import { useClutches } from './clutches'
import { useControls } from './controls'
import { useShiftKnobs } from './shiftKnobs'
import { useShiftLevers } from './shiftLevers'
import { useShifts } from './shifts'
import { useWorkbench } from './workbench'

describe('hands and feet of the open build', () => {
  it('begin with the usual controls; a lever for the hand that steers another way is a clash, undone in one step', async () => {
    await openedDemo()
    const [controls, workbench] = [useControls(), useWorkbench()]
    controls.begin()
    expect(controls.sentence).toBe('Every hand and foot has one job at a time in all 5 manoeuvres.')
    const idOf = (name: string) => controls.controls.find((one) => one.name === name)!.id
    controls.reach(idOf('steering wheel'), 'leftHand')
    expect(controls.rows.find(({ name }) => name === 'Shift in a turn')).toMatchObject({
      verdict: 'out',
      clash:
        'steering wheel and shift lever both want the right hand at once: lead one of them to another hand or foot.',
    })
    expect(controls.sentence).toBe(
      'Start on a slope, Shift in a turn and Brake and shift down: two jobs for one hand or foot at one moment.',
    )
    await workbench.undo()
    await storedBuild()
    expect(controls.rows.every(({ verdict }) => verdict === 'holds')).toBe(true)
    // The last limb stays.
    controls.reach(idOf('clutch'), 'leftFoot')
    expect(controls.controls.find(({ name }) => name === 'clutch')!.limbs).toEqual(['leftFoot'])
  })

  it('lose a control everywhere at once, in manoeuvres and at its clutch', async () => {
    await openedBuild(demoBuild('medlar-hatch'))
    const [controls, clutches] = [useControls(), useClutches()]
    expect(clutches.workedBy.find(({ value }) => value === 'clutch')!.label).toBe('clutch pedal, left foot')
    controls.removeControl('clutch')
    const build = await storedBuild()
    expect(build.manoeuvres!.flatMap(({ at }) => at).some(({ control }) => control === 'clutch')).toBe(false)
    expect(build.clutches![0]!.control).toBeUndefined()
    controls.addManoeuvre()
    controls.work(controls.manoeuvre!.id, 'wheel')
    controls.work(controls.manoeuvre!.id, 'shift')
    controls.work(controls.manoeuvre!.id, 'wheel')
    expect(controls.manoeuvre!.at).toEqual([{ control: 'shift' }])
  })

  it('have a clutch whose pedal frees it or not', async () => {
    await openedBuild(demoBuild('medlar-hatch'))
    const clutches = useClutches()
    expect(clutches.all[0]!.sentence).toBe(
      'It is free when the pedal is down by 119.9 mm, with 1.3 mm of the bearing’s travel left.',
    )
    clutches.change('clutch', { slaveMm: 22.2 })
    expect(clutches.all[0]!.sentence).toMatch(
      /^It drags: the bearing goes 6\.9 mm, 1\.1 mm less than frees the plate\.$/,
    )
    clutches.forked('clutch', 'none')
    expect(clutches.all[0]!.sentence).toMatch(/^It is free when the pedal is down by 81\.\d mm/)
    clutches.change('clutch', { releaseMm: undefined })
    expect(clutches.all[0]!.missing.map(({ what }) => what)).toEqual([
      'clutch: travel of the bearing that frees the plate',
    ])
    clutches.remove('clutch')
    expect((await storedBuild()).clutches).toEqual([])
  })
})

describe('the hand lever of the yard cart', () => {
  it('has a rod that may be freed as a lever, gone with its linkage', async () => {
    await openedBuild(demoBuild('burdock-cart'))
    const [levers, shifts, workbench] = [useShiftLevers(), useShifts(), useWorkbench()]
    const count = workbench.build!.levers.length
    levers.free('rod-length', true)
    levers.free('rod-length', true)
    levers.free('lever-arm', true)
    expect(levers.own.map(({ kind }) => kind)).toEqual(['rod-length', 'lever-arm'])
    levers.free('lever-arm', false)
    expect(levers.own.length).toBe(1)
    shifts.remove()
    expect([(await storedBuild()).levers.length, workbench.build!.shifts]).toEqual([count, []])
  })

  it('has a knob with what is near it', async () => {
    await openedBuild(demoBuild('burdock-cart'))
    const [knobs, shifts] = [useShiftKnobs(), useShifts()]
    expect(knobs.told.map(({ place, value }) => `${place} ${value}`)).toEqual([
      'shifts[0].knob.throwMm 111.7 mm',
      'shifts[0].knob.openingMm 79.8 mm',
      'shifts[0].knob.near[0].gapMm 110.9 mm',
      'shifts[0].knob.near[1].gapMm 93.5 mm',
    ])
    knobs.change({ longMm: 380 })
    knobs.removeNear(1)
    knobs.addNear()
    knobs.changeNear(1, { gapMm: 55 })
    expect((await storedBuild()).shifts![0]!.knob!.near).toEqual([
      { point: 'wheel-rim' },
      { point: 'engine-sprocket', gapMm: 55 },
    ])
    knobs.leaveOut()
    expect([knobs.told, shifts.found!.shift.knob]).toEqual([[], undefined])
    knobs.begin()
    expect(knobs.knob).toEqual({ longMm: 250, turnDeg: 180 })
  })
})
