import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { andThen, mapKnown, unknown } from '~~/core/base/known'
import { lowVehicle, overHump } from '~~/core/bay/ground/overHumps'
import { humpScene, humpWay } from '~~/core/drawing/humpScene'
import { HUMP_KINDS, type Hump, type HumpKind, type HumpSize } from '~~/core/file/kinds/humpKinds'
import { humpRows, humpSentence } from '~~/core/show/text/humpText'
import { newId } from '../storage/newId'
import { humps as words } from '../texts/ways'
import { assign } from './assign'
import { useEvaluation } from './evaluation'
import { lookedAt } from './lookedAt'
import { useWorkbench } from './workbench'

/** Sizes that a kind begins with, the builder's to change. */
const FIRST: Readonly<Record<HumpSize, number>> = { lengthMm: 900, heightMm: 100, rampMm: 900 }
const firstOf = (kind: HumpKind) => Object.fromEntries(HUMP_KINDS[kind].map((size) => [size, FIRST[size]]))

/** Humps of the open build, and the vehicle over them. */
export const useHumps = defineStore('humps', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const all = computed<readonly Hump[]>(() => workbench.build?.humps ?? [])
  const { looked, one: hump } = lookedAt(all, ({ id }) => id)
  const vehicle = computed(() =>
    workbench.build && evaluation.current && hump.value
      ? lowVehicle(workbench.build, evaluation.current, hump.value)
      : unknown(''),
  )
  const found = computed(() => {
    const one = hump.value
    return andThen(vehicle.value, (low) =>
      one ? mapKnown(overHump(low, one), (over) => ({ low, over })) : unknown(''),
    )
  })
  const rows = computed(() =>
    found.value.known && workbench.build
      ? humpRows(found.value.value.low, found.value.value.over, workbench.build.units)
      : [],
  )
  const sentence = computed(() =>
    found.value.known && workbench.build
      ? humpSentence(found.value.value.low, found.value.value.over, workbench.build.units)
      : null,
  )
  /** From where to where the front axle is rolled. */
  const way = computed(() =>
    found.value.known && hump.value ? humpWay(found.value.value.low, hump.value) : null,
  )
  /** Where it is; at first there where the nearest point is nearest. */
  const rolledTo = ref<number | null>(null)
  const frontMm = computed(() => {
    if (!found.value.known || !way.value) return 0
    const { order, points } = found.value.value.over
    const nearest = points.find(({ id }) => id === order[0])?.frontXMm ?? 0
    return Math.min(way.value.to, Math.max(way.value.from, rolledTo.value ?? nearest))
  })
  const scene = (width: number) =>
    found.value.known && hump.value
      ? humpScene(found.value.value.low, hump.value, frontMm.value, width)
      : null

  function look(id: string): void {
    looked.value = id
    rolledTo.value = null
  }

  function add(): void {
    const id = newId()
    workbench.change('Add a hump', (draft) => {
      draft.humps = [...(draft.humps ?? []), { id, name: words.newName, kind: 'round', ...firstOf('round') }]
    })
    look(id)
  }

  function change(changed: Partial<Omit<Hump, 'id' | 'kind'>>): void {
    const id = hump.value?.id
    workbench.change('Change a hump', (draft) => {
      assign(
        draft.humps?.find((one) => one.id === id),
        changed,
      )
    })
  }

  /** Of another kind: sizes that it has not go, those that it lacks begin. */
  function turnInto(kind: HumpKind): void {
    const id = hump.value?.id
    workbench.change('Change a hump', (draft) => {
      const one = draft.humps?.find((other) => other.id === id)
      if (!one) return
      const { lengthMm, heightMm, rampMm } = one
      const sizes = Object.fromEntries(
        Object.entries({ lengthMm, heightMm, rampMm }).map(([size, mm]) => [
          size,
          (HUMP_KINDS[kind] as readonly string[]).includes(size)
            ? (mm ?? FIRST[size as HumpSize])
            : undefined,
        ]),
      )
      assign(one, { kind, ...sizes })
    })
  }

  function remove(): void {
    const id = hump.value?.id
    workbench.change('Delete a hump', (draft) => {
      draft.humps = (draft.humps ?? []).filter((one) => one.id !== id)
    })
  }

  return {
    ...{ all, hump, found, rows, sentence, way, rolledTo, frontMm, scene },
    ...{ look, add, change, turnInto, remove },
  }
})
