import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { HeldContact, HeldEntry, HeldPin } from '~~/core/file/kinds/releaseKinds'
import { releasePanes } from '~~/core/drawing/releaseScene'
import { releaseOf } from '~~/core/making/ways/heldEntry'
import { releaseSentence } from '~~/core/show/text/releaseText'
import { newId } from '../storage/newId'
import { releases as words } from '../texts/ways'
import { assign } from './assign'
import { lookedAt } from './lookedAt'
import { useWorkbench } from './workbench'

/** A face pushes up until it is said. */
const UP = (): [number, number, number] => [0, 0, 1]

/** Parts of the open build that are to come out of where they sit. */
export const useReleases = defineStore('releases', () => {
  const workbench = useWorkbench()
  const all = computed<readonly HeldEntry[]>(() => workbench.build?.releases ?? [])
  const { looked, one: part } = lookedAt(all, ({ id }) => id)
  const found = computed(() => (part.value ? releaseOf(part.value) : null))
  const sentence = computed(() =>
    part.value && found.value?.known ? releaseSentence(part.value, found.value.value) : null,
  )
  const isOut = computed(() => found.value?.known === true && found.value.value.pinsToDraw !== null)
  const panes = (size: number) =>
    part.value ? releasePanes(part.value, found.value?.known ? found.value.value.bestWay : null, size) : []

  function edit(label: string, recipe: (part: Draft<HeldEntry>) => void): void {
    const id = part.value?.id
    workbench.change(label, (draft) => {
      const one = draft.releases?.find((other) => other.id === id)
      if (one) recipe(one)
    })
  }

  function add(): void {
    const [id, contact] = [newId(), newId()]
    workbench.change('Add a part that is to come out', (draft) => {
      const first = { id: contact, name: words.newContact, pushes: UP() }
      const entry = { id, name: words.newName, contacts: [first], pins: [] }
      draft.releases = [...(draft.releases ?? []), entry]
    })
    looked.value = id
  }

  const rename = (name: string): void => edit('Rename a part', (one) => assign(one, { name }))

  function addContact(): void {
    const id = newId()
    edit('Add a face that touches', (one) => {
      one.contacts.push({ id, name: words.newContact, pushes: UP() })
    })
  }

  function changeContact(id: string, changed: Partial<Omit<HeldContact, 'id'>>): void {
    edit('Change a face that touches', (one) => {
      assign(
        one.contacts.find((face) => face.id === id),
        changed,
      )
    })
  }

  function removeContact(id: string): void {
    edit('Delete a face that touches', (one) => {
      one.contacts = one.contacts.filter((face) => face.id !== id)
    })
  }

  function addPin(): void {
    const id = newId()
    edit('Add a bolt through a part', (one) => {
      one.pins.push({ id, name: words.newPin, along: UP(), canBeDrawn: true })
    })
  }

  function changePin(id: string, changed: Partial<Omit<HeldPin, 'id'>>): void {
    edit('Change a bolt through a part', (one) => {
      assign(
        one.pins.find((pin) => pin.id === id),
        changed,
      )
    })
  }

  function removePin(id: string): void {
    edit('Delete a bolt through a part', (one) => {
      one.pins = one.pins.filter((pin) => pin.id !== id)
    })
  }

  function remove(): void {
    const id = part.value?.id
    workbench.change('Delete a part that is to come out', (draft) => {
      draft.releases = (draft.releases ?? []).filter((one) => one.id !== id)
    })
  }

  return {
    ...{ all, looked, part, found, sentence, isOut, panes, add, rename },
    ...{ addContact, changeContact, removeContact, addPin, changePin, removePin, remove },
  }
})
