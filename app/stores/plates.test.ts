import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { usePlates } from './plates'

describe('plates of a build', () => {
  it('are taped, and say when a tape is taken away that fewer check each other', async () => {
    const workbench = await openedBay()
    const plates = usePlates()
    expect(plates.sentence).toContain('Open hole C by 0.6 mm')
    expect(plates.agreementOf('plate')).toContain('3 tapes more')
    plates.removeTape('plate', 9)
    await storedBuild()
    expect(plates.agreementOf('plate')).toContain('2 tapes more')
    plates.addTape('plate', { a: 'E', b: 'D', mm: 168, over: 'centre' })
    await storedBuild()
    expect(plates.agreementOf('plate')).toContain('Read E – D again')
    expect(plates.rowsOf('plate').at(-1)).toMatchObject({ tape: 'E – D', isSuspect: true })
    await workbench.undo()
    await workbench.undo()
    await storedBuild()
    expect(plates.agreementOf('plate')).toContain('3 tapes more')
  })

  it('lose a hole with its tapes, and keep three', async () => {
    await openedBay()
    const plates = usePlates()
    plates.removeHole('C')
    const { plates: [plate] = [] } = await storedBuild()
    expect(plate!.holes.map(({ id }) => id)).toEqual(['A', 'B', 'D', 'E'])
    expect(plate!.plate!.tapes).toHaveLength(6)
    expect(plates.sentence).toMatch(/^It fits/)
    plates.removeHole('A')
    plates.removeHole('B')
    expect((await storedBuild()).plates![0]!.holes).toHaveLength(3)
    plates.addHole()
    expect((await storedBuild()).plates![0]!.holes.at(-1)).toMatchObject({ id: 'A', holeMm: 9, boltMm: 8 })
  })

  it('begin with three holes and wait for tapes; a side and sizes are said, and all goes again', async () => {
    await openedDemo()
    const plates = usePlates()
    expect(plates.found).toBeNull()
    plates.add()
    await storedBuild()
    expect(plates.sentence).toBeNull()
    for (const side of ['plate', 'bosses'] as const) {
      plates.addTape(side, { a: 'A', b: 'B', mm: 100, over: 'centre' })
      plates.addTape(side, { a: 'B', b: 'C', mm: side === 'plate' ? 80.3 : 80, over: 'centre' })
      plates.addTape(side, { a: 'A', b: 'C', mm: 60, over: 'centre' })
      plates.turnThird(side, 'right')
    }
    plates.changePlate({ name: 'bracket', thicknessMm: 6 })
    plates.changeHole('A', { dowel: true, depthMm: 3 })
    await storedBuild()
    expect(plates.sentence).toMatch(/^It fits/)
    expect(plates.scene(500)!.holes.map(({ isDowel }) => isDowel)).toEqual([true, false, false])
    const texts = plates.printed!.marks.flatMap((mark) => (mark.form === 'text' ? [mark.text] : []))
    expect(texts).toEqual(expect.arrayContaining(['A 9', 'bracket']))
    plates.isMirrored = true
    expect(plates.printed!.name).toBe('bracket, mirrored')
    plates.remove()
    expect((await storedBuild()).plates).toEqual([])
  })
})
