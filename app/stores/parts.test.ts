import { openedDemo, storedBuild } from '../../tests/support/opened'
import { useParts } from './parts'
import { useStock } from './stock'
import { useWorkbench } from './workbench'

const lineOf = async () => (await storedBuild()).lines[0]!

describe('parts of the line', () => {
  it('are put in as one step of undo, with the limits they are judged by', async () => {
    await openedDemo()
    const before = await storedBuild()
    const parts = useParts()
    const quantities = new Set(before.limits.entries.map(({ quantity }) => quantity))
    expect(quantities.has('slip-left')).toBe(false)
    expect(parts.insert('rear', 0, 'slip')).toBe(true)
    const slipping = await storedBuild()
    expect(slipping.lines[0]!.shafts[0]).toMatchObject({ slip: {} })
    expect(
      slipping.limits.entries.slice(before.limits.entries.length).map(({ quantity }) => quantity),
    ).toEqual(['slip-left', 'spline-engaged'])
    // Nothing is put in twice, and no limit either.
    expect(parts.insert('rear', 0, 'slip')).toBe(false)
    await useWorkbench().undo()
    expect(await storedBuild()).toEqual(before)
  })

  it('take a centre bearing in and out again', async () => {
    await openedDemo()
    const parts = useParts()
    parts.insert('rear', 0, 'bearing')
    expect((await lineOf()).joints).toHaveLength(3)
    expect((await storedBuild()).bodies.at(-1)).toMatchObject({ kind: 'bearing-bracket' })
    parts.remove('rear', { part: 'joint', index: 1 })
    expect((await lineOf()).joints).toHaveLength(2)
    expect((await storedBuild()).bodies.some(({ kind }) => kind === 'bearing-bracket')).toBe(false)
  })

  it('keep figures where they belong, and take emptied ones out of the file', async () => {
    await openedDemo()
    const parts = useParts()
    parts.setFigure('rear', ['shafts', 0, 'drivingEnd', 'setInMm'], 19)
    expect((await lineOf()).shafts[0]!.drivingEnd).toMatchObject({ setInMm: 19 })
    parts.setFigure('rear', ['shafts', 0, 'drivingEnd', 'setInMm'], undefined)
    expect((await lineOf()).shafts[0]!.drivingEnd).not.toHaveProperty('setInMm')
    // A way that leads nowhere changes nothing.
    const there = await lineOf()
    parts.setFigure('rear', ['shafts', 7, 'slip', 'closedMm'], 5)
    expect(await lineOf()).toEqual(there)
  })

  it('change kinds, sizes of crosses and phases', async () => {
    await openedDemo()
    const parts = useParts()
    parts.changeJoint('rear', 0, { cross: 'cross-large' })
    expect((await storedBuild()).limits.entries.at(-1)).toMatchObject({
      quantity: 'cross-shear',
      failAbove: 1,
    })
    parts.setKind('rear', 0, 'cv')
    expect((await lineOf()).joints[0]).toMatchObject({ kind: 'cv' })
    expect((await lineOf()).joints[0]).not.toHaveProperty('cross')
    parts.setPhases('rear', [-45])
    expect((await lineOf()).shafts[0]!.phaseDeg).toBe(-45)
    parts.move('rear', { part: 'joint', index: 0 }, 1)
    expect((await lineOf()).joints.map(({ kind }) => kind)).toEqual(['cross', 'cv'])
  })

  it('are made of one tube as one step, and a bearing’s seat is measured or not', async () => {
    await openedDemo()
    const parts = useParts()
    parts.insert('rear', 0, 'bearing')
    const before = await storedBuild()
    parts.setAllTubes({ outerMm: 63, wallMm: 3, material: 'steel' })
    const tubes = (await lineOf()).shafts.map(({ tube }) => tube)
    expect(tubes).toEqual([63, 63].map((outerMm) => ({ outerMm, wallMm: 3, material: 'steel' })))
    await useWorkbench().undo()
    expect(await storedBuild()).toEqual(before)
    parts.measureSeat('rear', 0, true)
    const { axis } = (await lineOf()).shafts[0]!.bearing!
    expect((await storedBuild()).axes.at(-1)!.id).toBe(axis)
    parts.measureSeat('rear', 0, false)
    expect(await storedBuild()).toEqual(before)
  })

  it('start new lines from layouts, and let them go', async () => {
    await openedDemo()
    const before = await storedBuild()
    const parts = useParts()
    const id = parts.addLayout('two-piece')!
    expect((await storedBuild()).lines.map((line) => line.id)).toEqual(['rear', id])
    expect((await storedBuild()).lines[1]!.name).toBe('rear shaft 2')
    expect(parts.removeLine(id)).toBe(true)
    expect((await storedBuild()).lines).toEqual(before.lines)
    expect(parts.removeLine('rear')).toBe(false)
    expect(parts.addLayout('nothing' as never)).toBeNull()
  })
})

describe('the stock', () => {
  it('is copied before it is changed, and goes back to the usual one', async () => {
    await openedDemo()
    const stock = useStock()
    expect(await storedBuild()).not.toHaveProperty('tubes')
    const [first] = stock.tubes
    stock.changeTube(first!.id, { wallMm: 2.5, yieldMPa: 420 })
    const changed = await storedBuild()
    expect(changed.tubes).toHaveLength(14)
    expect(changed.tubes![0]).toMatchObject({ outerMm: 50, wallMm: 2.5, yieldMPa: 420 })
    stock.changeTube(first!.id, { yieldMPa: undefined })
    expect((await storedBuild()).tubes![0]).not.toHaveProperty('yieldMPa')
    stock.addTube()
    stock.remove('tubes', first!.id)
    expect((await storedBuild()).tubes).toHaveLength(14)
    stock.reset('tubes')
    expect(await storedBuild()).not.toHaveProperty('tubes')
    expect(stock.tubes[0]).toEqual(first)
  })

  it('of crosses keeps names and sizes; one that is in use cannot be lost', async () => {
    await openedDemo()
    const stock = useStock()
    stock.addCross('ours')
    const ours = stock.crosses.at(-1)!
    stock.changeCross(ours.id, { trunnionMm: 16.5, name: 'ours, new' })
    expect((await storedBuild()).crosses!.at(-1)).toMatchObject({ name: 'ours, new', trunnionMm: 16.5 })
    useParts().changeJoint('rear', 0, { cross: ours.id })
    expect((await lineOf()).joints[0]!.cross).toBe(ours.id)
    // The file would no longer meet: the change is refused and the stock stays.
    stock.remove('crosses', ours.id)
    expect((await storedBuild()).crosses!.some(({ id }) => id === ours.id)).toBe(true)
  })

  it('tells what drives and what holds', async () => {
    await openedDemo()
    const stock = useStock()
    stock.changeTrain({ tyreRadiusMm: 330, grip: { mu: 0.8 } })
    expect((await storedBuild()).drivetrain).toMatchObject({ tyreRadiusMm: 330, grip: { mu: 0.8 } })
    stock.changeTrain({ tyreRadiusMm: undefined })
    expect((await storedBuild()).drivetrain).not.toHaveProperty('tyreRadiusMm')
  })
})
