import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { acceptance, findMistakes, mistakesOf } from '~~/core/answers/mistakes/findMistakes'
import type { Correction, Mistake } from '~~/core/answers/mistakes/mistake'
import type { Build } from '~~/core/file/build/build'
import type { Setup } from '~~/core/file/build/setup'
import type { Id } from '~~/core/file/parts/id'
import type { MeasuredReading, Reading } from '~~/core/file/build/reading'
import { READING_KINDS } from '~~/core/file/build/readingKinds'
import {
  maySkipGroup,
  measuringTour,
  nextOpenStep,
  stepBeyond,
  type TourStep,
} from '~~/core/measure/tour/tour'
import { isReadable } from '~~/core/measure/figures/scatter'
import { readingEcho } from '~~/core/show/told/echo'
import type { Echo } from '~~/core/show/words/subjectWords'
import { newId } from '../storage/newId'
import { applyEdits, logChange, newStamp } from './readingLog'
import { buildBy, READING_PARTS } from './buildParts'
import { SIMULATED_TOOLS } from './instrument'
import { useWorkbench } from './workbench'
import { draftLike, draftReading, type ReadingDraft } from './readingDraft'

/** The build with a reading that is being typed, and what it was made of. */
interface Drafted {
  readonly of: readonly [build: Build, setup: Id, step: TourStep, draft: ReadingDraft]
  readonly with: { readonly build: Build; readonly reading: MeasuredReading }
}

/** The readings of the open build and the tour through those still wanted. */
export const useReadings = defineStore('readings', () => {
  const workbench = useWorkbench()
  const chosenSetup = ref<string | null>(null)
  const setup = computed<Setup | null>(() => {
    const setups = workbench.build?.setups ?? []
    return setups.find((one) => one.id === chosenSetup.value) ?? setups.at(-1) ?? null
  })
  /** Levers and limits say nothing about readings. */
  const asRead = buildBy(() => workbench.build, READING_PARTS)
  const steps = computed<TourStep[]>(() =>
    asRead.value && setup.value ? measuringTour(asRead.value, setup.value.id) : [],
  )
  const openCount = computed(() => steps.value.filter((step) => !step.isRead && !step.optional).length)
  const doneCount = computed(() => steps.value.filter((step) => step.isRead).length)
  const mistakes = computed<Mistake[]>(() => (asRead.value ? findMistakes(asRead.value) : []))

  const next = (fromId: string | null): TourStep | null => nextOpenStep(steps.value, fromId)
  const beyond = (group: TourStep['group']): TourStep | null => stepBeyond(steps.value, group)
  const maySkip = (group: TourStep['group']): boolean => maySkipGroup(steps.value, group)

  let drafted: Drafted | null = null

  /** The build with a draft as its newest reading; null while nothing is typed. */
  function withDraft(step: TourStep, draft: ReadingDraft): Drafted['with'] | null {
    const { build } = workbench
    if (!build || !setup.value || draft.text.trim() === '') return null
    const of = [build, setup.value.id, step, draft] as const
    // Its echo and its doubts ask for it with each key: all readings are read once for both.
    if (!drafted || of.some((one, i) => one !== drafted?.of[i])) {
      const reading = draftReading(...of, 'draft')
      drafted = { of, with: { build: { ...build, readings: [...build.readings, reading] }, reading } }
    }
    return drafted.with
  }

  /** A draft with nothing typed yet: as the step was read last time, else with the level's zero as its owner keeps it. */
  function freshDraft(step: TourStep): ReadingDraft {
    const draft = draftLike(step.reading)
    const { wayUnsaid } = READING_KINDS[step.quantity]
    if (wayUnsaid && draft.way === '') return { ...draft, way: wayUnsaid }
    if (step.quantity === 'sprocket-face' && !step.reading) return { ...draft, ...likeLastFace(step) }
    const level = workbench.build?.tools.find((tool) => tool.kind === 'level' && !tool.simulated)
    return step.reading ? draft : { ...draft, zero: level?.zeroHabit ?? 'gravity' }
  }

  /** One line serves all faces of a chain: the side it stands on stays, and on one sprocket how far out it was read. */
  function likeLastFace(step: TourStep): Partial<ReadingDraft> {
    const last = workbench.build?.readings.findLast((one) => one.kind === 'sprocket-face')
    if (last?.kind !== 'sprocket-face') return {}
    const isSame = step.quantity === 'sprocket-face' && last.sprocket === step.sprocket
    return { way: last.stands ?? '', toolId: last.tool ?? '', ...(isSame && { radius: last.radius ?? '' }) }
  }

  /** What a draft means, or what is not understood in it; null while nothing is typed. */
  function echo(step: TourStep, draft: ReadingDraft): Echo | null {
    const typed = withDraft(step, draft)
    return typed && readingEcho(typed.build, typed.reading)
  }

  /** Whether what is typed can be understood; what cannot be is not kept. */
  function isUnderstood(step: TourStep, draft: ReadingDraft): boolean {
    const typed = withDraft(step, draft)
    return typed === null || isReadable(typed.build, typed.reading)
  }

  /** What is probably wrong with a draft, before it is kept. */
  function draftMistakes(step: TourStep, draft: ReadingDraft): Mistake[] {
    const typed = withDraft(step, draft)
    return typed ? mistakesOf(typed.build, typed.reading) : []
  }

  /** Keeps a reading as taken; one there was before stays in the history. */
  function keep(step: TourStep, draft: ReadingDraft): void {
    const { build } = workbench
    if (!build || !setup.value) return
    const reading = draftReading(build, setup.value.id, step, draft, newId())
    add(`Read ${step.targetName}`, reading)
  }

  function add(label: string, reading: Reading): void {
    const by = setup.value?.by
    // Absent fields stay absent: a file holds no nulls.
    const taken = JSON.stringify({
      ...reading,
      takenAt: new Date().toISOString(),
      ...(by && { takenBy: by }),
    })
    workbench.change(label, (draft) => {
      const simulated = Object.values(SIMULATED_TOOLS).find(
        (one) => 'tool' in reading && reading.tool === one.id,
      )
      if (simulated && !draft.tools.some((one) => one.id === simulated.id)) draft.tools.push({ ...simulated })
      draft.readings.push(JSON.parse(taken))
    })
  }

  /** Adds a repeat to a reading that was taken the same way. */
  function repeat(reading: Reading, text: string): void {
    changeReading('Repeat a reading', reading.id, 'repeated', (there) => {
      if ('values' in there) there.values.push(text)
    })
  }

  function removeRepeat(reading: MeasuredReading, index: number): void {
    if (reading.values.length < 2) return remove(reading)
    changeReading('Remove a repeat', reading.id, 'repeat-removed', (there) => {
      if ('values' in there) there.values.splice(index, 1)
    })
  }

  /** Changes a reading in place and writes down how it was before. */
  function changeReading(
    label: string,
    id: string,
    what: 'repeated' | 'repeat-removed',
    change: (reading: { values: string[] } | object) => void,
  ): void {
    const stamp = newStamp(setup.value?.by)
    workbench.change(label, (draft) => {
      const there = draft.readings.find((one) => one.id === id)
      if (!there) return
      const before = JSON.parse(JSON.stringify(there))
      change(there)
      logChange(draft, { what, reading: id, before, after: JSON.parse(JSON.stringify(there)) }, stamp)
    })
  }

  function remove(reading: Reading): void {
    const stamp = newStamp(setup.value?.by)
    workbench.change('Delete a reading', (draft) => {
      const there = draft.readings.find((one) => one.id === reading.id)
      if (!there) return
      logChange(
        draft,
        { what: 'removed', reading: reading.id, before: JSON.parse(JSON.stringify(there)) },
        stamp,
      )
      draft.readings = draft.readings.filter((one) => one.id !== reading.id)
    })
  }

  /** Puts a mistake right with one of its corrections: logged with the reason, and undone like any change. */
  function correct(mistake: Mistake, correction: Correction): void {
    const stamp = newStamp(setup.value?.by, correction.edits.length)
    workbench.change(correction.label, (draft) =>
      applyEdits(draft, correction.edits, `${correction.label}. ${mistake.sentence}`, stamp),
    )
  }

  /** Says that a doubt was looked into and the reading stands. */
  function accept(mistake: Mistake): void {
    if (workbench.build) correct(mistake, acceptance(workbench.build, mistake))
  }

  /** Carries a reading of an older setup over into the one being taken, with the reason why it still holds. */
  function copyHere(reading: MeasuredReading, reason: string): void {
    if (!setup.value || reason.trim().length < 3) return
    const copy = { ...reading, id: newId(), setup: setup.value.id }
    add('Carry a reading over', { ...copy, copiedFrom: reading.id, copyReason: reason.trim().slice(0, 200) })
  }

  return {
    chosenSetup,
    setup,
    steps,
    openCount,
    doneCount,
    mistakes,
    next,
    beyond,
    maySkipGroup: maySkip,
    freshDraft,
    echo,
    isUnderstood,
    draftMistakes,
    keep,
    add,
    repeat,
    removeRepeat,
    remove,
    correct,
    accept,
    copyHere,
  }
})
