import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { Setup } from '~~/core/project/build'
import type { MeasuredReading, Reading } from '~~/core/project/reading'
import { measuringTour, nextOpenStep, type TourStep } from '~~/core/readings/tour'
import { readingEcho, type Echo } from '~~/core/text/echo'
import { useWorkbench } from './workbench'
import { draftReading, type ReadingDraft } from './readingDraft'

/** The readings of the open build and the tour through those still wanted. */
export const useReadings = defineStore('readings', () => {
  const workbench = useWorkbench()
  const chosenSetup = ref<string | null>(null)
  const setup = computed<Setup | null>(() => {
    const setups = workbench.build?.setups ?? []
    return setups.find((one) => one.id === chosenSetup.value) ?? setups.at(-1) ?? null
  })
  const steps = computed<TourStep[]>(() =>
    workbench.build && setup.value ? measuringTour(workbench.build, setup.value.id) : [],
  )
  const openCount = computed(
    () => steps.value.filter((step) => step.reading === null && !step.optional).length,
  )
  const doneCount = computed(() => steps.value.filter((step) => step.reading !== null).length)

  const next = (fromId: string | null): TourStep | null => nextOpenStep(steps.value, fromId)

  /** What a draft means, or what is not understood in it; null while nothing is typed. */
  function echo(step: TourStep, draft: ReadingDraft): Echo | null {
    const { build } = workbench
    if (!build || !setup.value || draft.text.trim() === '') return null
    return readingEcho(build, draftReading(build, setup.value.id, step, draft, 'draft'))
  }

  /** Keeps a reading as taken; one there was before stays in the history. */
  function keep(step: TourStep, draft: ReadingDraft): void {
    const { build } = workbench
    if (!build || !setup.value) return
    const reading = draftReading(build, setup.value.id, step, draft, crypto.randomUUID())
    workbench.change(`Read ${step.targetName}`, (draftBuild) => {
      draftBuild.readings.push({ ...reading, takenAt: new Date().toISOString() } as never)
    })
  }

  /** Adds a repeat to a reading that was taken the same way. */
  function repeat(reading: Reading, text: string): void {
    workbench.change('Repeat a reading', (draft) => {
      const there = draft.readings.find((one) => one.id === reading.id)
      if (there && 'values' in there) there.values.push(text)
    })
  }

  function removeRepeat(reading: MeasuredReading, index: number): void {
    workbench.change('Remove a repeat', (draft) => {
      const there = draft.readings.find((one) => one.id === reading.id)
      if (there && 'values' in there && there.values.length > 1) there.values.splice(index, 1)
      else draft.readings = draft.readings.filter((one) => one.id !== reading.id)
    })
  }

  function remove(reading: Reading): void {
    workbench.change('Delete a reading', (draft) => {
      draft.readings = draft.readings.filter((one) => one.id !== reading.id)
    })
  }

  function changeSetup(label: string, changed: Partial<Setup>): void {
    const id = setup.value?.id
    workbench.change(label, (draft) => {
      const there = draft.setups.find((one) => one.id === id)
      if (there) Object.assign(there, changed)
    })
  }

  function addSetup(): void {
    const id = crypto.randomUUID()
    const date = new Date().toISOString().slice(0, 10)
    const name = `Setup ${(workbench.build?.setups.length ?? 0) + 1}`
    workbench.change('Add a setup', (draft) => {
      draft.setups.push({ id, name, date, standsOn: 'floor', loaded: true, settled: true, datum: 'read' })
    })
    chosenSetup.value = id
  }

  return {
    chosenSetup,
    setup,
    steps,
    openCount,
    doneCount,
    next,
    echo,
    keep,
    repeat,
    removeRepeat,
    remove,
    changeSetup,
    addSetup,
  }
})
