import { defineStore } from 'pinia'
import { computed } from 'vue'
import { questionNow } from '~~/core/jobs/questions/questionNow'
import { questionText, questionWhy } from '~~/core/show/text/questionText'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { usePlan } from './plan'
import { useWorkbench } from './workbench'

/** What is asked at its moment, once. */
export const useQuestions = defineStore('questions', () => {
  const workbench = useWorkbench()
  const plan = usePlan()
  const asked = computed(() =>
    workbench.build
      ? questionNow({ build: workbench.build, now: plan.next.now.flatMap(({ node }) => node.task ?? []) })
      : null,
  )
  const text = computed(() => asked.value && questionText(asked.value))
  const why = computed(() => asked.value && questionWhy(asked.value))

  /** Keeps an answer; an empty one says that it does not matter here. */
  function answer(words: string): void {
    if (!asked.value || !text.value) return
    const { question, of } = asked.value
    const entry = {
      ...{ id: newId(), name: text.value.slice(0, 200), question, at: today() },
      ...(of !== null && { of }),
      ...(words !== '' && { text: words.slice(0, 5000) }),
    }
    workbench.change('Answer a question', (draft) => {
      draft.answers = [...(draft.answers ?? []), entry]
    })
  }

  return { asked, text, why, answer }
})
