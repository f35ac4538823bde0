import { openedDemo, storedBuild } from '../../tests/support/opened'
import { useDatum } from './datum'
import { useReadings } from './readings'
import { useSetups } from './setups'

describe('useSetups', () => {
  it('adds a setup that is measured in from then on, by who measured before', async () => {
    await openedDemo((raw) => (raw.setups[0].by = 'Imre'))
    useSetups().addSetup()
    const build = await storedBuild()
    expect(build.setups).toHaveLength(2)
    expect(build.setups[1]).toMatchObject({ name: 'Setup 2', datum: 'read', by: 'Imre' })
    expect(useReadings().setup!.id).toBe(build.setups[1]!.id)
  })

  it('names the plumb face of a setup that needs one, and forgets it with the school', async () => {
    await openedDemo()
    const setups = useSetups()
    setups.changeSetup('Change the datum', { datum: 'face-plumb' })
    expect((await storedBuild()).setups[0]).toMatchObject({ datum: 'face-plumb', plumbAxis: 'pinion' })
    setups.changeSetup('Change the datum', { datum: 'levelled' })
    expect((await storedBuild()).setups[0]).not.toHaveProperty('plumbAxis')
  })

  it('gives a new tool one id, on screen and stored', async () => {
    const workbench = await openedDemo()
    useSetups().addTool({ name: 'string line', kind: 'other' })
    const shown = workbench.build!.tools.at(-1)!.id
    expect((await storedBuild()).tools.at(-1)).toEqual({ id: shown, name: 'string line', kind: 'other' })
  })

  it('edits a tool, empties its figures, and keeps one that was used', async () => {
    await openedDemo()
    const setups = useSetups()
    setups.changeTool('level', { handScatter: 0.05, zeroHabit: 'chassis' })
    expect((await storedBuild()).tools[0]).toMatchObject({ handScatter: 0.05, zeroHabit: 'chassis' })
    setups.changeTool('level', { handScatter: undefined, accuracy: undefined })
    const [level] = (await storedBuild()).tools
    expect(level).not.toHaveProperty('handScatter')
    expect(level).not.toHaveProperty('accuracy')
    setups.removeTool('level')
    expect((await storedBuild()).tools.map(({ id }) => id)).toEqual(['level', 'tape'])
    setups.addTool({ name: 'spare', kind: 'plumb' })
    setups.removeTool((await storedBuild()).tools.at(-1)!.id)
    expect((await storedBuild()).tools).toHaveLength(2)
  })

  it('keeps flip tests with their time and takes them out again', async () => {
    await openedDemo()
    const setups = useSetups()
    setups.addFlipTest('level', { first: '0.5', firstHigh: 'right', second: '0.1', secondHigh: 'left' })
    const [test] = (await storedBuild()).tools[0]!.flipTests!
    expect(test).toMatchObject({ first: '0.5', secondHigh: 'left' })
    expect(Number.isNaN(Date.parse(test!.at))).toBe(false)
    setups.removeFlipTest('level', test!.id)
    expect((await storedBuild()).tools[0]!.flipTests).toEqual([])
  })

  it('names frame holes in pairs and takes them out with their readings', async () => {
    await openedDemo()
    const setups = useSetups()
    setups.addPair('front crossmember')
    const { centrePairs, points } = await storedBuild()
    const [pair] = centrePairs!
    expect(points.slice(-2).map(({ name }) => name)).toEqual([
      'front crossmember, left hole',
      'front crossmember, right hole',
    ])
    useReadings().add('Read', {
      id: 'hole',
      kind: 'point-offset',
      point: pair!.left,
      setup: 'setup-1',
      values: ['400'],
      side: 'left',
    })
    setups.removePair(pair!)
    const build = await storedBuild()
    expect([build.centrePairs, build.readings.some(({ id }) => id === 'hole')]).toEqual([[], false])
    expect(build.points.some(({ id }) => id === pair!.left)).toBe(false)
  })
})

describe('useDatum', () => {
  it('keeps a datum point, where it lies and where this setup found it', async () => {
    await openedDemo()
    const datum = useDatum()
    const id = useSetups().addDatum('left rail, front bolt')
    const point = (await storedBuild()).points.find((one) => one.id === id)!
    expect(point).toMatchObject({ body: 'chassis', datum: true })
    datum.giveChassis(point, ['200', '410', '0'], ['rearward', 'left', 'above'])
    datum.shoot(point, ['205', '412', '1'], ['rearward', 'left', 'below'])
    const build = await storedBuild()
    expect(build.readings.slice(-2)).toMatchObject([
      { kind: 'given-point', station: '200', side: 'left' },
      { kind: 'setup-point', values: ['205', '412', '1'], upWay: 'below', tool: 'tape' },
    ])
    expect(datum.given(id)).toMatchObject({
      values: ['200', '410', '0'],
      ways: ['rearward', 'left', 'above'],
    })
    expect(datum.shot(id)).toMatchObject({ values: ['205', '412', '1'], ways: ['rearward', 'left', 'below'] })
    expect(datum.registration).toMatchObject({ known: false })
    useSetups().removeDatum(id)
    expect((await storedBuild()).readings).toHaveLength(23)
  })
})
