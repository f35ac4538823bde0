import { CoreError } from '../../base/errors'
import { known, unknown, type Known } from '../../base/known'
import type { Task } from '../tasks/task'
import { taskName } from '../tasks/taskName'

/** What cannot be planned says why, in the names of its tasks. */
export const toldBy = (tasks: readonly Task[]) => {
  const names = new Map(tasks.map((task) => [task.key, `“${taskName(task)}”`] as const))
  return <T>(work: () => T): Known<T> => {
    try {
      return known(work())
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      const words = error.message.split(' ').map((word) => {
        const key = word.replace(/:$/, '')
        const name = names.get(key)
        return name === undefined ? word : `${name}${word.slice(key.length)}`
      })
      return unknown(words.join(' '), 'tasks')
    }
  }
}
