import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Temporary } from '~~/core/file/kinds/temporaryKinds'
import { boundText, temporarySentence } from '~~/core/show/text/temporaryText'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { temporary as words } from '../texts/temporary'
import { assign } from './assign'
import { useWorkbench } from './workbench'

/** What of the open build is not yet as it will be. */
export const useTemporary = defineStore('temporary', () => {
  const workbench = useWorkbench()
  /** What is open first, each as it was added. */
  const all = computed<readonly Temporary[]>(() => {
    const entries = workbench.build?.temporaries ?? []
    return [
      ...entries.filter(({ closedAt }) => closedAt === undefined),
      ...entries.filter(({ closedAt }) => closedAt !== undefined),
    ]
  })
  const sentence = computed(() => (all.value.length > 0 ? temporarySentence(all.value) : null))
  const isOpen = computed(() => all.value.some(({ closedAt }) => closedAt === undefined))
  const boundOf = (one: Temporary) => (workbench.build ? boundText(workbench.build, one) : null)

  function add(): void {
    const id = newId()
    workbench.change('Add something temporary', (draft) => {
      const entry = { id, name: words.newName, kind: 'stand-in' as const, since: today() }
      draft.temporaries = [...(draft.temporaries ?? []), entry]
    })
  }

  function change(id: string, changed: Partial<Omit<Temporary, 'id'>>): void {
    workbench.change('Change something temporary', (draft) => {
      assign(
        draft.temporaries?.find((one) => one.id === id),
        changed,
      )
    })
  }
  const close = (id: string): void => change(id, { closedAt: today() })
  const reopen = (id: string): void => change(id, { closedAt: undefined })

  function remove(id: string): void {
    workbench.change('Delete something temporary', (draft) => {
      draft.temporaries = (draft.temporaries ?? []).filter((one) => one.id !== id)
    })
  }

  return { all, sentence, isOpen, boundOf, add, change, close, reopen, remove }
})
