import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import { settingsAfter } from '~~/core/answers/solver/cure'
import { MAP_STATES, nearestStep, type LeverMap } from '~~/core/answers/solver/leverMap'
import type { Lever } from '~~/core/file/build/lever'
import { checkLabel } from '~~/core/show/text/checkText'
import { leverAmount, leverName } from '~~/core/show/told/leverText'
import type { CureService } from '../workers/protocol'
import { opener } from '../workers/opener'
import { workerClient } from '../workers/workerClient'
import { useCures } from './cures'
import { useEvaluation } from './evaluation'
import { useFoundSettings } from './foundSettings'
import { useLevers } from './levers'
import { useSearch } from './useSearch'
import { useWorkbench } from './workbench'

const startWorker = () =>
  new Worker(new URL('../workers/cures.worker.ts', import.meta.url), { type: 'module' })

/** A place on the map, in amounts of its two levers. */
export interface MapMark {
  readonly kind: 'present' | 'found'
  readonly x: number
  readonly y: number
}

/** The map of two levers, worked in a worker whenever the build or the other levers have changed. */
export const useLeverMap = defineStore('lever-map', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const levers = useLevers()
  const cures = useCures()
  const found = useFoundSettings()
  // A map that is overtaken is worked to its end: the worker has it sooner than a new one would be there.
  const open = opener<CureService>()
  const { ask, stop, failure } = useSearch(workerClient<CureService>(startWorker), () => undefined)
  const wanted = ref<readonly [string, string] | null>(null)
  const map = shallowRef<LeverMap | null>(null)
  const tookMs = ref<number | null>(null)

  const all = computed(() => workbench.build?.levers ?? [])
  /** The two that are asked for, else the first two the build has. */
  const axes = computed((): readonly [Lever, Lever] | null => {
    const at = (index: 0 | 1) => all.value.find(({ id }) => id === wanted.value?.[index])
    const first = at(0) ?? all.value[0]
    const second = at(1) ?? all.value.find(({ id }) => id !== first?.id)
    return first && second && first !== second ? [first, second] : null
  })
  /** Where all other levers stand: moving one of the two moves only a mark. */
  const others = computed(() => {
    const own = axes.value?.map(({ id }) => id) ?? []
    return Object.fromEntries(Object.entries(levers.settings).filter(([id]) => !own.includes(id)))
  })
  const isWanted = ref(false)

  watch(
    () => [isWanted.value, evaluation.compiled, axes.value, JSON.stringify(others.value)] as const,
    ([isOn]) => {
      if (isOn && !levers.isHeld) void work()
    },
  )

  async function work(): Promise<void> {
    const { build } = workbench
    if (!build || !axes.value) {
      stop()
      map.value = null
      return
    }
    const [x, y] = axes.value
    const start = performance.now()
    const made = await ask(async (service) => {
      await open(service, toRaw(build))
      return service.map({ ...others.value }, x.id, y.id)
    })
    if (!made) return
    map.value = made.value
    tookMs.value = performance.now() - start
  }

  /** Where the levers stand, and the settings that were found, as far as they move no other lever. */
  const marks = computed((): MapMark[] => {
    const [x, y] = axes.value ?? []
    if (!x || !y) return []
    const at = (kind: MapMark['kind'], settings: Readonly<Record<string, number>>): MapMark[] =>
      Object.entries(settings).every(
        ([id, amount]) => id === x.id || id === y.id || amount === (levers.settings[id] ?? 0),
      )
        ? [{ kind, x: settings[x.id] ?? 0, y: settings[y.id] ?? 0 }]
        : []
    return [
      ...cures.offered.flatMap(({ cure }) => at('found', settingsAfter(levers.settings, cure))),
      ...found.cards.flatMap(({ settings }) => at('found', { ...levers.settings, ...settings })),
      ...at('present', levers.settings),
    ]
  })

  /** What a cell stands for: the setting by the levers' own steps, how it stands and which check is worst. */
  function cellAt(i: number, k: number) {
    const { build } = workbench
    const [x, y] = axes.value ?? []
    const there = map.value
    if (!build || !x || !y || !there) return null
    const stands = (lever: Lever) => levers.settings[lever.id] ?? 0
    const [ax, ay] = [nearestStep(x, stands(x), there.x[i] ?? 0), nearestStep(y, stands(y), there.y[k] ?? 0)]
    const row = k * there.x.length + i
    const id = there.checks[there.worst[row] ?? -1]
    const check = evaluation.current?.checks.find((one) => one.id === id)
    return {
      amounts: { [x.id]: ax, [y.id]: ay },
      state: MAP_STATES[there.states[row] ?? 3] ?? 'unknown',
      words: [x, y]
        .map(
          (lever, index) =>
            `${leverName(build, lever)} ${leverAmount(lever, index === 0 ? ax : ay, build.units)}`,
        )
        .join(', '),
      worst: check ? checkLabel(check, build.lines.length > 1) : '',
    }
  }

  function take(i: number, k: number): void {
    const cell = cellAt(i, k)
    if (cell) levers.set(cell.words, cell.amounts)
  }

  return { all, axes, map, marks, failure, tookMs, wanted, isWanted, cellAt, take }
})
