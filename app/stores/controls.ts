import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { LIMBS, MOST_AT_ONCE, type Control, type Limb, type Manoeuvre } from '~~/core/file/parts/control'
import { MANOEUVRES } from '~~/core/model/manoeuvreSubject'
import { foundOf } from '~~/core/model/subject'
import { controlSentence, manoeuvreRows } from '~~/core/show/text/controlText'
import { newId } from '../storage/newId'
import { controls as words } from '../texts/controls'
import { assign } from './assign'
import { useEvaluation } from './evaluation'
import { lookedAt } from './lookedAt'
import { useWorkbench } from './workbench'

/** What the driver works in each manoeuvre of the open build, and with which hand or foot. */
export const useControls = defineStore('controls', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const found = computed(() => (evaluation.current ? foundOf(evaluation.current.subjects, MANOEUVRES) : []))
  const controls = computed(() => workbench.build?.controls ?? [])
  const rows = computed(() => manoeuvreRows(found.value, { controls: controls.value }))
  const sentence = computed(() => controlSentence(found.value))
  const manoeuvres = computed(() => workbench.build?.manoeuvres ?? [])
  const { looked, one: manoeuvre } = lookedAt(manoeuvres, ({ id }) => id)

  /** The usual controls and manoeuvres, where there are none yet. */
  function begin(): void {
    const ids = new Map(Object.keys(words.usual.controls).map((key) => [key, newId()]))
    const idOf = (key: string) => ids.get(key) ?? key
    const made = {
      controls: Object.entries(words.usual.controls).map(([key, one]) => ({ id: idOf(key), ...one })),
      manoeuvres: words.usual.manoeuvres.map(({ name, at }) => ({
        ...{ id: newId(), name },
        at: at.map((key) => ({ control: idOf(key) })),
      })),
    }
    workbench.change('Begin a plan of hands and feet', (draft) => Object.assign(draft, structuredClone(made)))
  }

  function editManoeuvre(label: string, id: string, recipe: (one: Draft<Manoeuvre>) => void): void {
    workbench.change(label, (draft) => {
      const one = draft.manoeuvres?.find((other) => other.id === id)
      if (one) recipe(one)
    })
  }
  const rename = (id: string, name: string): void =>
    editManoeuvre('Rename a manoeuvre', id, (one) => void (one.name = name))
  /** Worked in a manoeuvre, or no longer. */
  const work = (id: string, control: string): void =>
    editManoeuvre('Change what is worked in a manoeuvre', id, (one) => {
      const others = one.at.filter((other) => other.control !== control)
      const isNew = others.length === one.at.length
      one.at = isNew && others.length < MOST_AT_ONCE ? [...others, { control }] : others
    })
  function addManoeuvre(): void {
    const id = newId()
    workbench.change('Add a manoeuvre', (draft) => {
      draft.manoeuvres = [...(draft.manoeuvres ?? []), { id, name: words.newManoeuvre, at: [] }]
    })
    looked.value = id
  }
  const removeManoeuvre = (id: string): void => {
    workbench.change('Delete a manoeuvre', (draft) => {
      draft.manoeuvres = (draft.manoeuvres ?? []).filter((one) => one.id !== id)
    })
  }

  function editControl(label: string, id: string, recipe: (one: Draft<Control>) => void): void {
    workbench.change(label, (draft) => {
      const one = draft.controls?.find((other) => other.id === id)
      if (one) recipe(one)
    })
  }
  const renameControl = (id: string, name: string): void =>
    editControl('Rename a control', id, (one) => void (one.name = name))
  /** Reached by a limb, or no longer; one always reaches it. */
  const reach = (id: string, limb: Limb): void =>
    editControl('Change who works a control', id, (one) => {
      const next = LIMBS.filter((other) => one.limbs.includes(other) !== (other === limb))
      if (next.length > 0) one.limbs = next
    })
  function addControl(): void {
    const id = newId()
    workbench.change('Add a control', (draft) => {
      draft.controls = [...(draft.controls ?? []), { id, name: words.newControl, limbs: ['rightHand'] }]
    })
  }
  const removeControl = (id: string): void => {
    workbench.change('Delete a control', (draft) => {
      draft.controls = (draft.controls ?? []).filter((one) => one.id !== id)
      for (const one of draft.manoeuvres ?? []) one.at = one.at.filter(({ control }) => control !== id)
      for (const one of draft.clutches ?? []) if (one.control === id) assign(one, { control: undefined })
    })
  }

  return {
    ...{ controls, rows, sentence, manoeuvres, looked, manoeuvre },
    ...{ begin, rename, work, addManoeuvre, removeManoeuvre },
    ...{ renameControl, reach, addControl, removeControl },
  }
})
