import { castDraft, type Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Place2 } from '~~/core/base/outline/polygon'
import { cutoutScene } from '~~/core/drawing/cutoutScene'
import { FEWEST_CORNERS, type CutoutEntry, type CutoutTouch } from '~~/core/file/kinds/cutoutKinds'
import { cutoutAnswer } from '~~/core/making/cutouts/cutoutAnswer'
import { cutRows, largerText, nextCut } from '~~/core/show/text/cutoutText'
import { newId } from '../storage/newId'
import { cutouts as words } from '../texts/cutouts'
import { assign } from './assign'
import { lookedAt } from './lookedAt'
import { useWorkbench } from './workbench'

/** An opening that nobody has taped yet. */
const FIRST: Omit<CutoutEntry, 'id' | 'name'> = {
  corners: [
    { fromLeftMm: 0, fromFrontMm: 0 },
    { fromLeftMm: 300, fromFrontMm: 0 },
    { fromLeftMm: 300, fromFrontMm: 400 },
    { fromLeftMm: 0, fromFrontMm: 400 },
  ],
  gapMm: 20,
}

/** Openings of the open build: where what is lowered touches, and the cut that follows. */
export const useCutouts = defineStore('cutouts', () => {
  const workbench = useWorkbench()
  const all = computed<readonly CutoutEntry[]>(() => workbench.build?.cutouts ?? [])
  const { looked, one: cutout } = lookedAt(all, ({ id }) => id)
  const answer = computed(() => (cutout.value ? cutoutAnswer(cutout.value) : null))
  const units = computed(() => workbench.build?.units ?? null)
  const known = computed(() => (answer.value?.known ? answer.value.value : null))
  const rows = computed(() => (known.value && units.value ? cutRows(known.value, units.value) : []))
  const next = computed(() => {
    const last = known.value?.cuts.at(-1)
    return last && units.value ? nextCut(last, units.value) : null
  })
  const larger = computed(() => (known.value && units.value ? largerText(known.value, units.value) : null))
  const scene = (width: number) =>
    cutout.value && known.value
      ? cutoutScene(
          cutout.value.corners.map(({ fromLeftMm, fromFrontMm }): Place2 => [fromLeftMm, fromFrontMm]),
          known.value,
          width,
        )
      : null

  function edit(label: string, recipe: (cutout: Draft<CutoutEntry>) => void): void {
    const id = cutout.value?.id
    workbench.change(label, (draft) => {
      const one = draft.cutouts?.find((other) => other.id === id)
      if (one) recipe(one)
    })
  }
  const change = (changed: Partial<Pick<CutoutEntry, 'name' | 'gapMm'>>): void =>
    edit('Change an opening', (one) => assign(one, changed))

  function moveCorner(index: number, changed: Partial<CutoutEntry['corners'][number]>): void {
    edit('Move a corner', (one) => assign(one.corners[index], changed))
  }

  /** Halfway from the last to the first. */
  function addCorner(): void {
    edit('Add a corner', (one) => {
      const [first, last] = [one.corners[0], one.corners.at(-1)]
      if (!first || !last) return
      one.corners.push({
        fromLeftMm: (first.fromLeftMm + last.fromLeftMm) / 2,
        fromFrontMm: (first.fromFrontMm + last.fromFrontMm) / 2,
      })
    })
  }

  function removeCorner(index: number): void {
    edit('Delete a corner', (one) => {
      if (one.corners.length > FEWEST_CORNERS) one.corners.splice(index, 1)
    })
  }

  function keepTouch(touch: Omit<CutoutTouch, 'id'>): void {
    const id = newId()
    edit('Keep a touch', (one) => {
      one.touches = [...(one.touches ?? []), { id, ...touch }]
    })
  }

  function takeBack(): void {
    edit('Take a touch back', (one) => {
      one.touches = one.touches?.slice(0, -1)
    })
  }

  function add(): void {
    const id = newId()
    workbench.change('Add an opening', (draft) => {
      draft.cutouts = [
        ...(draft.cutouts ?? []),
        { id, name: words.newName, ...castDraft(structuredClone(FIRST)) },
      ]
    })
    looked.value = id
  }

  function remove(): void {
    const id = cutout.value?.id
    workbench.change('Delete an opening', (draft) => {
      draft.cutouts = (draft.cutouts ?? []).filter((one) => one.id !== id)
    })
  }

  return {
    ...{ all, looked, cutout, answer, known, rows, next, larger, scene },
    ...{ change, moveCorner, addCorner, removeCorner, keepTouch, takeBack, add, remove },
  }
})
