import { defineStore } from 'pinia'
import { computed } from 'vue'
import { patternOf, patternStep } from '~~/core/vehicle/halfshaft/donorPattern'
import type { DonorPattern } from '~~/core/file/parts/donorPattern'
import type { Id } from '~~/core/file/parts/id'
import { newId } from '../storage/newId'
import { assign } from './assign'
import { useWorkbench } from './workbench'

/** Lengths of halfshafts by donor pieces, each figure saved as it is typed. */
export const usePatterns = defineStore('patterns', () => {
  const workbench = useWorkbench()
  const all = computed(() =>
    (workbench.build?.patterns ?? []).map((read) => ({
      read,
      step: patternStep(read),
      found: patternOf(read),
    })),
  )

  /** @returns the id of the new one */
  function add(name: string): Id {
    const id = newId()
    workbench.change('Add a pattern', (draft) => {
      assign(draft, { patterns: [...(draft.patterns ?? []), { id, name }] })
    })
    return id
  }
  function change(
    id: Id,
    changed: { readonly [K in keyof Omit<DonorPattern, 'id'>]?: DonorPattern[K] | undefined },
  ): void {
    workbench.change('Measure a pattern', (draft) =>
      assign(
        draft.patterns?.find((one) => one.id === id),
        changed,
      ),
    )
  }
  function remove(id: Id): void {
    workbench.change('Delete a pattern', (draft) => {
      const rest = (draft.patterns ?? []).filter((one) => one.id !== id)
      assign(draft, { patterns: rest.length > 0 ? rest : undefined })
    })
  }

  return { all, add, change, remove }
})
