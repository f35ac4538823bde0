import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { shiftScene, shiftViews, type ShiftView } from '~~/core/drawing/shiftScene'
import type { Build } from '~~/core/file/build/build'
import { withoutLever } from '~~/core/file/edits/withoutLever'
import { ARM_LIES, quarterOf } from '~~/core/file/parts/armWays'
import {
  MOST_SHIFT_GATES,
  type Shift,
  type ShiftArm,
  type ShiftEnd,
  type ShiftGateEntry,
} from '~~/core/file/parts/shiftLinkage'
import { shiftAdvice } from '~~/core/model/shiftAdvice'
import { isLookedAtRocked } from '~~/core/model/shiftFound'
import { SHIFTS } from '~~/core/model/shiftSubject'
import { foundOf } from '~~/core/model/subject'
import { lockTexts } from '~~/core/show/text/lockText'
import { unlikeGates } from '~~/core/model/unlikeGates'
import { adviceTexts, unlikeTexts, shiftRows, shiftSentence } from '~~/core/show/text/shiftText'
import { newId } from '../storage/newId'
import { shift as words } from '../texts/shift'
import { assign } from './assign'
import { dropPoints } from './dropPoints'
import { useEvaluation } from './evaluation'
import { lookedAt } from './lookedAt'
import { useReadings } from './readings'
import { useWorkbench } from './workbench'

/** Usual arms, the builder's to change. */
const FIRST = { lies: 'across', points: 'down', armMm: 60 } as const satisfies Omit<ShiftArm, 'pivot'>

/** Levers that shift the gearbox of the open build: their gates, and what would make them better. */
export const useShifts = defineStore('shifts', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const readings = useReadings()
  const all = computed(() => (evaluation.current ? foundOf(evaluation.current.subjects, SHIFTS) : []))
  const { looked, one: found } = lookedAt(all, ({ shift }) => shift.id)
  const units = computed(() => workbench.build?.units ?? null)
  const gate = ref('')
  const gateId = computed(() => {
    const gates = found.value?.found.known ? found.value.found.value.gates : []
    return gates.find(({ id }) => id === gate.value)?.id ?? gates[0]?.id ?? ''
  })
  const views = computed(() => (found.value ? shiftViews(found.value) : []))
  const scene = (view: ShiftView, width: number) =>
    found.value ? shiftScene(found.value, gateId.value, view, width) : null
  const index = computed(() => all.value.findIndex((one) => one === found.value))
  const rows = computed(() =>
    found.value && units.value ? shiftRows(found.value, index.value, units.value) : [],
  )
  const sentence = computed(() =>
    found.value && units.value ? shiftSentence(found.value, units.value) : null,
  )
  /** Mounts tell how the engine rocks. */
  const isRocked = computed(() => found.value !== null && isLookedAtRocked(found.value))
  const unlikeTold = computed(() =>
    found.value && units.value ? unlikeTexts(found.value, unlikeGates(found.value), units.value) : [],
  )
  const locksTold = computed(() => (found.value ? lockTexts(found.value.shift) : []))
  const advice = computed(() => (found.value ? shiftAdvice(found.value) : null))
  const told = computed(() =>
    found.value && advice.value && units.value ? adviceTexts(found.value, advice.value, units.value) : null,
  )
  /** The step of the tour at which the gates are read. */
  const firstStep = computed(() => {
    const own = readings.steps.filter(
      (step) => step.quantity === 'shift-gate' && step.shift === found.value?.shift.id,
    )
    return own.find(({ isRead }) => !isRead)?.id ?? own[0]?.id ?? null
  })

  function edit(label: string, recipe: (shift: Draft<Shift>, draft: Draft<Build>) => void): void {
    const id = found.value?.shift.id
    workbench.change(label, (draft) => {
      const shift = draft.shifts?.find((one) => one.id === id)
      if (shift) recipe(shift, draft)
    })
  }
  const change = (changed: {
    readonly [K in keyof Omit<Shift, 'id' | 'lever' | 'box' | 'gates'>]?: Shift[K] | undefined
  }): void => edit('Change a shift linkage', (shift) => assign(shift, changed))

  /** An arm that lies otherwise points a way that it can. */
  function changeArm(
    end: ShiftEnd,
    changed: { readonly [K in keyof Omit<ShiftArm, 'pivot'>]?: ShiftArm[K] | undefined },
  ): void {
    edit('Change a shift arm', (shift) => {
      assign(shift[end], changed)
      const { lies, points } = shift[end]
      if (quarterOf(lies, points) === null) shift[end].points = ARM_LIES[lies][0]
    })
  }
  /** Two gates of both ends stay, the rod is set in one of them or in none, and a gate goes with its readings. */
  function editGates(label: string, gates: (now: Draft<Shift>['gates']) => Draft<Shift>['gates']): void {
    edit(label, (shift, draft) => {
      const next = gates(shift.gates)
      const both = next.filter(({ only }) => only === undefined)
      if (both.length < 2) return
      shift.gates = next
      if (!both.some(({ id }) => id === shift.setIn)) assign(shift, { setIn: undefined })
      draft.readings = draft.readings.filter(
        (one) =>
          one.kind !== 'shift-gate' || one.shift !== shift.id || next.some(({ id }) => id === one.gate),
      )
    })
  }
  function changeGate(
    id: string,
    changed: { readonly [K in keyof Omit<ShiftGateEntry, 'id'>]?: ShiftGateEntry[K] | undefined },
  ): void {
    editGates('Change a gate of the shift', (gates) =>
      gates.map((one) => {
        if (one.id !== id) return one
        const next = { ...one }
        assign(next, changed)
        return next
      }),
    )
  }
  function addGate(): void {
    const id = newId()
    edit('Add a gate of the shift', ({ gates }) => {
      if (gates.length < MOST_SHIFT_GATES) gates.push({ id, name: String(gates.length + 1) })
    })
  }
  const removeGate = (id: string): void =>
    editGates('Delete a gate of the shift', (gates) => gates.filter((one) => one.id !== id))
  function gateEarlier(id: string): void {
    edit('Move a gate of the shift', ({ gates }) => {
      const at = gates.findIndex((one) => one.id === id)
      const [moved] = at > 0 ? gates.splice(at, 1) : []
      if (moved) gates.splice(at - 1, 0, moved)
    })
  }

  /** A new one: its lever on the chassis, its arm on the gearbox. */
  function add(): void {
    const bodyOf = (kind: string) => workbench.build?.bodies.find((body) => body.kind === kind)?.id
    const chassis = bodyOf('chassis')
    if (chassis === undefined) return
    const [id, lever, box] = [newId(), newId(), newId()]
    const gates = words.firstGates.map((name) => ({ id: newId(), name }))
    workbench.change('Add a shift linkage', (draft) => {
      draft.points.push(
        { id: lever, name: words.bearings.lever, body: chassis },
        { id: box, name: words.bearings.box, body: bodyOf('powertrain') ?? chassis },
      )
      const arms = { lever: { ...FIRST, pivot: lever }, box: { ...FIRST, pivot: box } }
      draft.shifts = [...(draft.shifts ?? []), structuredClone({ id, name: words.newName, ...arms, gates })]
    })
    looked.value = id
  }

  /** Takes one away, with its readings, and its bearings where nothing else needs them. */
  function remove(): void {
    edit('Delete a shift linkage', ({ id, lever, box }, draft) => {
      draft.shifts = (draft.shifts ?? []).filter((one) => one.id !== id)
      draft.readings = draft.readings.filter((one) => !(one.kind === 'shift-gate' && one.shift === id))
      dropPoints(draft, [lever.pivot, box.pivot])
      const gone = draft.levers.filter((one) => one.shift === id).map((one) => one.id)
      for (const one of gone) Object.assign(draft, withoutLever(draft as Build, one))
    })
  }
  /** The best length to a tenth of a millimetre; null where it is that long, or is set in a gate. */
  const betterRodMm = computed(() => {
    const { setIn, rodMm } = found.value?.shift ?? {}
    const best = advice.value?.rod?.rodMm
    if (best === undefined || setIn !== undefined) return null
    const to = Math.round(best * 10) / 10
    return to === rodMm ? null : to
  })
  function setBestRod(): void {
    if (betterRodMm.value !== null) change({ rodMm: betterRodMm.value })
  }
  /** From pin to pin, as it is set in a gate. */
  const rodAsSetMm = computed(() => {
    const { shift, found: now } = found.value ?? {}
    return shift?.setIn !== undefined && now?.known ? now.value.rodMm : null
  })

  return {
    ...{
      all,
      looked,
      found,
      gate,
      gateId,
      views,
      index,
      scene,
      rows,
      sentence,
      locksTold,
      unlikeTold,
      isRocked,
      advice,
      told,
      firstStep,
      betterRodMm,
      rodAsSetMm,
    },
    ...{ change, changeArm, changeGate, addGate, removeGate, gateEarlier, add, remove, setBestRod },
  }
})
