import { openedDemo, storedBuild } from '../../tests/support/opened'
import { hubBuild, hubFile } from '../../core/testdata/hubBuild'
import travel from '../../core/testdata/travel.json'
import { useBuildRepository } from '../storage/storage'
import { useHalfshafts } from './halfshafts'
import { useTravel } from './travel'
import { useWorkbench } from './workbench'

const { input, expect: want } = (travel.cases as any[]).find(({ id }) => id === 'half_wishbone')!

let count = 0

/** The reference case of a wishbone, opened as a page does. */
async function opened() {
  const workbench = await openedDemo()
  const id = `half-${++count}`
  await useBuildRepository().add({ ...hubBuild(hubFile(input)), id }, () => 'never')
  await workbench.open(id)
}

describe('halfshafts', () => {
  it('are told by both schools, and taken as one step that can be undone', async () => {
    await opened()
    const halfshafts = useHalfshafts()
    const [one] = halfshafts.all
    expect(one!.found!.lengths.middleMm).toBeCloseTo(want.mid_best_mm, 2)
    expect(one!.found!.rideMm).toBeCloseTo(want.ride_length_mm, 4)
    expect([one!.lengthMm, one!.verdict, one!.hub?.id]).toEqual([input.side.mid_length, 'holds', 'hub'])
    halfshafts.take('half', 0, want.mid_best_mm)
    expect((await storedBuild()).lines[0]!.shafts[0]!.plunge).toMatchObject({ middleMm: 523.1 })
    halfshafts.setPlunge('half', 0, { reachMm: 4 })
    expect(halfshafts.all[0]!.verdict).toBe('out')
    halfshafts.setPlunge('half', 0, { reachMm: undefined })
    expect([halfshafts.all[0]!.verdict, halfshafts.all[0]!.found!.room.known]).toEqual(['unknown', false])
    halfshafts.setPlunge('half', 0, { middleMm: undefined, offsetMm: 3 })
    // Nothing taken: the middle of the range is shown; pulled out 3 mm at ride the shaft is that much shorter.
    expect(halfshafts.all[0]!.lengthMm).toBeCloseTo(want.mid_best_mm, 2)
    expect(halfshafts.all[0]!.found!.lengths.fromRide.lengthMm).toBeCloseTo(want.ride_length_mm - 3, 4)
    for (let i = 0; i < 4; i++) await useWorkbench().undo()
    expect((await storedBuild()).lines[0]!.shafts[0]!.plunge).toEqual({ middleMm: 522, reachMm: 22 })
  })

  it('say what is missing while nobody has told how far the wheel goes', async () => {
    await opened()
    const halfshafts = useHalfshafts()
    useTravel().setHubMotion('hub', 'lengths')
    expect(halfshafts.all[0]!.found).toBeNull()
    expect(halfshafts.all[0]!.missing.join(' ')).toContain('measured at no height; it takes three')
    const lengths = useTravel()
    for (const [wheelUpMm, lengthMm] of [
      [-90, 521],
      [0, 525],
      [70, 522],
    ] as const)
      lengths.takeLength('hub', { wheelUpMm, lengthMm })
    expect(halfshafts.all[0]!.found!.rideMm).toBeCloseTo(525, 9)
    expect(halfshafts.all[0]!.found!.shortest.lengthMm).toBeCloseTo(521, 9)
    lengths.removeLength('hub', 70)
    expect(halfshafts.all[0]!.found).toBeNull()
    lengths.setTravel('hub', { bumpMm: 0 })
    expect(halfshafts.all[0]!.found!.shortest.lengthMm).toBeCloseTo(521, 9)
  })

  it('are walked through with the rack at either end where it is steered', async () => {
    await opened()
    const travels = useTravel()
    expect(travels.ways.map(({ way }) => way)).toEqual(['parallel'])
    travels.setTravel('hub', { rackMm: 40 })
    const line = useWorkbench().build!.lines[0]
    expect(travels.waysOf(line)).toEqual(['parallel', 'left-lock', 'right-lock'])
    travels.goToPlace('left-lock')
    expect([travels.way!.way, travels.atMm]).toEqual(['left-lock', 0])
    travels.goToPlace('bump-right-lock')
    expect([travels.way!.way, travels.atMm]).toEqual(['right-lock', 70])
  })
})
