import { defineStore } from 'pinia'
import { computed, shallowRef, toRaw } from 'vue'
import { chosenSettings, evaluate } from '~~/core/check/evaluateBuild'
import { compile } from '~~/core/model/compile'
import type { LeverSettings } from '~~/core/placement/settings'
import { stateSentence } from '~~/core/text/stateSentence'
import { measureAgain, type MeasureAgain } from '~~/core/uncertainty/measureAgain'
import { sureEvaluation } from '~~/core/uncertainty/sureness'
import { buildBy, COMPILED_PARTS } from './buildParts'
import { useSureness } from './sureness'
import { useWorkbench } from './workbench'

const EMPTY_HAND = { build: '', amounts: {} } as const

/** What the core says of the open build, at the levers' setting on screen. */
export const useEvaluation = defineStore('evaluation', () => {
  const workbench = useWorkbench()
  /** Lever amounts while a lever is in the hand, not yet stored; they belong to the build they were taken in. */
  const hand = shallowRef<{ readonly build: string; readonly amounts: LeverSettings }>(EMPTY_HAND)
  const held = computed<LeverSettings>(() =>
    hand.value.build === workbench.build?.id ? hand.value.amounts : EMPTY_HAND.amounts,
  )

  const asPlanned = buildBy(() => workbench.build, COMPILED_PARTS)
  const compiled = computed(() => (asPlanned.value ? compile(toRaw(asPlanned.value)) : null))
  const settings = computed<LeverSettings>(() =>
    workbench.build ? { ...chosenSettings(workbench.build), ...held.value } : {},
  )
  const sureness = useSureness()
  const current = computed(() => {
    if (!compiled.value) return null
    const plain = evaluate(compiled.value, settings.value)
    return sureness.result ? sureEvaluation(plain, sureness.result) : plain
  })
  /** What to measure again for the checks that could turn either way. */
  const advice = computed<MeasureAgain[]>(() =>
    workbench.build && current.value && sureness.result && sureness.isFresh
      ? measureAgain(workbench.build, current.value.checks, sureness.result)
      : [],
  )
  const asMeasured = computed(() => (compiled.value ? evaluate(compiled.value, {}) : null))
  const sentence = computed(() =>
    workbench.build && current.value ? stateSentence(workbench.build, current.value) : '',
  )

  /** Moves a lever on screen only. */
  function hold(leverId: string, amount: number): void {
    if (workbench.build)
      hand.value = { build: workbench.build.id, amounts: { ...held.value, [leverId]: amount } }
  }

  /** Lets go of the levers: stores where they stand, as one change. */
  function release(label: string): void {
    const amounts = held.value
    if (Object.keys(amounts).length === 0) return
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

  return { settings, current, advice, asMeasured, sentence, held, hold, release, drop, set }
})
