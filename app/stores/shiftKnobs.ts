import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { MOST_NEAR_KNOB, type ShiftKnob } from '~~/core/file/parts/shiftLinkage'
import { knobTexts } from '~~/core/show/text/shiftText'
import { assign } from './assign'
import { useShifts } from './shifts'
import { useWorkbench } from './workbench'

/** A straight lever, the builder's to change. */
const FIRST = { longMm: 250, turnDeg: 180 } as const

/** The knob of the lever that is looked at, and what a hand strikes there. */
export const useShiftKnobs = defineStore('shift knobs', () => {
  const workbench = useWorkbench()
  const shifts = useShifts()
  const knob = computed(() => shifts.found?.shift.knob ?? null)
  const told = computed(() =>
    shifts.found && workbench.build
      ? knobTexts(shifts.found, workbench.build).map((one) => ({
          ...one,
          place: `shifts[${shifts.index}].knob.${one.name}`,
        }))
      : [],
  )
  function edit(recipe: (knob: Draft<ShiftKnob>) => void): void {
    const id = shifts.found?.shift.id
    workbench.change('Change the knob of a lever', (draft) => {
      const one = draft.shifts?.find((other) => other.id === id)?.knob
      if (one) recipe(one)
    })
  }
  const begin = (): void => shifts.change({ knob: { ...FIRST } })
  const leaveOut = (): void => shifts.change({ knob: undefined })
  const change = (changed: {
    readonly [K in keyof Omit<ShiftKnob, 'near'>]?: ShiftKnob[K] | undefined
  }): void => edit((one) => assign(one, changed))
  function addNear(): void {
    const point = workbench.build?.points[0]?.id
    if (point === undefined) return
    edit((one) => {
      const near = (one.near ??= [])
      if (near.length < MOST_NEAR_KNOB) near.push({ point })
    })
  }
  const changeNear = (
    k: number,
    changed: { readonly point?: string; readonly gapMm?: number | undefined },
  ): void => edit(({ near }) => assign(near?.[k], changed))
  const removeNear = (k: number): void => edit(({ near }) => void near?.splice(k, 1))
  return { knob, told, begin, leaveOut, change, addNear, changeNear, removeNear }
})
