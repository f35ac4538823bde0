import { defineStore } from 'pinia'
import { computed, ref, toRaw } from 'vue'
import { chosenSettings } from '~~/core/model/evaluateBuild'
import { leverRoom } from '~~/core/model/leverRoom'
import type { LeverSettings } from '~~/core/vehicle/moves/settings'
import type { Id } from '~~/core/file/parts/id'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useWorkbench } from './workbench'

/** What the lever that is looked at may do before a gap is lost, and where it has the most room. */
export const useLeverRoom = defineStore('lever-room', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const levers = useLevers()
  const asked = ref<Id>('')
  // As stored: while a lever is in the hand nothing is worked out for it, and its own amount does not matter.
  const settings = computed<LeverSettings>(() => (workbench.build ? chosenSettings(workbench.build) : {}))
  const room = computed(() => {
    const { compiled } = evaluation
    if (!compiled || asked.value === '') return null
    return leverRoom(toRaw(compiled), settings.value, asked.value)
  })

  /** Puts the lever where the tightest gap has the most room. */
  function takeMiddle(label: string): void {
    if (room.value?.stepped) levers.set(label, { [asked.value]: room.value.stepped.at })
  }

  return { asked, room, takeMiddle }
})
