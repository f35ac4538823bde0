import { defineStore } from 'pinia'
import { addTrial } from '~~/core/file/edits/addTrial'
import type { Trial } from '~~/core/file/parts/vehicleState'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { FIRST_TRIAL } from '../texts/trialNames'
import { useLevers } from './levers'
import { useWorkbench } from './workbench'

/** What is done to the lift-ins of the open build. */
export const useLiftIns = defineStore('lift-ins', () => {
  const workbench = useWorkbench()
  const levers = useLevers()

  /** One more, packed as the levers stand now. */
  function add(name: string): void {
    const [id, first] = [newId(), newId()]
    const date = today()
    const packed = Object.fromEntries(Object.entries(levers.settings).filter(([, amount]) => amount !== 0))
    const isPacked = Object.keys(packed).length > 0
    workbench.change('Add a trial', (draft) => {
      // Unpacked and the only one, it is the pose everything was read in so far.
      const before = isPacked ? { id: first, name: FIRST_TRIAL } : null
      addTrial(draft, { id, name, date, ...(isPacked && { packed }) }, before)
    })
  }

  function change(id: string, changed: Partial<Omit<Trial, 'id'>>): void {
    workbench.change('Change a trial', (draft) => {
      const there = draft.trials.find((one) => one.id === id)
      if (there) Object.assign(there, changed)
    })
  }

  /** True for one that readings or welds belong to: it stays. */
  const isRead = (id: string): boolean => {
    const { readings = [], welds = [] } = workbench.build ?? {}
    return (
      readings.some((reading) => 'trial' in reading && reading.trial === id) ||
      welds.some(({ tackedIn, weldedIn }) => tackedIn === id || weldedIn === id)
    )
  }

  /** Lets levers count from how it was read that it stood in one; null: from how it was measured first. */
  function countFrom(id: string | null): void {
    workbench.change(id === null ? 'Count from the first trial' : 'Count from a trial', (draft) => {
      if (id === null) delete draft.countedFrom
      else draft.countedFrom = id
    })
  }

  function remove(id: string): void {
    if (isRead(id)) return
    workbench.change('Delete a trial', (draft) => {
      draft.trials = draft.trials.filter((one) => one.id !== id)
      if (draft.countedFrom === id) delete draft.countedFrom
    })
  }

  return { add, change, isRead, countFrom, remove }
})
