import { defineStore } from 'pinia'
import { computed, ref, toRaw, watch } from 'vue'
import { mostDoubt, originLines } from '~~/core/show/told/originText'
import { figureColumn } from '~~/core/answers/why/figureColumn'
import { originOf } from '~~/core/answers/why/origin'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useWorkbench } from './workbench'

/** A figure somebody asks about. */
interface Question {
  /** Its name in the result, or the id of a check. */
  readonly name: string
  /** What it is called on screen, and what it says there. */
  readonly title: string
  readonly value: string
}

/** Where a figure on screen comes from: asked with a click or a key, answered from the model's own steps. */
export const useWhy = defineStore('why', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const levers = useLevers()
  const question = ref<Question | null>(null)

  /** The tree in words; null for a figure that rests on nothing measured, such as one typed in. */
  const answer = computed(() => {
    const { build } = workbench
    const { compiled, current } = evaluation
    if (!question.value || !build || !compiled || !current) return null
    const column = figureColumn(compiled, current, question.value.name)
    if (column === null) return null
    return originLines(toRaw(build), originOf(compiled, column, levers.settings).parts)
  })
  /** What brings most of its doubt. */
  const most = computed(() => mostDoubt(answer.value ?? []))
  watch(
    () => workbench.build?.id,
    () => close(),
  )

  function ask(name: string, title: string, value: string): void {
    question.value = { name, title, value }
  }

  function close(): void {
    question.value = null
  }

  return { question, answer, most, ask, close }
})
