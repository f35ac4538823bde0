import { defineStore } from 'pinia'
import { computed } from 'vue'
import { LEVER_KINDS, leverFacts, type LeverKind } from '~~/core/file/build/lever'
import { withoutLever } from '~~/core/file/edits/withoutLever'
import { newId } from '../storage/newId'
import { useShifts } from './shifts'
import { takeOn } from './takeOn'
import { useWorkbench } from './workbench'

/** Ways in which a shift linkage can be made otherwise. */
export const SHIFT_LEVERS = LEVER_KINDS.filter((kind) => leverFacts(kind).names === 'shift')

/** Which sizes of the linkage that is looked at are free: a search may then change them too. */
export const useShiftLevers = defineStore('shift levers', () => {
  const workbench = useWorkbench()
  const shifts = useShifts()
  const own = computed(() => {
    const id = shifts.found?.shift.id
    return (workbench.build?.levers ?? []).filter((lever) => lever.shift === id)
  })

  /** Frees a size, or fixes it again as it was told. */
  function free(kind: LeverKind, isFree: boolean): void {
    const { shift } = shifts.found ?? {}
    const body = workbench.build?.points.find(({ id }) => id === shift?.lever.pivot)?.body
    const there = own.value.find((lever) => lever.kind === kind)
    if (!shift || body === undefined || (there !== undefined) === isFree) return
    if (there) return void takeOn(workbench, 'Delete a lever', (build) => withoutLever(build, there.id))
    const id = newId()
    const [least, most, step] = leverFacts(kind).usual
    workbench.change('Add a lever', (draft) => {
      draft.levers.push({ id, kind, body, shift: shift.id, range: [least, most], step })
    })
  }
  return { own, free }
})
