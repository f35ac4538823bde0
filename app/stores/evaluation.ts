import { defineStore } from 'pinia'
import { computed, toRaw } from 'vue'
import { evaluate } from '~~/core/model/evaluateBuild'
import { compile } from '~~/core/model/compile'
import { stateSentence } from '~~/core/show/told/stateSentence'
import { measureAgain, type MeasureAgain } from '~~/core/answers/uncertainty/measureAgain'
import { sureEvaluation } from '~~/core/answers/uncertainty/sureness'
import { texts } from '../texts/en'
import { buildBy, COMPILED_PARTS } from './buildParts'
import { useLevers } from './levers'
import { reasonOf } from './reasonOf'
import { useSureness } from './sureness'
import { useWorkbench } from './workbench'

/** What the core answered, or what broke in it. */
interface Tried<T> {
  readonly value: T | null
  readonly fault: string | null
}

/** Works something out; a fault of the program is an answer too, so that what led to it can be mended. */
function tried<T>(work: () => T | null): Tried<T> {
  try {
    return { value: work(), fault: null }
  } catch (error) {
    return { value: null, fault: reasonOf(error) }
  }
}

/** What the core says of the open build, at the levers' setting on screen. */
export const useEvaluation = defineStore('evaluation', () => {
  const workbench = useWorkbench()
  const levers = useLevers()
  const asPlanned = buildBy(() => workbench.build, COMPILED_PARTS)
  const compiling = computed(() => tried(() => asPlanned.value && compile(toRaw(asPlanned.value))))
  const compiled = computed(() => compiling.value.value)
  const sureness = useSureness()
  const evaluating = computed(() => tried(() => compiled.value && evaluate(compiled.value, levers.settings)))
  const current = computed(() => {
    const plain = evaluating.value.value
    return plain && sureness.result ? sureEvaluation(plain, sureness.result) : plain
  })
  /** What the program says of a build it could not work out; null for one that it could. */
  const fault = computed(() => compiling.value.fault ?? evaluating.value.fault)
  /** What to measure again for the checks that could turn either way. */
  const advice = computed<MeasureAgain[]>(() =>
    workbench.build && current.value && sureness.result && sureness.isFresh
      ? measureAgain(workbench.build, current.value.checks, sureness.result)
      : [],
  )
  const asMeasured = computed(() => tried(() => compiled.value && evaluate(compiled.value, {})).value)
  const sentence = computed(() => {
    if (fault.value !== null) return texts.fault.notWorkedOut
    return workbench.build && current.value ? stateSentence(workbench.build, current.value) : ''
  })

  return { compiled, current, fault, advice, asMeasured, sentence }
})
