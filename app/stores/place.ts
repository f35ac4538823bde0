import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw } from 'vue'
import { evaluate, type Evaluation } from '~~/core/model/evaluateBuild'
import type { LeverSettings } from '~~/core/vehicle/moves/settings'
import type { Position } from '~~/core/file/build/position'
import type { Gap, GapKind } from '~~/core/file/parts/gap'
import { GAP_LIMITS } from '~~/core/file/limits/profiles'
import type { GapReading } from '~~/core/file/kinds/gapKinds'
import type { Trial } from '~~/core/file/parts/vehicleState'
import { changedSinceMade } from '~~/core/show/told/positionFacts'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { assign } from './assign'
import { dropPoints } from './dropPoints'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useReadings } from './readings'
import { useWorkbench } from './workbench'

/** Where a touch point is, roughly: raw text with the words for its directions. */
export interface TouchPlace {
  readonly station: string
  readonly stationWay: 'rearward' | 'forward'
  readonly offset: string
  readonly side: 'left' | 'right'
  readonly height: string
  readonly heightWay: 'above' | 'below'
}

/** What is said of a new gap. */
export interface NewGap {
  readonly name: string
  readonly kind: GapKind
  /** The body of the touch point. */
  readonly body: string
  /** Empty for the ground. */
  readonly obstacle: string
  /** A turning shaft that stands against it instead. */
  readonly shaft?: NonNullable<Gap['shaft']>
  readonly toward: Gap['toward']
  readonly place: TouchPlace
}

/** A touch point is taped to about a centimetre, in mm. */
const ABOUT_MM = 10

/** Gaps and positions of the open build, and what is done to them. */
export const usePlace = defineStore('place', () => {
  const workbench = useWorkbench()
  const levers = useLevers()
  const readings = useReadings()
  const evaluation = useEvaluation()
  /** Every position as it would stand. */
  const positions = computed<{ readonly position: Position; readonly evaluation: Evaluation }[]>(() => {
    const { compiled } = evaluation
    if (!compiled) return []
    return (workbench.build?.positions ?? []).map((position) => ({
      position,
      evaluation: evaluate(toRaw(compiled), position.settings),
    }))
  })
  /** A setting that is only looked at, as a ghost on the board; null for none. */
  const glanced = shallowRef<LeverSettings | null>(null)
  const glance = computed(() =>
    glanced.value && evaluation.compiled ? evaluate(toRaw(evaluation.compiled), glanced.value) : null,
  )
  /** Positions that stay drawn beside the setting, whatever is looked at. */
  const pinned = ref<ReadonlySet<string>>(new Set())
  function pin(id: string, isPinned: boolean): void {
    const next = new Set(pinned.value)
    if (isPinned) next.add(id)
    else next.delete(id)
    pinned.value = next
  }
  /** What is drawn over the board besides the setting that stands. */
  const overlays = computed(() => [
    ...positions.value
      .filter(({ position }) => pinned.value.has(position.id) && position.id !== workbench.build?.chosen)
      .map(({ position, evaluation: there }) => ({ name: position.name, evaluation: there })),
    ...(glance.value ? [{ name: '', evaluation: glance.value }] : []),
  ])
  /** The lift-in that stands now; null before the first. */
  const trial = computed<Trial | null>(() => workbench.build?.trials.at(-1) ?? null)

  /** Adds a gap with its touch point, and the limits of gaps to a build that has none yet. */
  function addGap({ name, kind, body, obstacle, shaft, toward, place }: NewGap): string {
    const id = newId()
    const point = newId()
    const { build } = workbench
    const chassis = build?.bodies.find((one) => one.kind === 'chassis')?.id
    const unit = build?.units.length ?? 'mm'
    const reading = newId()
    const takenAt = new Date().toISOString()
    workbench.change('Add a gap', (draft) => {
      const gap: Gap = {
        id,
        name,
        kind,
        point,
        toward: [...toward],
        ...(shaft ? { shaft: { ...shaft } } : obstacle !== '' && obstacle !== chassis && { obstacle }),
      }
      draft.points.push({ id: point, name: `${name}, touch point`, body })
      draft.gaps.push(gap as Draft<Gap>)
      draft.readings.push({
        id: reading,
        takenAt,
        kind: 'given-point',
        point,
        unit,
        ...place,
        plusMinus: `${ABOUT_MM} mm`,
        source: 'touch point, roughly',
      })
      if (!draft.limits.entries.some(({ quantity }) => quantity === 'gap'))
        draft.limits.entries.push(...(structuredClone(GAP_LIMITS) as Draft<(typeof GAP_LIMITS)[number]>[]))
    })
    return id
  }

  function changeGap(id: string, changed: Partial<Omit<Gap, 'id' | 'point'>>): void {
    workbench.change('Change a gap', (draft) => {
      const gap = draft.gaps.find((one) => one.id === id)
      if (!gap) return
      Object.assign(gap, changed)
      for (const key of ['obstacle', 'failBelow', 'warnBelow', 'opposite'] as const)
        if (gap[key] === undefined) Reflect.deleteProperty(gap, key)
    })
  }

  /** Takes a gap away with its readings, and its touch point where nothing else needs it. */
  function removeGap(id: string): void {
    workbench.change('Delete a gap', (draft) => {
      const gap = draft.gaps.find((one) => one.id === id)
      if (!gap) return
      draft.gaps = draft.gaps.filter((one) => one.id !== id)
      for (const one of draft.gaps) if (one.opposite === id) Reflect.deleteProperty(one, 'opposite')
      draft.readings = draft.readings.filter((one) => !(one.kind === 'gap' && one.gap === id))
      dropPoints(draft, [gap.point])
    })
  }

  /** Keeps a gap as read in the lift-in that stands now. */
  function readGap(gap: string, text: string, tool: string, way: 'free' | 'overlap'): void {
    const { build } = workbench
    if (!build || !readings.setup) return
    const reading: GapReading = {
      id: newId(),
      kind: 'gap',
      gap,
      setup: readings.setup.id,
      values: [text.trim()],
      unit: build.units.length,
      way,
      ...(tool !== '' && { tool }),
      ...(trial.value && { trial: trial.value.id }),
    }
    readings.add('Read a gap', reading)
  }

  /** Keeps where the levers stand as another position, and chooses it. */
  function addPosition(): void {
    const id = newId()
    const settings = { ...levers.settings }
    workbench.change('Add a position', (draft) => {
      draft.positions.push({ id, name: nextLetter(draft.positions.map(({ name }) => name)), settings })
      draft.chosen = id
    })
  }

  function choosePosition(id: string): void {
    levers.drop()
    workbench.change('Choose a position', (draft) => {
      if (draft.positions.some((one) => one.id === id)) draft.chosen = id
    })
  }

  function renamePosition(id: string, name: string): void {
    const wanted = name.trim().slice(0, 200)
    if (wanted === '') return
    workbench.change('Name a position', (draft) => {
      const there = draft.positions.find((one) => one.id === id)
      if (there) there.name = wanted
    })
  }

  /** Why a position was chosen; empty text takes the reason away. */
  function explainPosition(id: string, reason: string): void {
    const said = reason.trim().slice(0, 1000)
    workbench.change('Say why a position was chosen', (draft) => {
      const there = draft.positions.find((one) => one.id === id)
      assign(there, { reason: said === '' ? undefined : said })
    })
  }

  /** Says that mounts were made to a position as it stands now, or takes that back. */
  function setMade(id: string, isMade: boolean): void {
    const at = today()
    workbench.change(isMade ? 'Mounts are made' : 'No mounts are made yet', (draft) => {
      const there = draft.positions.find((one) => one.id === id)
      if (there) assign(there, { made: isMade ? { at, settings: { ...there.settings } } : undefined })
    })
  }

  /** What has changed of the chosen position since mounts were made to it, lever by lever. */
  const changedSince = computed<readonly string[]>(() => {
    const { build } = workbench
    const chosen = build?.positions.find(({ id }) => id === build.chosen)
    return build && chosen ? changedSinceMade(build, chosen, levers.settings) : []
  })

  function removePosition(id: string): void {
    workbench.change('Delete a position', (draft) => {
      if (draft.positions.length < 2) return
      draft.positions = draft.positions.filter((one) => one.id !== id)
      if (draft.chosen === id) draft.chosen = draft.positions[0]?.id ?? ''
    })
  }

  return {
    positions,
    glanced,
    overlays,
    pinned,
    pin,
    trial,
    addGap,
    changeGap,
    removeGap,
    readGap,
    addPosition,
    choosePosition,
    renamePosition,
    removePosition,
    explainPosition,
    setMade,
    changedSince,
  }
})

/** A, B, C …, the first that is free. */
function nextLetter(taken: readonly string[]): string {
  for (let code = 65; code <= 90; code++) {
    const letter = String.fromCharCode(code)
    if (!taken.includes(letter)) return letter
  }
  return `${taken.length + 1}`
}
