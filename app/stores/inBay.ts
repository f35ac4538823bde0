import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { isOtherwise } from '~~/core/drawing/made/madeBody'
import { memberBody } from '~~/core/drawing/made/memberBody'
import { plateBody } from '~~/core/drawing/made/plateBody'
import { tubeBody } from '~~/core/drawing/made/tubeBody'
import type { Known } from '~~/core/base/known'
import { gapsOfBody, staysBecause } from '~~/core/file/edits/withoutBody'
import { bodyById } from '~~/core/file/parts/bodies'
import type { Body, ItemBody } from '~~/core/file/parts/body'
import { useBay } from './bay'
import { useCopedTubes } from './copedTubes'
import { useMaking } from './making'
import { usePlates } from './plates'
import { useWorkbench } from './workbench'

/** A made part that is looked at as a part of the bay: drawn on the board, kept off others, in the way of what is swung in. */
function partInBay(bodyNow: () => Known<ItemBody> | null) {
  const workbench = useWorkbench()
  const bay = useBay()

  /** As it stands now; null while that is not known. */
  const now = computed(() => {
    const body = bodyNow()
    return body?.known ? body.value : null
  })
  const there = computed(() => (workbench.build && bodyById(workbench.build, now.value?.id)) ?? null)
  const state = computed(() => {
    if (!now.value) return null
    if (!there.value) return 'absent' as const
    return isOtherwise(there.value, now.value) ? ('old' as const) : ('there' as const)
  })

  /** What was said of it in the bay stays, such as its name. */
  function put(): void {
    const body = now.value
    if (!body) return
    workbench.change(
      state.value === 'old' ? 'Bring a part in the bay up to date' : 'Put a made part in the bay',
      (draft) => {
        const own = draft.bodies.find(({ id }) => id === body.id)
        const fresh = structuredClone(body) as Draft<Body>
        if (!own) draft.bodies.push(fresh)
        else {
          own.outlines = fresh.outlines
          if (fresh.provisional) own.provisional = true
          else delete own.provisional
        }
      },
    )
  }

  /** Why it cannot be taken out; null where it can. */
  const stays = computed(() =>
    workbench.build && there.value ? staysBecause(workbench.build, there.value.id) : null,
  )
  /** Gaps that go along with it, by their names. */
  const gaps = computed(() =>
    workbench.build && there.value ? gapsOfBody(workbench.build, there.value.id) : [],
  )
  const takeOut = (): boolean => there.value !== null && bay.removeBody(there.value.id)

  return { now, there, state, stays, gaps, put, takeOut }
}

export const useBarInBay = defineStore('barInBay', () => {
  const making = useMaking()
  return partInBay(() => (making.found && making.way ? memberBody(making.found, making.way) : null))
})

export const useTubeInBay = defineStore('tubeInBay', () => {
  const tubes = useCopedTubes()
  return partInBay(() => tubes.found && tubeBody(tubes.found))
})

export const usePlateInBay = defineStore('plateInBay', () => {
  const plates = usePlates()
  return partInBay(() => plates.found && plateBody(plates.found))
})
