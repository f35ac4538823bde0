import { defineStore } from 'pinia'
import { computed, toRaw } from 'vue'
import { evaluate } from '~~/core/model/evaluateBuild'
import { compile } from '~~/core/model/compile'
import { stateSentence } from '~~/core/text/stateSentence'
import { measureAgain, type MeasureAgain } from '~~/core/uncertainty/measureAgain'
import { sureEvaluation } from '~~/core/uncertainty/sureness'
import { buildBy, COMPILED_PARTS } from './buildParts'
import { useLevers } from './levers'
import { useSureness } from './sureness'
import { useWorkbench } from './workbench'

/** What the core says of the open build, at the levers' setting on screen. */
export const useEvaluation = defineStore('evaluation', () => {
  const workbench = useWorkbench()
  const levers = useLevers()
  const asPlanned = buildBy(() => workbench.build, COMPILED_PARTS)
  const compiled = computed(() => (asPlanned.value ? compile(toRaw(asPlanned.value)) : null))
  const sureness = useSureness()
  const current = computed(() => {
    if (!compiled.value) return null
    const plain = evaluate(compiled.value, levers.settings)
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

  return { compiled, current, advice, asMeasured, sentence }
})
