import type { Build } from '~~/core/file/build/build'
import { MOST_LOG, type LogEntry } from '~~/core/file/kinds/logKinds'
import { happenings } from '~~/core/jobs/log/happenings'
import { newId } from '../storage/newId'
import { today } from '../storage/today'

/** Entries that a change adds to the log; what is said there already on the same day is not said twice. */
export function logged(before: Build, after: Build): LogEntry[] {
  const at = today()
  const { log = [] } = after
  return happenings(before, after)
    .filter(({ name, of }) => !log.some((entry) => entry.at === at && entry.name === name && entry.of === of))
    .slice(0, Math.max(0, MOST_LOG - log.length))
    .map((one) => ({ id: newId(), at, ...one }))
}
