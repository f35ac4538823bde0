import schedule from '../../testdata/schedule.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { criticalChains } from './criticalChains'
import { longestPath, type Driver, type TimedTask } from './longestPath'

describe('the longest path against independent cases', () => {
  const word = (driver: Driver) =>
    driver.by === 'task' ? driver.id : driver.by === 'parts' ? 'lead' : driver.by
  const work = ({ tasks, deadline }: any) => {
    const asked: TimedTask[] = tasks.map(({ order_after: orderAfter, ...task }: any) => ({
      ...task,
      orderAfter,
    }))
    const found = longestPath(asked, deadline)
    return {
      tasks: found.tasks.map((task) => ({
        id: task.id,
        ES: task.earlyStart,
        EF: task.earlyFinish,
        LS: task.lateStart,
        LF: task.lateFinish,
        slack: task.float,
        free_slack: task.freeFloat,
        critical: task.isCritical,
        driver: task.drivers.map(word),
        ...(task.orderBy !== null && { order_by: task.orderBy }),
      })),
      finish: found.finish,
      critical_tasks: found.tasks.flatMap(({ id, isCritical }) => (isCritical ? [id] : [])).sort(),
      critical_paths: criticalChains(asked, found).map((chain) =>
        chain.map(({ id, isParts }) => (isParts ? `lead:${id}` : id)),
      ),
    }
  }
  it.each(casesOf(schedule))('%s', (_id, one) => expectCase(schedule, one, work))
})
