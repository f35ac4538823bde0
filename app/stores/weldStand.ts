import { defineStore } from 'pinia'
import { computed, toRaw } from 'vue'
import { weldedStand } from '~~/core/answers/trials/weldedStand'
import { addTrial } from '~~/core/file/edits/addTrial'
import { weldedSentence, weldedTold } from '~~/core/show/text/weldedText'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { FIRST_TRIAL } from '../texts/trialNames'
import { welds as words } from '../texts/welds'
import { buildBy, COMPILED_PARTS } from './buildParts'
import { useLevers } from './levers'
import { useWelds } from './welds'
import { useWorkbench } from './workbench'

/** Where the powertrain stands once the weld that is looked at is made, against how it stood tacked. */
export const useWeldStand = defineStore('weld-stand', () => {
  const workbench = useWorkbench()
  const levers = useLevers()
  const welds = useWelds()
  // Two builds are worked out for it: only what moves the powertrain, or another lift-in, asks for that again.
  const asRead = buildBy(() => workbench.build, COMPILED_PARTS)
  const tackedIn = computed(() => welds.weld?.tackedIn)
  const weldedIn = computed(() => welds.weld?.weldedIn)
  const stand = computed(() =>
    asRead.value
      ? weldedStand(toRaw(asRead.value), { tackedIn: tackedIn.value, weldedIn: weldedIn.value })
      : null,
  )
  /** What is still wanted before it can be told. */
  const wants = computed(() =>
    stand.value?.known === false ? stand.value.missing.map(({ what }) => what) : [],
  )
  /** Null until it was read again. */
  const told = computed(() => {
    if (!stand.value?.known || !asRead.value) return null
    const found = weldedTold(asRead.value, stand.value.value)
    return { ...found, sentence: weldedSentence(found) }
  })

  /** A lift-in after welding, packed as tacked, in which points are read again. */
  function readAgain(): void {
    const { weld } = welds
    if (!weld) return
    const [id, first] = [newId(), newId()]
    const tacked = (workbench.build?.trials ?? []).find((one) => one.id === tackedIn.value)
    const packed = tacked ? tacked.packed : { ...levers.settings }
    const trial = { id, name: words.afterWelding(weld.name), date: today(), ...(packed && { packed }) }
    workbench.change('Read where it stands again', (draft) => {
      addTrial(draft, trial, { id: first, name: FIRST_TRIAL })
      const there = draft.welds?.find((one) => one.id === weld.id)
      if (there) there.weldedIn = id
    })
  }

  return { wants, told, readAgain }
})
