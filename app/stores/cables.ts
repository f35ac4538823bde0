import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { cableScene, type CableView } from '~~/core/drawing/cableScene'
import type { Build } from '~~/core/file/build/build'
import { MOST_HOT, type Cable, type CableCornerEntry, type CableEndEntry } from '~~/core/file/parts/cable'
import { CABLES } from '~~/core/model/cableSubject'
import { foundOf } from '~~/core/model/subject'
import { cableRows, cableSentence } from '~~/core/show/text/cableText'
import { newId } from '../storage/newId'
import { cables as words } from '../texts/cables'
import { assign } from './assign'
import { dropPoints } from './dropPoints'
import { useEvaluation } from './evaluation'
import { lookedAt } from './lookedAt'
import { useReadings } from './readings'
import { useWorkbench } from './workbench'

/** Usual sizes, the builder's to change. */
const FIRST = { radiusMm: 200, adjustMm: 10 } as const
const GAPS = { bare: 100, shielded: 40 } as const
/** Fields that are changed; those told as undefined go. */
export type Changed<T> = { readonly [K in keyof T]?: T[K] | undefined }
export type CornerSide = 'corners' | 'cornersBehind'

/** Cables of the open build: their ways, the holes they pass through, what to order. */
export const useCables = defineStore('cables', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const readings = useReadings()
  const all = computed(() => (evaluation.current ? foundOf(evaluation.current.subjects, CABLES) : []))
  const { looked, one: found } = lookedAt(all, ({ cable }) => cable.id)
  const index = computed(() => all.value.findIndex((one) => one === found.value))
  const rows = computed(() =>
    found.value && workbench.build ? cableRows(found.value, index.value, workbench.build) : [],
  )
  const sentence = computed(() =>
    found.value && workbench.build ? cableSentence(found.value, workbench.build.units) : null,
  )
  const scene = (view: CableView, width: number) =>
    cableScene(all.value, found.value?.cable.id ?? '', view, width)
  /** The step of the tour at which its string is read. */
  const stringStep = computed(
    () =>
      readings.steps.find((step) => step.quantity === 'cable-string' && step.cable === found.value?.cable.id)
        ?.id ?? null,
  )
  /** The first of its places that is not read. */
  const placeStep = computed(() => {
    const { cable } = found.value ?? {}
    if (!cable) return null
    const own = new Set([
      ...[cable.from, ...(cable.corners ?? []), ...(cable.cornersBehind ?? []), cable.to].map(
        ({ point }) => point,
      ),
      ...(workbench.build?.bulkheads ?? []).flatMap(({ id, mark }) =>
        id === cable.hole?.bulkhead ? [mark] : [],
      ),
    ])
    return readings.steps.find((step) => 'point' in step && own.has(step.point) && !step.isRead)?.id ?? null
  })

  function edit(label: string, recipe: (cable: Draft<Cable>, draft: Draft<Build>) => void): void {
    const id = found.value?.cable.id
    workbench.change(label, (draft) => {
      const cable = draft.cables?.find((one) => one.id === id)
      if (cable) recipe(cable, draft)
    })
  }
  const change = (
    changed: Changed<Omit<Cable, 'id' | 'from' | 'to' | 'corners' | 'cornersBehind' | 'hole' | 'hot'>>,
  ): void => edit('Change a cable', (cable) => assign(cable, changed))
  /** An end that goes straight to its next corner has no straight of its own. */
  const changeEnd = (end: 'from' | 'to', changed: Changed<CableEndEntry>): void =>
    edit('Change the end of a cable', (cable) => {
      assign(cable[end], changed)
      if (cable[end].leaves === undefined) assign(cable[end], { straightMm: undefined, axis: undefined })
      else cable[end].straightMm ??= words.firstStraightMm
    })
  function addCorner(side: CornerSide): void {
    const id = newId()
    const body = workbench.build?.bodies.find(({ kind }) => kind === 'chassis')?.id
    if (body === undefined) return
    edit('Add a corner of a cable', (cable, draft) => {
      const corners = (cable[side] ??= [])
      const count = (cable.corners?.length ?? 0) + (cable.cornersBehind?.length ?? 0) + 1
      draft.points.push({ id, name: words.corner(cable.name, count), body })
      corners.push({ point: id })
    })
  }
  const changeCorner = (side: CornerSide, k: number, changed: Changed<CableCornerEntry>): void =>
    edit('Change a corner of a cable', (cable) => {
      const corner = cable[side]?.[k]
      if (corner) assign(corner, changed)
    })
  const removeCorner = (side: CornerSide, k: number): void =>
    edit('Delete a corner of a cable', (cable, draft) => {
      const [gone] = cable[side]?.splice(k, 1) ?? []
      if (gone) dropPoints(draft, [gone.point])
    })
  function addHot(): void {
    const point = workbench.build?.points[0]?.id
    if (point === undefined) return
    edit('Name something hot near a cable', (cable) => {
      const hot = (cable.hot ??= [])
      if (hot.length < MOST_HOT) hot.push({ point, gapMm: GAPS.bare })
    })
  }
  const changeHot = (k: number, changed: Changed<NonNullable<Cable['hot']>[number]>): void =>
    edit('Change something hot near a cable', ({ hot }) => {
      const one = hot?.[k]
      if (one) assign(one, changed)
    })
  const removeHot = (k: number): void =>
    edit('Delete something hot near a cable', ({ hot }) => void hot?.splice(k, 1))

  /** A new one: from the chassis to the gearbox. */
  function add(): void {
    const bodyOf = (kind: string) => workbench.build?.bodies.find((body) => body.kind === kind)?.id
    const chassis = bodyOf('chassis')
    if (chassis === undefined) return
    const [id, from, to] = [newId(), newId(), newId()]
    workbench.change('Add a cable', (draft) => {
      draft.points.push(
        { id: from, name: words.fixings.from, body: chassis },
        { id: to, name: words.fixings.to, body: bodyOf('powertrain') ?? chassis },
      )
      const ends = { from: { point: from }, to: { point: to } }
      draft.cables = [...(draft.cables ?? []), { id, name: words.newName, ...ends, ...FIRST }]
    })
    looked.value = id
  }

  /** Takes one away with its readings, its places where nothing else needs them, and a bulkhead that no other passes. */
  function remove(): void {
    edit('Delete a cable', ({ id, from, to, corners = [], cornersBehind = [], hole }, draft) => {
      draft.cables = (draft.cables ?? []).filter((one) => one.id !== id)
      for (const shift of draft.shifts ?? []) if (shift.cable === id) assign(shift, { cable: undefined })
      draft.readings = draft.readings.filter((one) => !(one.kind === 'cable-string' && one.cable === id))
      const isLast = hole && !draft.cables.some((one) => one.hole?.bulkhead === hole.bulkhead)
      const sheet = isLast ? draft.bulkheads?.find((one) => one.id === hole.bulkhead) : undefined
      if (sheet) draft.bulkheads = draft.bulkheads?.filter((one) => one !== sheet)
      const points = [from, ...corners, ...cornersBehind, to].map(({ point }) => point)
      dropPoints(draft, [...points, ...(sheet ? [sheet.mark] : [])])
    })
  }

  return {
    ...{ all, looked, found, index, rows, sentence, stringStep, placeStep },
    ...{ scene, edit, change, changeEnd, addCorner, changeCorner, removeCorner },
    ...{ addHot, changeHot, removeHot, add, remove },
  }
})
