import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { boltAnswer } from '~~/core/bay/bolts/boltAnswer'
import type { BoltEntry, BoltSlot } from '~~/core/file/kinds/boltKinds'
import { boltLines, boltName } from '~~/core/show/text/boltText'
import { newId } from '../storage/newId'
import { bolts as words } from '../texts/bolts'
import { assign } from './assign'
import { lookedAt } from './lookedAt'
import { useWorkbench } from './workbench'

/** A bolt that nobody has measured yet, and a slot. */
const FIRST = { sizeMm: 10, boltClass: '8.8', thread: 'dry', into: 'nut', gripMm: 20 } as const
const FIRST_SLOT = { faces: 1, bolts: 1, state: 'painted' } as const

/** Bolts of the open build: length, torque, hole, and what a slot holds. */
export const useBolts = defineStore('bolts', () => {
  const workbench = useWorkbench()
  const all = computed<readonly BoltEntry[]>(() => workbench.build?.bolts ?? [])
  const { looked, one: bolt } = lookedAt(all, ({ id }) => id)
  const found = computed(() =>
    workbench.build && bolt.value ? boltAnswer(workbench.build, bolt.value) : null,
  )
  const called = computed(() =>
    bolt.value && found.value?.known ? boltName(bolt.value, found.value.value) : null,
  )
  const lines = computed(() =>
    workbench.build && bolt.value && found.value?.known
      ? boltLines(bolt.value, found.value.value, workbench.build.units)
      : [],
  )
  const isOut = computed(() => lines.value.some((line) => line.isOut))

  function edit(label: string, recipe: (bolt: Draft<BoltEntry>) => void): void {
    const id = bolt.value?.id
    workbench.change(label, (draft) => {
      const one = draft.bolts?.find((other) => other.id === id)
      if (one) recipe(one)
    })
  }

  function add(): void {
    const id = newId()
    workbench.change('Add a bolt', (draft) => {
      draft.bolts = [...(draft.bolts ?? []), { id, name: words.newName, ...FIRST }]
    })
    looked.value = id
  }
  const change = (changed: Partial<Omit<BoltEntry, 'id' | 'slot'>>): void =>
    edit('Change a bolt', (one) => assign(one, changed))
  const changeSlot = (changed: Partial<BoltSlot>): void =>
    edit('Change a slot', (one) => assign(one.slot, changed))
  const setSlot = (isSlot: boolean): void =>
    edit(isSlot ? 'Put a bolt in a slot' : 'Put a bolt in a round hole', (one) =>
      assign(one, { slot: isSlot ? { ...FIRST_SLOT } : undefined }),
    )

  function remove(): void {
    const id = bolt.value?.id
    workbench.change('Delete a bolt', (draft) => {
      draft.bolts = (draft.bolts ?? []).filter((one) => one.id !== id)
    })
  }

  return { all, looked, bolt, found, called, lines, isOut, add, change, changeSlot, setSlot, remove }
})
