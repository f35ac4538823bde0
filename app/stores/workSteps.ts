import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { StepSubject, Tick } from '~~/core/file/kinds/tickKinds'
import { stepKey, type WorkStep } from '~~/core/show/text/workStep'
import { steppedWorks } from '~~/core/show/text/workSteps'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { useEvaluation } from './evaluation'
import { usePhotos } from './photos'
import { useWorkbench } from './workbench'

/** A step with when it was done, how a bolt went in, and a photograph of it. */
export interface DoneStep extends WorkStep {
  readonly doneAt: string | null
  readonly tick: Tick | null
  readonly photo: string | null
}

/** How a bolt goes into a hole, and which way one that is off has to go. */
export type HoleFound = Pick<Tick, 'found' | 'hour'>

/** What is made step by step: one step a screen, ticked, taken back. */
export const useWorkSteps = defineStore('work-steps', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const photos = usePhotos()
  const works = computed(() =>
    workbench.build && evaluation.current
      ? steppedWorks(workbench.build, evaluation.current).filter(({ steps }) => steps.length > 0)
      : [],
  )
  /** What is made now, and the step that is looked at; null for the first that is not done. */
  const looked = ref<{ readonly of: StepSubject; readonly thing: string } | null>(null)
  const at = ref<number | null>(null)
  const work = computed(
    () =>
      works.value.find(({ of, thing }) => of === looked.value?.of && thing === looked.value.thing) ??
      works.value[0] ??
      null,
  )
  const isOf = ({ of, thing }: Tick) => of === work.value?.of && thing === work.value.thing
  const steps = computed((): DoneStep[] => {
    const ticks = (workbench.build?.ticks ?? []).filter(isOf)
    return (work.value?.steps ?? []).map((step) => {
      const tick = ticks.find(({ name }) => name === stepKey(step)) ?? null
      const photo = workbench.build?.photos?.find(({ shows }) => tick !== null && shows === tick.id)
      return { ...step, doneAt: tick?.at ?? null, tick, photo: photo?.id ?? null }
    })
  })
  const done = computed(() => steps.value.filter(({ doneAt }) => doneAt !== null).length)
  const index = computed(() => {
    const open = steps.value.findIndex(({ doneAt }) => doneAt === null)
    const first = open < 0 ? steps.value.length - 1 : open
    return Math.min(steps.value.length - 1, Math.max(0, at.value ?? first))
  })
  const step = computed(() => steps.value[index.value] ?? null)

  function look(of: StepSubject, thing: string): void {
    looked.value = { of, thing }
    at.value = null
  }

  function goTo(next: number): void {
    at.value = Math.min(steps.value.length - 1, Math.max(0, next))
  }
  const go = (by: 1 | -1): void => goTo(index.value + by)

  /** Says that the step is done. */
  function markDone(found: HoleFound = {}): string | null {
    const [now, made] = [step.value, work.value]
    if (!now || !made) return null
    if (now.tick) return now.tick.id
    const entry = { id: newId(), of: made.of, thing: made.thing, name: stepKey(now), at: today(), ...found }
    workbench.change('Tick a step', (draft) => {
      draft.ticks = [...(draft.ticks ?? []), entry]
    })
    return entry.id
  }

  /** Ticks the step and goes on to the next. */
  function tick(found: HoleFound = {}): void {
    const next = index.value + 1
    if (markDone(found) !== null) goTo(next)
  }

  /** Ticks the step and keeps a photograph of it; it stays in sight. */
  async function tickWithPhoto(file: File): Promise<void> {
    const stays = index.value
    const id = markDone()
    goTo(stays)
    if (id !== null) await photos.take(file, id)
  }

  /** Its photograph goes with the tick; undo brings both back. */
  function takeBack(): void {
    const gone = step.value?.tick?.id
    workbench.change('Take a tick back', (draft) => {
      draft.ticks = (draft.ticks ?? []).filter(({ id }) => id !== gone)
      if (draft.photos)
        draft.photos = draft.photos.filter(({ shows }) => shows === undefined || shows !== gone)
    })
  }

  return { works, work, steps, done, index, step, look, go, tick, tickWithPhoto, takeBack }
})
