import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Clutch, ForkPivot } from '~~/core/file/parts/clutch'
import { CLUTCHES } from '~~/core/model/clutchSubject'
import { foundOf } from '~~/core/model/subject'
import { clutchRows, clutchSentence } from '~~/core/show/text/clutchText'
import { LIMB_NAMES } from '~~/core/show/text/controlText'
import { newId } from '../storage/newId'
import { clutches as words } from '../texts/clutches'
import { assign } from './assign'
import { useControls } from './controls'
import { useEvaluation } from './evaluation'
import { useWorkbench } from './workbench'

/** Usual arms of a fork, the builder's to change. */
const FIRST_FORK = { toBearingMm: 60, toRodMm: 100 } as const

/** Clutches of the open build that a pedal works by oil. */
export const useClutches = defineStore('clutches', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const controls = useControls()
  const all = computed(() => {
    const { units } = workbench.build ?? {}
    if (!evaluation.current || !units) return []
    return foundOf(evaluation.current.subjects, CLUTCHES).map((one, k) => ({
      ...one,
      rows: clutchRows(one, k, units),
      sentence: clutchSentence(one, units),
      missing: one.found.known ? [] : one.found.missing,
    }))
  })
  /** Controls that may work one, each with the hand or foot that does. */
  const workedBy = computed(() =>
    controls.controls.map(({ id, name, limbs }) => ({
      value: id,
      label: words.workedBy(name, limbs.map((limb) => LIMB_NAMES[limb]).join(' or ')),
    })),
  )

  function edit(id: string, recipe: (clutch: Draft<Clutch>) => void): void {
    workbench.change('Change a clutch', (draft) => {
      const clutch = draft.clutches?.find((one) => one.id === id)
      if (clutch) recipe(clutch)
    })
  }
  const change = (
    id: string,
    changed: { readonly [K in keyof Omit<Clutch, 'id' | 'fork'>]?: Clutch[K] | undefined },
  ): void => edit(id, (clutch) => assign(clutch, changed))
  const changeFork = (id: string, changed: Partial<NonNullable<Clutch['fork']>>): void =>
    edit(id, ({ fork }) => assign(fork, changed))
  /** With a fork whose pivot lies so, or without one. */
  const forked = (id: string, pivot: ForkPivot | 'none'): void =>
    edit(id, (clutch) => {
      if (pivot === 'none') assign(clutch, { fork: undefined, socketMm: undefined })
      else clutch.fork = { ...FIRST_FORK, ...clutch.fork, pivot }
    })
  function add(): void {
    const id = newId()
    workbench.change('Add a clutch', (draft) => {
      draft.clutches = [...(draft.clutches ?? []), { id, name: words.newName }]
    })
  }
  const remove = (id: string): void => {
    workbench.change('Delete a clutch', (draft) => {
      draft.clutches = (draft.clutches ?? []).filter((one) => one.id !== id)
    })
  }
  return { all, workedBy, change, changeFork, forked, add, remove }
})
