import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { storedBuild } from '../../tests/support/opened'
import { demoFile } from '../../core/testdata/demoFile'
import { useBuildRepository } from '../storage/storage'
import { useChains } from './chains'
import { useWorkbench } from './workbench'

let count = 0

/** A demo of chains in a fresh set of stores, as a page opens it. */
async function opened(demo: 'burdock-cart' | 'comfrey-buggy') {
  setActivePinia(createPinia())
  const id = `chains-${++count}`
  await useBuildRepository().add({ ...demoFile(demo), id }, () => 'never')
  await useWorkbench().open(id)
  return useChains()
}
const slackOf = (chains: ReturnType<typeof useChains>) => {
  const slack = chains.all[0]?.slack
  return slack?.known ? slack.value : undefined
}
async function undo() {
  await useWorkbench().undo()
  await useWorkbench().settled()
}

describe('chains', () => {
  it('follow what is changed at once, are stored, and go back step by step', async () => {
    const chains = await opened('burdock-cart')
    const before = useWorkbench().build
    const needed = chains.all[0]!.neededMm
    chains.changeSprocket(chains.all[0]!.chain.sprockets[0]!.id, { teeth: 16 })
    const now = chains.all[0]!.neededMm
    if (!now.known || !needed.known) throw new Error('not closed')
    // One tooth more is half a link more, and a little less where the sprockets come nearer in size.
    expect(now.value - needed.value).toBeGreaterThan(0.4 * 15.875)
    expect(now.value - needed.value).toBeLessThan(0.5 * 15.875)
    chains.change(chains.all[0]!.chain.id, { name: 'long chain', links: undefined })
    const stored = await storedBuild()
    expect(stored.chains?.[0]).toMatchObject({
      name: 'long chain',
      sprockets: [{ teeth: 16 }, { teeth: 45 }],
    })
    expect(stored.chains?.[0]).not.toHaveProperty('links')
    await undo()
    await undo()
    expect(useWorkbench().build?.chains).toEqual(before?.chains)
    expect(await storedBuild()).toMatchObject({ chains: [{ sprockets: [{ teeth: 15 }, { teeth: 45 }] }, {}] })
  })

  it('take both sprockets of a pair and its links as one step', async () => {
    const chains = await opened('burdock-cart')
    const found = chains.pairsFor(chains.all[0]!, 40)
    if (!found.known) throw new Error(JSON.stringify(found.missing))
    const [pair] = found.value
    chains.takePair(chains.all[0]!.chain.id, pair!)
    const { chain } = chains.all[0]!
    expect([chain.sprockets.map(({ teeth }) => teeth), chain.links]).toEqual([[...pair!.teeth], pair!.links])
    const gears = chains.gears(chain)
    if (!gears.known) throw new Error(JSON.stringify(gears.missing))
    const fastest = Math.max(...gears.value.map(({ speedKmh }) => speedKmh ?? NaN))
    expect(fastest).toBeCloseTo(pair!.topKmh, 9)
    // What is offered comes as near as teeth allow: the next tooth is farther off.
    expect(Math.abs(fastest - 40)).toBeLessThan(40 * 0.05)
    await undo()
    expect(chains.all[0]!.chain.sprockets.map(({ teeth }) => teeth)).toEqual([15, 45])
  })

  it('are named apart, and go out with their points, whatever is undone', async () => {
    const chains = await opened('burdock-cart')
    const before = useWorkbench().build!
    const ids = [chains.add('shift', 'shift chain'), chains.add('shift', 'shift chain')]
    expect(chains.all.slice(2).map(({ chain }) => [chain.id, chain.name])).toEqual([
      [ids[0], 'shift chain'],
      [ids[1], 'shift chain 2'],
    ])
    for (const id of ids) chains.remove(id!)
    const { points, axes, readings, levers, chains: left } = useWorkbench().build!
    expect({ points, axes, readings, levers, chains: left }).toEqual({
      points: before.points,
      axes: before.axes,
      readings: before.readings,
      levers: before.levers,
      chains: before.chains,
    })
    for (let i = 0; i < 2; i++) await undo()
    expect((await storedBuild()).chains).toHaveLength(4)
  })

  it('get a guide that waits for its place, out of line one way, and lose it again', async () => {
    const chains = await opened('comfrey-buggy')
    const [{ chain }] = chains.all as [(typeof chains.all)[number]]
    expect(slackOf(chains)?.playMm).toBeCloseTo(24.9, 1)
    chains.addGuide(chain.id, false)
    expect(chains.all[0]!.sprockets.known).toBe(false)
    const added = chains.all[0]!.chain.sprockets.find(
      ({ id }) => !chain.sprockets.some((one) => one.id === id),
    )!
    expect(added).toMatchObject({ idler: true })
    chains.removeSprocket(chain.id, added.id)
    expect(slackOf(chains)?.playMm).toBeCloseTo(24.9, 1)
    const order = () => chains.all[0]!.chain.sprockets.map(({ id }) => id)
    const [first, second, third] = order()
    chains.moveSprocket(chain.id, second!, 1)
    expect(order()).toEqual([first, third, second])
    await undo()
    chains.turnOrder(chain.id)
    expect(order()).toEqual([first, third, second])
    await undo()
    expect(order()).toEqual([first, second, third])
  })

  it('give a sprocket a lever of its own', async () => {
    const chains = await opened('comfrey-buggy')
    const [{ chain }] = chains.all as [(typeof chains.all)[number]]
    const sprocket = chain.sprockets.at(-1)!.id
    const spacers = () =>
      useWorkbench().build!.levers.filter((lever) => lever.kind === 'spacer' && lever.sprocket === sprocket)
    expect(spacers()).toEqual([])
    chains.addSpacer(chain.id, sprocket)
    expect(spacers()).toHaveLength(1)
    expect((await storedBuild()).levers).toEqual(useWorkbench().build!.levers)
  })
})

describe('a live axle', () => {
  it('is as long as what is told of it', async () => {
    const chains = await opened('burdock-cart')
    const length = () => {
      const { lengthMm } = chains.liveAxles[0]!
      return lengthMm.known ? lengthMm.value : NaN
    }
    const { body } = chains.liveAxles[0]!
    const before = length()
    chains.changeLiveAxle(body.id, { beyondMm: (body.beyondMm ?? 0) + 10 })
    expect(length()).toBeCloseTo(before + 20, 9)
    await undo()
    expect(length()).toBe(before)
  })
})

describe('an axle of another width', () => {
  it('is measured side by side, kept as a file is, and taken out again', async () => {
    const chains = await opened('burdock-cart')
    chains.addCut('rear axle')
    const { cut } = chains.cuts[0]!
    expect(cut).toMatchObject({ name: 'rear axle', school: 'new-shaft' })
    const needs = () =>
      chains.cuts[0]!.sides.map(({ side, needMm }) => [side, needMm.known ? needMm.value : 'unknown'])
    expect(needs()).toEqual([
      ['left', 'unknown'],
      ['right', 'unknown'],
    ])
    chains.changeCut(cut.id, { widthMm: 1200, hubMm: 60, stopMm: 40, offsetLeftMm: 20 })
    // A differential to the left shortens the left shaft by its offset, and lengthens the right one.
    expect(needs()).toEqual([
      ['left', 480],
      ['right', 520],
    ])
    chains.changeCut(cut.id, { school: 'sleeve', sleeveMm: 160 })
    chains.changeCutSide(cut.id, 'left', { innerMm: 420 })
    chains.changeCutSide(cut.id, 'left', { outerMm: 300, innerMm: undefined })
    expect((await storedBuild()).axleCuts).toEqual([
      {
        id: cut.id,
        name: 'rear axle',
        school: 'sleeve',
        widthMm: 1200,
        hubMm: 60,
        stopMm: 40,
        offsetLeftMm: 20,
        sleeveMm: 160,
        left: { outerMm: 300 },
      },
    ])
    chains.removeCut(cut.id)
    expect(await storedBuild()).not.toHaveProperty('axleCuts')
    await undo()
    expect(chains.cuts[0]!.cut.left).toEqual({ outerMm: 300 })
  })
})
