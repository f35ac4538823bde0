import { planAnswer } from '~~/core/jobs/plan/planAnswer'
import type { ToPlan } from '~~/core/jobs/plan/workPlan'
import { openedBay, storedBuild } from '../../tests/support/opened'
import { usePlan } from './plan'
import { useTasks } from './tasks'

jest.mock('../workers/workerClient', () => ({
  ...jest.requireActual('../workers/workerClient'),
  workerClient: () => ({
    ask: async (question: (service: object) => Promise<unknown>) =>
      question({ plan: async (asked: ToPlan) => ({ answer: planAnswer(asked, { count: 20, seed: 1 }) }) }),
    tell: () => undefined,
    end: () => undefined,
  }),
}))

/** A Monday. */
const NOW = new Date('2026-11-30T12:00:00')

describe('the plan of the open build', () => {
  beforeEach(() =>
    jest.useFakeTimers({ now: NOW, doNotFake: ['setTimeout', 'setImmediate', 'queueMicrotask', 'nextTick'] }),
  )
  afterEach(() => jest.useRealTimers())

  async function planned(edit?: Parameters<typeof openedBay>[0]) {
    await openedBay(edit)
    const plan = usePlan()
    await plan.look()
    return plan
  }

  it('tells when it drives, what decides, the last day to order, and what to do now', async () => {
    const plan = await planned()
    expect([plan.day, plan.finishDay]).toEqual(['2026-11-30', '2026-12-26'])
    expect(plan.chain.map(({ planned: { node } }) => node.id)).toContain('order/rear-shaft')
    expect(plan.chain.at(-1)!.planned.node.id).toBe('first-drive')
    expect(plan.next.now[0]!.node.id).toBe('make/gearbox-bar')
    expect(plan.next.now[0]!.isPart).toBe(true)
    plan.hoursSaid = 3
    expect(plan.next.now[0]!.isPart).toBe(false)
    expect(plan.late!.get('order/rear-shaft/order')!.orderBy! >= '2026-12-04').toBe(true)
    expect(plan.lanes!.lanes.map(({ of, key }) => [of, key])).toEqual([
      ['hands', ''],
      ['way', 'order/rear-shaft'],
      ['off', 'off-exhaust'],
      ['off', 'off-engine'],
    ])
  })

  it('follows a task in the hand, keeps it where it is let go, and undoes it', async () => {
    const plan = await planned()
    const startOf = (key: string) => plan.plan!.planned.find(({ node }) => node.id === key)!.startDay
    const [shaft, end] = [startOf('install/rear-shaft'), plan.plan!.finishDay]
    plan.hold('order/rear-shaft', 21)
    expect(startOf('order/rear-shaft/order')).toBe(21)
    expect(startOf('install/rear-shaft')).toBe(21 + 18)
    expect(plan.plan!.finishDay).toBeGreaterThan(end)
    plan.drop()
    expect(startOf('install/rear-shaft')).toBe(shaft)
    plan.hold('order/rear-shaft', 21)
    plan.letGo()
    const build = await storedBuild()
    expect(build.tasks!.find(({ id }) => id === 'rear-shaft')!.from).toBe('2026-12-21')
    expect(plan.isFresh).toBe(false)
    await plan.look()
    expect(startOf('install/rear-shaft')).toBeGreaterThanOrEqual(39)
    plan.nudge('order/rear-shaft', -30)
    expect((await storedBuild()).tasks!.find(({ id }) => id === 'rear-shaft')!.from).toBeUndefined()
  })

  it('goes on looking where one view that shows it follows another, and stops with the last', async () => {
    await openedBay()
    const plan = usePlan()
    const view = () => {
      plan.open()
      return plan.look()
    }
    const first = view()
    // The next view begins before the one that it follows is gone.
    const second = view()
    plan.leave()
    await Promise.all([first, second])
    expect([plan.finishDay, plan.isSearching]).toEqual(['2026-12-26', false])
    useTasks().add('paint', 'fit')
    await storedBuild()
    const third = plan.look()
    plan.leave()
    await third
    expect([plan.isFresh, plan.isSearching]).toEqual([false, false])
  })

  it('says what is missing where there is no plan', async () => {
    const plan = await planned((raw) => delete raw.crew)
    expect(plan.missing.map(({ what }) => what)).toEqual(['who works when'])
    expect([plan.plan, plan.lanes]).toEqual([null, null])
    expect(plan.next.now[0]!.node.id).toBe('make/gearbox-bar')
    useTasks().beginCrew()
    await storedBuild()
    await plan.look()
    expect(plan.missing.map(({ what }) => what)).toEqual(['“first drive”: needs two, and nobody helps'])
    useTasks().changeCrew({ helperDays: [5] })
    await storedBuild()
    await plan.look()
    expect(plan.finishDay).toBe('2026-12-26')
  })
})
