import type { Build } from '../../file/build/build'
import { bought, MONDAY, ownTask, planOf, workBuild } from '../../testdata/workBuild'
import { tasksOf } from '../tasks/buildTasks'
import { nextWork, type Here } from './nextWork'
import type { WorkPlan } from '../plan/planned'

const next = (build: Build, here: Here = { hands: 1, hours: 2 }, plan: WorkPlan | null = planOf(build)) => {
  const { removals = [] } = build
  const { now, blocked } = nextWork({ tasks: tasksOf(build, 0), removals, plan, today: MONDAY }, here)
  return {
    now: now.map(({ node, isPart }) => [node.id, isPart]),
    blocked: Object.fromEntries(blocked.map((one) => [one.task.key, one])),
    order: blocked.map(({ task }) => task.key),
  }
}

describe('what to do now', () => {
  const removals = [{ id: 'engine', name: 'engine', offH: 1, onH: 1, isOff: true }]
  const crew = { hands: 1, hours: [2, 2, 2, 2, 2, 6, 6], helperDays: [5] }
  const build = workBuild(
    [
      ownTask('bay', 1, { absent: ['engine'] }),
      ownTask('mount', 1, { present: ['engine'], after: ['bay'] }),
      ownTask('hood', 1, { hands: 2 }),
      ownTask('paint', 5),
      ownTask('tyres', 1, { from: '2026-12-10' }),
      bought('shaft', 10, { after: ['bay'] }),
      bought('belt', 5, { orderedAt: '2026-11-28' }),
      ownTask('fit', 2, { after: ['shaft', 'mount'] }),
      ownTask('drive', 1, { after: ['fit'] }),
    ],
    { removals, crew },
  )

  it('is what waits for nothing, as the vehicle stands and with who is here; what is longer is begun', () => {
    expect(next(build).now).toEqual([
      ['bay', false],
      ['paint', true],
    ])
    expect(
      next(build, { hands: 2, hours: 6 })
        .now.map(([id]) => id)
        .sort(),
    ).toEqual(['bay', 'hood', 'paint'])
  })

  it('says of the rest what it waits for', () => {
    const { blocked } = next(build)
    expect(blocked.mount).toMatchObject({ on: [{ id: 'engine' }], off: [], waitsFor: [{ key: 'bay' }] })
    expect(blocked.hood).toMatchObject({ wantsHelp: true, waitsFor: [] })
    expect(blocked.tyres).toMatchObject({ from: '2026-12-10' })
    expect(blocked.shaft).toMatchObject({ waitsFor: [{ key: 'bay' }], partsOn: null, frees: 2 })
    expect(blocked.belt).toMatchObject({ partsOn: '2026-12-03', waitsFor: [] })
    expect(blocked.fit!.waitsFor.map(({ key }) => key)).toEqual(['shaft', 'mount'])
  })

  it('is said without a plan too, in its own order', () => {
    expect(next(build, undefined, null).now).toEqual([
      ['bay', false],
      ['paint', true],
    ])
    expect(Object.keys(next(build, undefined, null).blocked).sort()).toEqual(
      Object.keys(next(build).blocked).sort(),
    )
  })

  it('names first what most waits for', () => {
    const { order } = next(build)
    expect([...order.slice(0, 2).sort(), order[2]]).toEqual(['mount', 'shaft', 'fit'])
  })
})
