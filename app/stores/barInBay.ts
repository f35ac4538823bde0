import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { isOtherwise, memberBody } from '~~/core/drawing/memberBody'
import { gapsOfBody, staysBecause } from '~~/core/file/edits/withoutBody'
import { bodyById } from '~~/core/file/parts/bodies'
import type { Body } from '~~/core/file/parts/body'
import { useBay } from './bay'
import { useMaking } from './making'
import { useWorkbench } from './workbench'

/** The crossmember that is looked at as a part of the bay: drawn on the board, kept off others, in the way of what is swung in. */
export const useBarInBay = defineStore('barInBay', () => {
  const workbench = useWorkbench()
  const making = useMaking()
  const bay = useBay()

  /** As it hangs now; null while that is not known. */
  const now = computed(() => {
    if (!making.found || !making.way) return null
    const body = memberBody(making.found, making.way)
    return body.known ? body.value : null
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
      state.value === 'old' ? 'Bring a bar in the bay up to date' : 'Put a bar in the bay',
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
})
