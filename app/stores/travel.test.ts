import { openedDemo, storedBuild } from '../../tests/support/opened'
import type { AxleBody } from '../../core/file/parts/body'
import { usePatterns } from './patterns'
import { useTravel } from './travel'
import { useWorkbench } from './workbench'

const axleOf = async () =>
  (await storedBuild()).bodies.find((body): body is AxleBody => body.kind === 'axle')!

/** The demo's axle read at three heights, with its travel. */
async function travelling() {
  await openedDemo()
  const travel = useTravel()
  travel.setMotion('rear-axle', 'table')
  travel.takeHeight('rear-axle', { wheelUpMm: 0, stationMm: 2317, noseDeg: 4.6 })
  travel.takeHeight('rear-axle', { wheelUpMm: -90, stationMm: 2323, noseDeg: 6.7 })
  travel.takeHeight('rear-axle', { wheelUpMm: 70, stationMm: 2318, noseDeg: 3.4 })
  travel.setTravel('rear-axle', { droopMm: 90, bumpMm: 70 })
  return travel
}

describe('the travel of the wheels', () => {
  it('is told with the limits it is judged by, each as one step of undo', async () => {
    const travel = await travelling()
    expect((await axleOf()).travel).toEqual({ droopMm: 90, bumpMm: 70 })
    const quantities = (await storedBuild()).limits.entries.map(({ quantity }) => quantity)
    expect(quantities).toEqual(expect.arrayContaining(['slip-left', 'spline-engaged']))
    travel.setTravel('rear-axle', { strapMm: 80 })
    expect((await axleOf()).travel).toMatchObject({ strapMm: 80 })
    await useWorkbench().undo()
    expect((await axleOf()).travel).not.toHaveProperty('strapMm')
    travel.removeHeight('rear-axle', 70)
    const { motion } = await axleOf()
    expect(motion?.kind === 'table' && motion.rows.map(({ wheelUpMm }) => wheelUpMm)).toEqual([-90, 0])
  })

  it('is walked along no further than it goes, and jumped over by its places', async () => {
    const travel = await travelling()
    expect(travel.ways.map(({ way }) => way)).toEqual(['parallel', 'crossed'])
    expect([travel.atMm, travel.placeWords]).toEqual([0, 'at ride height'])
    travel.goTo(-400)
    expect([travel.atMm, travel.placeWords]).toEqual([-90, '90.0 mm down'])
    travel.goTo(12.5)
    expect(travel.placeWords).toBe('12.5 mm up')
    travel.goToPlace('left-up')
    expect([travel.way!.way, travel.atMm, travel.rightUpMm]).toEqual(['crossed', 70, -90])
    travel.goToPlace('droop')
    expect([travel.way!.way, travel.atMm, travel.rightUpMm]).toEqual(['parallel', -90, -90])
    travel.goToPlace(null)
    expect(travel.atMm).toBe(0)
    expect(travel.cross!.cells[0]).toMatchObject({ leftUpMm: -90, rightUpMm: -90 })
  })

  it('takes arcs, tracks and links as levers', async () => {
    await openedDemo()
    const travel = useTravel()
    travel.setMotion('rear-axle', 'arc')
    travel.setArc('rear-axle', { radiusShare: 0.8, springMm: 1200 })
    travel.setTrack('rear-axle', 1500)
    expect(await axleOf()).toMatchObject({
      motion: { radiusShare: 0.8, springMm: 1200 },
      sizes: { trackMm: 1500 },
    })
    expect(travel.trackMm).toBe(1500)
    travel.setArc('rear-axle', { springMm: undefined })
    expect((await axleOf()).motion).not.toHaveProperty('springMm')
    travel.setMotion('rear-axle', 'torque-tube')
    const { motion } = await axleOf()
    const bar = motion?.kind === 'links' ? motion.holdings.find(({ kind }) => kind === 'link')! : null
    travel.addLinkLever('rear-axle', bar!.id)
    expect((await storedBuild()).levers.at(-1)).toMatchObject({ kind: 'link-length', holding: bar!.id })
    // A ball has no length: such a lever is refused, and the file stays as it was.
    const before = await storedBuild()
    const ball = motion?.kind === 'links' ? motion.holdings.find(({ kind }) => kind === 'ball')! : null
    travel.addLinkLever('rear-axle', ball!.id)
    expect(await storedBuild()).toEqual(before)
  })
})

describe('patterns', () => {
  it('are kept as they are measured, and leave nothing when the last one goes', async () => {
    await openedDemo()
    const before = await storedBuild()
    const patterns = usePatterns()
    const id = patterns.add('left shaft')
    expect(patterns.all[0]).toMatchObject({ step: 'settle', found: { known: false } })
    patterns.change(id, { settled: true, outerPieceMm: 410, innerPieceMm: 330, overlapBottomedMm: 120 })
    expect(patterns.all[0]!.step).toBe('pulled')
    patterns.change(id, { overlapPulledMm: 162 })
    expect(patterns.all[0]!.found).toMatchObject({ known: true, value: { shaftMm: 599 } })
    patterns.change(id, { overlapPulledMm: undefined })
    expect((await storedBuild()).patterns![0]).not.toHaveProperty('overlapPulledMm')
    patterns.remove(id)
    expect(await storedBuild()).toEqual(before)
  })
})
