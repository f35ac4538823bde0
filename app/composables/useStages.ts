import { useEvaluation } from '~/stores/evaluation'
import { useReadings } from '~/stores/readings'
import { useWorkbench } from '~/stores/workbench'
import type { texts } from '~/texts/en'

/** A stage of the work and the state its joint on the rail shows. */
export interface Stage {
  readonly key: keyof typeof texts.stages
  readonly to: string
  readonly state: 'open' | 'done'
}

/** The stages of the work on a build and how far each is. */
export function useStages(buildId: Ref<string>) {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const readings = useReadings()
  const done = (isDone: boolean): Stage['state'] => (isDone ? 'done' : 'open')
  const isKept = (verdict: string) => verdict === 'holds' || verdict === 'tight'

  // Each is a word, so that the rail is drawn anew when one changes and not with each step of a lever.
  const measured = computed(() => done(readings.openCount === 0))
  /** Place is done once every gap there is stands clear. */
  const placed = computed(() => {
    const gaps = evaluation.current?.gaps ?? []
    return done(gaps.length > 0 && gaps.every(({ check }) => isKept(check.verdict)))
  })
  const lined = computed(() => done(isKept(evaluation.current?.verdict ?? 'unknown')))
  /** Travel is done once the wheels were looked at from end to end, and nothing is out on the way. */
  const travelled = computed(() => {
    const isTold = Boolean(evaluation.compiled?.travel)
    const away = evaluation.current?.checks.filter(({ at }) => at !== null) ?? []
    return done(isTold && away.every(({ verdict }) => isKept(verdict)))
  })
  /** Making is done once all that is made is fitted, where it was made for. */
  const made = computed(() => {
    const members = workbench.build?.crossmembers ?? []
    return done(members.length > 0 && members.every(({ state }) => state === 'fitted'))
  })
  /** What turns by chains alone is looked at there first. */
  const hasOnlyChains = computed(
    () => workbench.build?.lines.length === 0 && (workbench.build.chains?.length ?? 0) > 0,
  )
  const stages = computed<Stage[]>(() => {
    const at = (key: Stage['key'], state: Stage['state'], view: string = key): Stage => ({
      key,
      to: `/b/${buildId.value}/${view}`,
      state,
    })
    return [
      at('readings', measured.value),
      at('place', placed.value),
      at('line', lined.value, hasOnlyChains.value ? 'chains' : 'line'),
      at('travel', travelled.value),
      at('make', made.value),
      at('order', 'open', 'orders'),
      at('sheet', 'open', 'next'),
    ]
  })
  return { stages }
}
