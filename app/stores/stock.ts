import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Build } from '~~/core/file/build/build'
import type { Drivetrain } from '~~/core/file/parts/drivetrain'
import { crossesOf, tubesOf, type CrossEntry, type TubeEntry } from '~~/core/file/parts/stock'
import { newId } from '../storage/newId'
import { assign } from './assign'
import { useWorkbench } from './workbench'

type Changed<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** Tubes that can be had, sizes of crosses, and what turns and holds the shafts. */
export const useStock = defineStore('stock', () => {
  const workbench = useWorkbench()
  const tubes = computed(() => (workbench.build ? tubesOf(workbench.build) : []))
  const crosses = computed(() => (workbench.build ? crossesOf(workbench.build) : []))

  /** A list that is still the usual one is copied before it is changed. */
  function change<K extends 'tubes' | 'crosses'>(
    key: K,
    recipe: (list: Draft<NonNullable<Build[K]>[number]>[]) => void,
  ): void {
    const list = key === 'tubes' ? tubes.value : crosses.value
    workbench.change('Change the stock', (draft) => {
      const own = structuredClone(draft[key] ? undefined : list.map((one) => ({ ...one })))
      if (own) assign(draft, { [key]: own })
      recipe(draft[key] as Draft<NonNullable<Build[K]>[number]>[])
    })
  }
  const changeTube = (id: string, changed: Changed<TubeEntry>): void =>
    change('tubes', (list) =>
      assign(
        list.find((one) => one.id === id),
        changed,
      ),
    )
  const changeCross = (id: string, changed: Changed<CrossEntry>): void =>
    change('crosses', (list) =>
      assign(
        list.find((one) => one.id === id),
        changed,
      ),
    )
  function addTube(): void {
    const id = newId()
    change('tubes', (list) => list.push({ id, outerMm: 76, wallMm: 2, material: 'steel' }))
  }
  function addCross(name: string): void {
    const id = newId()
    change('crosses', (list) =>
      list.push({ id, name, spanMm: 68, trunnionMm: 15, boreMm: 3.5, allowMPa: 170 }),
    )
  }
  const remove = (key: 'tubes' | 'crosses', id: string): void =>
    change(key, (list) => {
      const at = list.findIndex((one) => one.id === id)
      if (at >= 0) list.splice(at, 1)
    })
  const reset = (key: 'tubes' | 'crosses'): void => {
    workbench.change('Back to the usual stock', (draft) => assign(draft, { [key]: undefined }))
  }
  const changeTrain = (changed: Changed<Drivetrain>): void => {
    workbench.change('Change the drivetrain', (draft) => assign(draft.drivetrain, changed))
  }

  return { tubes, crosses, changeTube, changeCross, addTube, addCross, remove, reset, changeTrain }
})
