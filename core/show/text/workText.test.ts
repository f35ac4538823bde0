import { bought, MONDAY, ownTask, planOf, workBuild } from '../../testdata/workBuild'
import { nextWork } from '../../jobs/next/nextWork'
import { decidingChain } from '../../jobs/plan/decides'
import { tasksOf } from '../../jobs/tasks/buildTasks'
import type { Build } from '../../file/build/build'
import { dayText, shortDay } from './dayText'
import {
  chanceText,
  decidesText,
  drivesText,
  hoursText,
  movesText,
  nodeName,
  provenText,
  usualText,
  readyText,
  waitsText,
} from './workText'

const decides = (build: Build) => decidesText(decidingChain(planOf(build)), build.removals ?? [])

describe('the words of a plan', () => {
  it('say hours and days as one does', () => {
    expect([0.25, 0.999, 1, 2.5, 12].map(hoursText)).toEqual(['15 min', '60 min', '1 h', '2.5 h', '12 h'])
    expect([dayText('2027-01-02', MONDAY), dayText('2028-01-02', MONDAY)]).toEqual([
      'Sat 2 January',
      '2 January 2028',
    ])
    expect(shortDay('2026-12-07')).toBe('7 Dec')
  })

  it('say how long what can be begun takes', () => {
    const build = workBuild([
      ownTask('a', 3),
      ownTask('b', 1),
      ownTask('c', 1, { hours: undefined }),
      bought('d', 3),
    ])
    const todo = { tasks: tasksOf(build, 0), removals: [], plan: null, today: MONDAY }
    expect(nextWork(todo, { hands: 1, hours: 2 }).now.map(readyText)).toEqual([
      'begin it: 3 h in all',
      '1 h',
      'no time yet',
      '30 min',
    ])
  })

  it('say when it drives, and why it may be later', () => {
    const build = workBuild([ownTask('a', 3), ownTask('b', 1, { hours: undefined })])
    expect(drivesText(planOf(build))).toBe('Drives no sooner than Tue 1 December: “task b” has no time yet.')
    const plan = planOf(workBuild([ownTask('a', 3)]))
    expect(drivesText(plan)).toBe('Drives on Tue 1 December.')
    expect(provenText(plan)).toBe('With these hands no order ends sooner.')
    expect(provenText({ ...plan, isProven: false, boundDay: 0 })).toBe(
      'No order of this work ends before Mon 30 November; this is the best that was found.',
    )
  })

  it('say what decides: a way of parts, a helper’s day, the hours, one thing after the other', () => {
    const shaft = [ownTask('exhaust', 3), bought('shaft', 10), ownTask('fit', 3, { after: ['shaft'] })]
    expect(decides(workBuild(shaft))).toBe(
      'The way of task shaft decides, 10 days: a week later there is a week later here.',
    )
    const crew = { hands: 1, hours: [2, 2, 2, 2, 2, 6, 0], helperDays: [5] }
    expect(decides(workBuild([ownTask('hood', 3, { hands: 2 })], { crew }))).toBe(
      'The day on which somebody helps decides: “task hood” takes two.',
    )
    expect(decides(workBuild(['a', 'b', 'c', 'd'].map((id) => ownTask(id, 2))))).toBe(
      'The hours decide: with a second pair of hands it drives sooner.',
    )
    const row = [ownTask('a', 2), ownTask('b', 2, { after: ['a'] }), ownTask('c', 2, { after: ['b'] })]
    expect(decides(workBuild(row))).toBe('What decides, one after the other: task a, task b, task c.')
  })

  it('say how likely a day is, never that it is sure', () => {
    const chance = { even: '2026-12-14', likely: '2026-12-20', byPlan: 0.314, byWanted: 0.9999 }
    expect(chanceText(chance, MONDAY, '2026-12-31')).toBe(
      'By the day of the plan: 31 %. Every other time by Mon 14 December. Four of five times by Sun 20 December. By Thu 31 December: more than 99 %.',
    )
    expect(chanceText({ ...chance, even: '2026-12-20', byPlan: 0.001, byWanted: null }, MONDAY)).toBe(
      'By the day of the plan: less than 1 %. Four of five times by Sun 20 December.',
    )
  })

  it('say what comes off, and what thinking of it saves', () => {
    expect([3, 1, 0].map((count) => movesText({ count, asItComes: 5, isProven: true }))).toEqual([
      '3 changes of the vehicle; taking the work as it comes it would be 5.',
      '1 change of the vehicle; taking the work as it comes it would be 5.',
      'Nothing comes off the vehicle and nothing goes back on.',
    ])
    expect(movesText({ count: 2, asItComes: 2, isProven: true })).toBe(
      '2 changes of the vehicle, no order has fewer hours of them.',
    )
  })

  it('say what waits for what, and what is done of it', () => {
    const removals = [{ id: 'engine', name: 'engine', offH: 1, onH: 1 }]
    const build = workBuild(
      [
        ownTask('bay', 1, { absent: ['engine'], from: '2026-12-05' }),
        bought('shaft', 10, { orderedAt: MONDAY }),
        ownTask('fit', 1, { after: ['bay', 'shaft', 'x', 'y', 'z'] }),
        ...['x', 'y', 'z'].map((id) => ownTask(id, 1)),
      ],
      { removals },
    )
    const plan = planOf(build)
    const { blocked } = nextWork(
      { plan, tasks: tasksOf(build, 0), removals, today: MONDAY },
      { hands: 1, hours: 2 },
    )
    const waits = Object.fromEntries(blocked.map((one) => [one.task.key, waitsText(one, MONDAY)]))
    expect(waits).toEqual({
      bay: 'engine off; its day, Sat 5 December',
      shaft: 'parts, Thu 10 December',
      fit: '“task bay”, “task shaft”, “task x” and 2 more',
    })
    const names = plan.planned.map(({ node }) => nodeName(node, removals))
    expect(names).toEqual(
      expect.arrayContaining(['engine off', 'engine back on', 'take in and measure task shaft']),
    )
  })

  it('count what stands there by usual hours', () => {
    const usual = (count: number) => usualText(Array(count).fill({ isUsual: true, isDone: false }) as never)
    expect([0, 1, 2].map(usual)).toEqual([
      null,
      'One task stands there by usual hours.',
      '2 tasks stand there by usual hours.',
    ])
  })
})
