import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import type { Plate, PlateCard } from '~~/core/file/kinds/plateKinds'
import type { Pixel } from '~~/core/measure/tracing/photoScale'
import type { CardTool } from '../texts/cards'
import { assign } from './assign'
import { usePhotos } from './photos'
import { usePlates, type PlateSide } from './plates'
import { useWorkbench } from './workbench'

/** A mark that is set. */
export interface CardMark {
  readonly tool: CardTool
  readonly at: Pixel
}

/** Holes of the looked-at plate as they were pressed into a card, marked on its photograph. */
export const useCards = defineStore('cards', () => {
  const workbench = useWorkbench()
  const plates = usePlates()
  const photos = usePhotos()
  const side = ref<PlateSide>('bosses')
  const chosen = ref<CardTool | null>(null)
  const plate = computed(() => plates.found?.plate ?? null)
  const card = computed(() => plate.value?.[side.value]?.card ?? null)
  /** What is still to be marked, in its order. */
  const open = computed((): CardTool[] => {
    if (!card.value || !plate.value) return []
    const { first, second, marks = [] } = card.value
    return [
      ...(first ? [] : ['first' as const]),
      ...(second ? [] : ['second' as const]),
      ...plate.value.holes.flatMap(({ id }) => (marks.some(({ hole }) => hole === id) ? [] : [{ hole: id }])),
    ]
  })
  const tool = computed<CardTool>(() => chosen.value ?? open.value[0] ?? 'outline')
  const tools = computed((): CardTool[] => [
    'first',
    'second',
    ...(plate.value?.holes ?? []).map(({ id }) => ({ hole: id })),
    'outline',
  ])
  const marks = computed((): CardMark[] => {
    const { first, second, marks: holes = [] } = card.value ?? {}
    return [
      ...(first ? [{ tool: 'first' as const, at: pixelOf(first) }] : []),
      ...(second ? [{ tool: 'second' as const, at: pixelOf(second) }] : []),
      ...holes.map(({ hole, at }) => ({ tool: { hole }, at: pixelOf(at) })),
    ]
  })
  const outline = computed(() => (card.value?.outline ?? []).map(pixelOf))

  function edit(label: string, recipe: (plate: Draft<Plate>) => void): void {
    const id = plate.value?.id
    workbench.change(label, (draft) => {
      const one = draft.plates?.find((other) => other.id === id)
      if (one) recipe(one)
    })
  }
  const editCard = (label: string, recipe: (card: Draft<PlateCard>) => void): void =>
    edit(label, (one) => {
      const now = one[side.value]?.card
      if (now) recipe(now)
    })

  function begin(photo: string): void {
    edit('Lay a card on a plate', (one) => {
      const face = one[side.value] ?? { tapes: [], third: 'left' as const }
      one[side.value] = { ...face, card: { photo } }
    })
  }

  function set([x, y]: Pixel): void {
    const now = tool.value
    editCard('Mark a card', (one) => {
      const at = { x, y }
      if (now === 'first' || now === 'second') one[now] = at
      else if (now === 'outline') one.outline = [...(one.outline ?? []), at]
      else one.marks = [...(one.marks ?? []).filter(({ hole }) => hole !== now.hole), { hole: now.hole, at }]
    })
    if (now !== 'outline') chosen.value = null
  }

  function dropCorner(): void {
    editCard('Take a corner back', (one) => {
      one.outline = one.outline?.slice(0, -1)
    })
  }

  const change = (changed: Partial<Pick<PlateCard, 'apartMm' | 'isBack'>>): void =>
    editCard('Change a card', (one) => assign(one, changed))

  /** The face goes by its card. */
  function dropTapes(): void {
    edit('Delete the tapes of a face', (one) => {
      const face = one[side.value]
      if (face) face.tapes = []
    })
  }

  /** The card is no longer what tells the holes; its photograph goes with it. */
  function remove(): void {
    const photo = card.value?.photo
    edit('Delete a card', (one) => {
      if (one[side.value]) delete one[side.value]?.card
    })
    if (photo !== undefined) photos.remove(photo)
  }

  watch([side, () => plate.value?.id], () => {
    chosen.value = null
  })

  return {
    side,
    chosen,
    card,
    open,
    tool,
    tools,
    marks,
    outline,
    begin,
    set,
    dropCorner,
    dropTapes,
    change,
    remove,
  }
})

const pixelOf = ({ x, y }: { readonly x: number; readonly y: number }): Pixel => [x, y]
