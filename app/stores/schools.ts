import { defineStore } from 'pinia'
import { computed, shallowRef, toRaw, watch } from 'vue'
import { settingsAfter } from '~~/core/answers/solver/cure'
import type { SchoolAnswer } from '~~/core/answers/solver/schools'
import type { Id } from '~~/core/file/parts/id'
import { checkLabel, marginText } from '~~/core/show/text/checkText'
import { cureInstruction } from '~~/core/show/told/stateSentence'
import { formatAngle } from '~~/core/base/units/format'
import type { CureService } from '../workers/protocol'
import { opener } from '../workers/opener'
import { workerClient } from '../workers/workerClient'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useSearch } from './useSearch'
import { useWorkbench } from './workbench'

/** A school or habit as a row: what it asks and what it leaves, in words. */
export interface SchoolRow {
  readonly answer: SchoolAnswer
  readonly instruction: string
  readonly angles: string
  readonly leaves: string
}

const startWorker = () =>
  new Worker(new URL('../workers/cures.worker.ts', import.meta.url), { type: 'module' })

/** What each school would ask of a line, looked for in a worker when somebody looks at it. */
export const useSchools = defineStore('schools', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const levers = useLevers()
  const open = opener<CureService>()
  const {
    ask: search,
    stop: leave,
    progress,
    isSearching,
    failure,
  } = useSearch(workerClient<CureService>(startWorker))
  const answers = shallowRef<readonly SchoolAnswer[]>([])
  const answered = computed(() => progress.value ?? 0)
  watch(
    () => [workbench.build?.id, evaluation.compiled] as const,
    () => stop(),
  )

  async function ask(line: Id): Promise<void> {
    const { build } = workbench
    stop()
    if (!build) return
    const found = await search(async (service, report) => {
      await open(service, toRaw(build))
      return service.schools(line, { ...levers.settings }, report)
    })
    if (found) answers.value = found.value
  }

  /** Leaves what is being looked for; what was found is of the build as it was. */
  function stop(): void {
    leave()
    answers.value = []
  }

  const rows = computed((): SchoolRow[] => {
    const { build } = workbench
    if (!build) return []
    return answers.value.map((answer) => ({
      answer,
      instruction: answer.cure ? cureInstruction(build, answer.cure) : '',
      angles: answer.anglesDeg.map((angle) => formatAngle(angle, build.units, 2)).join(' · '),
      leaves: answer.worst ? `${checkLabel(answer.worst)}: ${marginText(answer.worst, build.units)}` : '',
    }))
  })

  /** Sets the levers as a school would have them; a school also becomes the line's own. */
  function take(line: Id, { cure, of }: SchoolAnswer, label: string): void {
    if (!cure) return
    if ('school' in of)
      workbench.change(label, (draft) => {
        const there = draft.lines.find(({ id }) => id === line)
        if (there) there.school = of.school
      })
    levers.set(label, settingsAfter(levers.settings, cure))
  }

  return { rows, answered, isSearching, failure, ask, stop, take }
})
