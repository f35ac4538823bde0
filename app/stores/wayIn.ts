import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import type { Build } from '~~/core/file/build/build'
import type { WayInPlan } from '~~/core/file/parts/wayInPlan'
import { swingFrame, swingFrames, swingPicture } from '~~/core/bay/swing/swingPicture'
import { gearboxDraw, newWayInPlan, swingSetup, wayParts } from '~~/core/bay/swing/swingOf'
import type { LeastLift, SwingProgress } from '~~/core/bay/swing/wayIn'
import { INSTALLED, type SwingSetup } from '~~/core/bay/swing/scene'
import type { SwingService } from '../workers/protocol'
import { workerClient } from '../workers/workerClient'
import { buildBy } from './buildParts'
import { assign } from './assign'
import { useEvaluation } from './evaluation'
import { useSearch } from './useSearch'
import { useWorkbench } from './workbench'

const startWorker = () =>
  new Worker(new URL('../workers/swing.worker.ts', import.meta.url), { type: 'module' })

/** The plan of the way in, the search for it, and what of it is shown. */
export const useWayIn = defineStore('way-in', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  // Levers and readings do not touch it: the outlines are those of the first trial.
  const build = buildBy(() => workbench.build, ['bodies', 'wayIn'])
  const plan = computed<WayInPlan | null>(() => build.value?.wayIn ?? null)
  const parts = computed(() => (build.value ? wayParts(build.value) : []))
  const setup = computed(() => (build.value && plan.value ? swingSetup(build.value, plan.value) : null))
  /** Whether a gearbox alone comes straight back off the block; null where both go as one. */
  const draw = computed(() => (build.value && plan.value ? gearboxDraw(build.value, plan.value) : null))
  const found = shallowRef<LeastLift | null>(null)
  /** What was found is of this setup; another one makes it stale. */
  const foundFor = shallowRef<SwingSetup | null>(null)
  const { ask, stop, isSearching, progress, failure } = useSearch<SwingService, SwingProgress>(
    workerClient<SwingService>(startWorker),
  )
  /** Share of the way that is shown, from hanging to installed. */
  const along = ref(1)

  const isFresh = computed(() => setup.value?.known === true && foundFor.value === setup.value.value)
  watch(
    () => workbench.build?.id,
    () => {
      stop()
      found.value = null
      foundFor.value = null
    },
  )

  async function search(): Promise<void> {
    if (!plan.value || !setup.value?.known) return stop()
    const asked = toRaw(setup.value.value)
    const range = [...plan.value.liftMm] as const
    found.value = null
    const plain = JSON.parse(JSON.stringify(asked)) as SwingSetup
    const result = await ask((service, report) => service.leastLift(plain, range, report))
    if (!result) return
    found.value = result.value
    foundFor.value = asked
    along.value = 0
  }

  const way = computed(() => (isFresh.value ? (found.value?.way ?? null) : null))
  const frames = computed(() =>
    way.value && foundFor.value ? swingFrames(foundFor.value, way.value.poses) : [],
  )
  const frame = computed(
    () => frames.value[Math.round(along.value * (frames.value.length - 1))] ?? { pose: INSTALLED, step: 0 },
  )
  /** Share of the way at which each step is. */
  const stepShares = computed(() =>
    (way.value?.poses ?? []).map((_, step) => {
      const first = frames.value.findIndex((one) => one.step === step)
      return frames.value.length > 1 ? first / (frames.value.length - 1) : 0
    }),
  )
  const extent = computed(() => {
    if (!setup.value?.known) return null
    const poses = way.value?.poses ?? [setup.value.value.start, INSTALLED]
    return swingFrame(setup.value.value, poses)
  })
  const picture = computed(() => {
    if (!setup.value?.known || !extent.value) return null
    const [left, right] = extent.value
    const pose = way.value ? frame.value.pose : INSTALLED
    return swingPicture(setup.value.value, pose, way.value?.liftMm ?? 0, [left, right])
  })
  /** The unit where it hangs and where it is installed. */
  const ends = computed(() => {
    if (!setup.value?.known || !extent.value) return []
    const [left, right] = extent.value
    const known = setup.value.value
    return [known.start, INSTALLED].map((pose) => swingPicture(known, pose, 0, [left, right]).pieces)
  })

  function begin(): void {
    const now = workbench.build
    if (!now) return
    const fresh = newWayInPlan(toRaw(now))
    workbench.change('Plan the way in', (draft) => {
      draft.wayIn = fresh as Draft<WayInPlan>
    })
  }

  function change(
    changed: Partial<Omit<WayInPlan, 'alone'>> & { readonly alone?: WayInPlan['alone'] | undefined },
  ): void {
    workbench.change('Change the way in', (draft) => {
      assign(draft.wayIn, changed)
    })
  }

  /** The gearbox alone goes out below: it hangs under the vehicle, behind where it was. */
  function setAlone(isAlone: boolean): void {
    const fall = evaluation.asMeasured?.measured.axes.get(workbench.build?.lines[0]?.driving ?? '')
    const fallDeg = fall?.known ? Math.round((fall.value.fall * 1800) / Math.PI) / 10 : 0
    change(
      isAlone
        ? {
            alone: { drawMm: INPUT_SHAFT_MM, fallDeg },
            start: { forwardMm: -250, upMm: -400, tailDownDeg: 0 },
          }
        : { alone: undefined, start: newWayInPlan(toRaw(workbench.build as Build)).start },
    )
  }

  function setOff(key: string, isOff: boolean): void {
    workbench.change('Take something out of the way', (draft) => {
      if (!draft.wayIn) return
      const others = draft.wayIn.off.filter((one) => one !== key)
      draft.wayIn.off = isOff ? [...others, key] : others
    })
  }

  return {
    plan,
    parts,
    setup,
    found,
    isFresh,
    isSearching,
    progress,
    failure,
    along,
    way,
    frame,
    frames,
    stepShares,
    extent,
    picture,
    ends,
    begin,
    change,
    draw,
    setAlone,
    setOff,
    search,
    stop,
  }
})

/** How far a gearbox of middling size has to be drawn back until its input shaft is out, in mm. */
const INPUT_SHAFT_MM = 150
