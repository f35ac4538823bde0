import type { Draft } from 'immer'
import { useNow } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { tackScene } from '~~/core/drawing/tackScene'
import { MOST_WELD_READINGS, type WeldEntry, type WeldReading } from '~~/core/file/kinds/weldKinds'
import { tackPlan } from '~~/core/making/welds/tacks'
import { diagonalSentence, weldRows, weldSentence, weldSteps } from '~~/core/show/text/weldText'
import { DEMO_IDS } from '../storage/demos'
import { newId } from '../storage/newId'
import { useBuildRepository } from '../storage/storage'
import { welds as words } from '../texts/welds'
import { assign } from './assign'
import { lookedAt } from './lookedAt'
import { useWorkbench } from './workbench'

/** A seam that nobody has measured yet. */
const FIRST = { seam: 'fillet-across', lengthMm: 80, thicknessMm: 4, runs: 1 } as const
const MINUTE_MS = 60_000

/** Welds of the open build: tacks, readings before and after, what they drew. */
export const useWelds = defineStore('welds', () => {
  const workbench = useWorkbench()
  const all = computed<readonly WeldEntry[]>(() => workbench.build?.welds ?? [])
  const { looked, one: weld } = lookedAt(all, ({ id }) => id)
  const units = computed(() => workbench.build?.units ?? null)
  /** Welds of the shop's other builds; those of examples teach nothing. */
  const shop = shallowRef<readonly WeldEntry[]>([])
  const others = computed(() => [...all.value.filter(({ id }) => id !== weld.value?.id), ...shop.value])
  const rows = computed(() => (weld.value && units.value ? weldRows(weld.value, units.value) : []))
  const steps = computed(() =>
    weld.value && units.value ? weldSteps(weld.value, others.value, units.value) : [],
  )
  const sentence = computed(() => (weld.value ? weldSentence(weld.value) : null))
  const square = computed(() =>
    weld.value && units.value ? diagonalSentence(weld.value, units.value) : null,
  )
  const scene = (width: number) => (weld.value ? tackScene(weld.value, width) : null)
  const tacks = computed(() =>
    weld.value ? tackPlan(weld.value.lengthMm, weld.value.thicknessMm).atMm.length : 0,
  )
  const isWelded = computed(() => weld.value?.hotAt !== undefined)
  const now = useNow({ interval: MINUTE_MS / 6 })
  /** Whole minutes since it was hot. */
  const minutes = computed(() =>
    weld.value?.hotAt === undefined
      ? 0
      : Math.max(0, Math.floor((now.value.getTime() - Date.parse(weld.value.hotAt)) / MINUTE_MS)),
  )

  /** Reads what seams drew in the shop's other builds; one that cannot be read teaches nothing. */
  async function learn(): Promise<void> {
    const repository = useBuildRepository()
    const isExample = (id: string) => DEMO_IDS.some((demo) => demo === id)
    try {
      const own = (await repository.summaries()).filter(
        ({ id, deletedAt }) => deletedAt === null && id !== workbench.build?.id && !isExample(id),
      )
      const read = await Promise.all(own.map(({ id }) => repository.load(id)))
      shop.value = read.flatMap((one) => (one?.ok ? (one.value.build.welds ?? []) : []))
    } catch {
      shop.value = []
    }
  }

  function edit(label: string, recipe: (weld: Draft<WeldEntry>) => void): void {
    const id = weld.value?.id
    workbench.change(label, (draft) => {
      const one = draft.welds?.find((other) => other.id === id)
      if (one) recipe(one)
    })
  }

  function add(): void {
    const id = newId()
    workbench.change('Add a weld', (draft) => {
      draft.welds = [...(draft.welds ?? []), { id, name: words.newName, ...FIRST, readings: [] }]
    })
    looked.value = id
  }

  const change = (changed: Partial<Omit<WeldEntry, 'id' | 'readings'>>): void =>
    edit('Change a weld', (one) => assign(one, changed))

  /** One tack more, or one taken back. */
  function tack(by: 1 | -1): void {
    edit(by > 0 ? 'Make a tack' : 'Take back a tack', (one) => {
      one.tacked = Math.min(tacks.value, Math.max(0, (one.tacked ?? 0) + by))
    })
  }

  function addReadings(added: readonly Omit<WeldReading, 'id'>[]): void {
    const entries = added.map((one) => ({ id: newId(), ...one }))
    edit('Add readings of a weld', (one) => {
      one.readings = [...one.readings, ...entries].slice(0, MOST_WELD_READINGS)
    })
  }
  const addReading = (): void => addReadings([{ name: words.newReading, most: 1 }])
  const addUsual = (): void =>
    addReadings(
      words.usualNames.map((name, i) => ({
        name,
        ...(i === words.usualNames.length - 1 ? { isOverSeam: true } : { most: 1 }),
      })),
    )

  function changeReading(id: string, changed: Partial<Omit<WeldReading, 'id'>>): void {
    edit('Read a weld', (one) => {
      assign(
        one.readings.find((reading) => reading.id === id),
        changed,
      )
    })
  }

  function removeReading(id: string): void {
    edit('Delete a reading of a weld', (one) => {
      one.readings = one.readings.filter((reading) => reading.id !== id)
    })
  }

  function keepDiagonals(read: { readonly firstMm: number; readonly secondMm: number }): void {
    edit('Read the diagonals', (one) => {
      one.diagonals = [...(one.diagonals ?? []), read]
    })
  }
  const dropDiagonals = (): void =>
    edit('Take the last diagonals back', (one) => {
      one.diagonals = (one.diagonals ?? []).slice(0, -1)
    })

  /** From here on the old figures are hidden. */
  const weldNow = (): void => change({ hotAt: new Date().toISOString() })
  const backToTacks = (): void => change({ hotAt: undefined })

  function remove(): void {
    const id = weld.value?.id
    workbench.change('Delete a weld', (draft) => {
      draft.welds = (draft.welds ?? []).filter((one) => one.id !== id)
    })
  }

  return {
    ...{
      all,
      looked,
      weld,
      rows,
      steps,
      sentence,
      square,
      scene,
      tacks,
      isWelded,
      minutes,
    },
    ...{
      learn,
      add,
      change,
      tack,
      keepDiagonals,
      dropDiagonals,
      addReading,
      addUsual,
      changeReading,
      removeReading,
      weldNow,
      backToTacks,
      remove,
    },
  }
})
