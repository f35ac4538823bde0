import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { chosenSettings } from '~~/core/model/evaluateBuild'
import type { LeverSettings } from '~~/core/vehicle/moves/settings'
import { useWorkbench } from './workbench'

const EMPTY_HAND = { build: '', amounts: {} } as const

/** Where the levers of the open build stand: as stored in the chosen position, or as held in the hand. */
export const useLevers = defineStore('levers', () => {
  const workbench = useWorkbench()
  /** Lever amounts while a lever is in the hand, not yet stored; they belong to the build they were taken in. */
  const hand = shallowRef<{ readonly build: string; readonly amounts: LeverSettings }>(EMPTY_HAND)
  const held = computed<LeverSettings>(() =>
    hand.value.build === workbench.build?.id ? hand.value.amounts : EMPTY_HAND.amounts,
  )
  const isHeld = computed(() => Object.keys(held.value).length > 0)
  const settings = computed<LeverSettings>(() =>
    workbench.build ? { ...chosenSettings(workbench.build), ...held.value } : {},
  )

  /** Moves a lever on screen only. */
  function hold(leverId: string, amount: number): void {
    if (workbench.build)
      hand.value = { build: workbench.build.id, amounts: { ...held.value, [leverId]: amount } }
  }

  /** Lets go of the levers: stores where they stand, as one change. */
  function release(label: string): void {
    const amounts = held.value
    if (!isHeld.value) return
    set(label, amounts)
    hand.value = EMPTY_HAND
  }

  /** Puts the levers back where they stood before they were taken in the hand. */
  function drop(): void {
    hand.value = EMPTY_HAND
  }

  /** Stores lever amounts in the chosen position. */
  function set(label: string, amounts: LeverSettings): void {
    workbench.change(label, (draft) => {
      const position = draft.positions.find((one) => one.id === draft.chosen)
      if (position) Object.assign(position.settings, amounts)
    })
  }

  /** Stores all levers as measured. */
  function reset(label: string): void {
    set(label, Object.fromEntries((workbench.build?.levers ?? []).map((lever) => [lever.id, 0])))
  }

  /** A locked lever stays where it stands when a setting is looked for; by hand it can be moved as before. */
  function lock(leverId: string): void {
    workbench.change('Lock or free a lever', (draft) => {
      const lever = draft.levers.find(({ id }) => id === leverId)
      if (lever) lever.locked = lever.locked !== true
    })
  }

  return { settings, held, isHeld, hold, release, drop, set, reset, lock }
})
