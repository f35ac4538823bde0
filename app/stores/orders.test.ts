import { openedBay, storedBuild } from '../../tests/support/opened'
import { useLog } from './log'
import { useOrders } from './orders'
import { useTasks } from './tasks'

const warnings = () => useOrders().sheet!.warnings.map(({ kind }) => kind)
const rowOf = (name: string) =>
  useOrders()
    .sheet!.sections.flatMap(({ rows }) => rows)
    .find((row) => row.name === name)

describe('orders of the open build', () => {
  it('begin from what the build has, once each, and are deleted and undone', async () => {
    const workbench = await openedBay()
    const orders = useOrders()
    expect(orders.one!.name).toBe('rear shaft')
    expect(orders.open.map(({ kind }) => kind)).toEqual(['plate', 'adapter'])
    orders.begin(orders.open[0]!)
    expect((await storedBuild()).orders).toHaveLength(2)
    expect(orders.one!.kind).toBe('plate')
    orders.beginOf('plate')
    expect((await storedBuild()).orders).toHaveLength(2)
    orders.remove()
    expect((await storedBuild()).orders).toHaveLength(1)
    await workbench.undo()
    expect((await storedBuild()).orders).toHaveLength(2)
  })

  it('tell the shop in words, keep no empty ones, and say what changed since they went out', async () => {
    await openedBay()
    const orders = useOrders()
    orders.ask({ pilot: '47 × 3 mm', series: '' })
    const { asks } = (await storedBuild()).orders![0]!
    expect([asks!.pilot, asks!.series, asks!.balanceG]).toEqual(['47 × 3 mm', undefined, 16])
    orders.send()
    await storedBuild()
    expect(warnings()).not.toContain('changed')
    expect(useTasks().taskOf('order/rear-shaft')!.orderedAt).toBe(orders.one!.sent!.at)
    orders.ask({ pilot: '48 × 3 mm' })
    expect(warnings()).toContain('changed')
    orders.takeBack()
    await storedBuild()
    expect([warnings().includes('changed'), orders.one!.sent]).toEqual([false, undefined])
  })

  it('are measured when they come, refused with a reason and ordered again, or taken on in one change', async () => {
    const workbench = await openedBay()
    const orders = useOrders()
    orders.send()
    const { arrival } = orders.sheet!
    expect(arrival.map(({ key }) => key)).toEqual(['length', 'outer', 'wall', 'phase'])
    for (const { key, asked } of arrival.slice(1)) orders.measure(key, asked, asked)
    expect([orders.isMeasured, orders.effects]).toEqual([false, []])
    orders.measure('length', arrival[0]!.asked, arrival[0]!.asked + 4)
    expect(orders.isMeasured).toBe(true)
    expect(orders.effects.find(({ label }) => label.includes('set-in'))).toMatchObject({
      was: '22.0 mm',
      is: '18.0 mm',
    })
    orders.measure('length', arrival[0]!.asked, undefined)
    orders.measure('length', arrival[0]!.asked, arrival[0]!.asked + 3)
    orders.refuse('3 mm too long')
    await storedBuild()
    expect(useLog().all[0]!.what).toBe('rear shaft refused: 3 mm too long')
    orders.orderAgain()
    expect((await storedBuild()).orders![0]!.arrived).toBeUndefined()
    await workbench.undo()
    await storedBuild()
    orders.reopen()
    orders.changeArrival({ by: 'Odile' })
    orders.accept()
    const kept = await storedBuild()
    expect(kept.lines[0]!.shafts[0]!.drivingEnd).toMatchObject({ setInMm: 19 })
    expect(kept.orders![0]!.arrived).toMatchObject({ verdict: 'accepted', by: 'Odile' })
    expect(rowOf('left before it bottoms, least')!.value).toMatch(/^19\.0 mm/)
    expect(useTasks().taskOf('order/rear-shaft')!.isDone).toBe(true)
    await workbench.undo()
    expect((await storedBuild()).lines[0]!.shafts[0]!.drivingEnd).toMatchObject({ setInMm: 22 })
  })

  it('stand against making it oneself, once its price is told', async () => {
    await openedBay((raw) => (raw.crew.rate = 10))
    const orders = useOrders()
    expect(orders.own).toBeNull()
    orders.changeOwn({ hours: 5 })
    orders.changeOwn({ material: 200, twicePercent: 20 })
    await storedBuild()
    // 6 hours at 10, and 240 of material, against 410.
    expect(orders.own).toMatchObject({ ownCost: 300, saved: 110, sparedDays: 18 })
    useTasks().change('order/rear-shaft', { cost: undefined })
    expect(orders.own).toBeNull()
    expect(orders.risk).toEqual({ bottoms: 0, pullsOut: null })
  })
})
