import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import type { Known } from '~~/core/base/known'
import { weekdayOf } from '~~/core/base/days'
import { nextWork, type Here } from '~~/core/jobs/next/nextWork'
import { gateDays } from '~~/core/jobs/gates/gateDays'
import { laneScene } from '~~/core/jobs/board/laneScene'
import { workScene } from '~~/core/jobs/board/workScene'
import { dayOf } from '~~/core/jobs/plan/crewOf'
import { decidingChain } from '~~/core/jobs/plan/decides'
import { lateTimes } from '~~/core/jobs/plan/lateTimes'
import type { Hurry } from '~~/core/jobs/plan/hurries'
import { orderKey } from '~~/core/jobs/plan/nodes'
import type { PlanAnswer } from '~~/core/jobs/plan/planAnswer'
import { replan } from '~~/core/jobs/plan/replan'
import { otherwiseHurried } from '~~/core/jobs/tasks/hurry'
import type { ToPlan } from '~~/core/jobs/plan/workPlan'
import { today } from '../storage/today'
import type { PlanService } from '../workers/protocol'
import { workerClient } from '../workers/workerClient'
import { useGates } from './gates'
import { useTasks } from './tasks'
import { useSearch } from './useSearch'

const startWorker = () =>
  new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' })

/** As long as nobody said who works when. */
const AN_EVENING_H = 2

/** A task that is held on the ruler of time, and the day that it is held at. */
interface HeldTask {
  readonly key: string
  readonly day: number
}

/** When what is done: the plan of all open work, and what can be done now. */
export const usePlan = defineStore('plan', () => {
  const tasks = useTasks()
  /** The day by which all is counted; looked at anew when a view of the plan is opened. */
  const day = ref(today())
  const lookAtClock = (): void => void (day.value = today())
  const toPlan = computed<ToPlan>(() => ({
    tasks: tasks.all,
    removals: tasks.removals,
    crew: tasks.crew,
    today: day.value,
  }))
  const answer = shallowRef<Known<PlanAnswer> | null>(null)
  /** What the answer is of. */
  const answered = shallowRef<ToPlan | null>(null)
  const { ask, stop, isSearching, failure } = useSearch<PlanService>(workerClient<PlanService>(startWorker))
  /** What hurrying brings; empty until it is known. */
  const hurries = shallowRef<readonly Hurry[]>([])
  const isFresh = computed(() => answered.value === toPlan.value)

  const held = shallowRef<HeldTask | null>(null)
  /** It stays where it was let go until the plan with it is found. */
  let isLetGo = false

  /** Looks for the plan of what is to be done now; who shows it asks for it. */
  async function look(): Promise<void> {
    const asked = toPlan.value
    if (answered.value === asked) return
    const plain = JSON.parse(JSON.stringify(toRaw(asked))) as ToPlan
    const found = await ask((service) => service.plan(plain))
    if (!found) return
    answer.value = found.value.answer
    answered.value = asked
    if (isLetGo) drop()
    hurries.value = []
    if (!asked.tasks.some((task) => otherwiseHurried(task) !== null)) return
    hurries.value = (await ask((service) => service.hurries(plain)))?.value ?? []
  }

  /** A view that shows the plan comes before the one that it follows goes: only the last leaves what is being looked for. */
  let views = 0
  const open = (): void => void views++
  function leave(): void {
    views--
    if (views === 0) stop()
  }

  const found = computed(() => (answer.value?.known ? answer.value.value : null))
  const missing = computed(() => (answer.value && !answer.value.known ? answer.value.missing : []))
  const plan = computed(() => {
    const free = found.value?.plan
    if (!free || !held.value) return free ?? null
    const { key } = held.value
    const { day: at } = held.value
    return replan(free, new Map([...[key, orderKey(key)].map((id) => [id, at] as const)]))
  })
  /** The plan as it was found, whatever is in the hand: what is only read stands still. */
  const settled = computed(() => found.value?.plan ?? null)
  const chance = computed(() => found.value?.chance ?? null)
  const freeScene = computed(() => settled.value && workScene(settled.value, tasks.crew?.wanted))
  const scene = computed(() =>
    plan.value && plan.value !== settled.value && freeScene.value
      ? workScene(plan.value, tasks.crew?.wanted, freeScene.value)
      : freeScene.value,
  )
  const chain = computed(() => (plan.value ? decidingChain(plan.value) : []))
  const lanes = computed(() => settled.value && laneScene(settled.value, tasks.removals))
  const late = computed(() => (settled.value ? lateTimes(settled.value) : null))
  const gates = useGates()
  /** When the gates that are not passed can be. */
  const gateMarks = computed(() => (plan.value ? gateDays(plan.value, gates.all) : []))
  /** A day of the plan by its number. */
  const dayAt = (at: number): string => (plan.value ? dayOf(plan.value, at) : day.value)
  const finishDay = computed(() => plan.value && dayOf(plan.value, plan.value.finishDay))

  /** Who is here now; as long as nobody said, who works alone has the hours of this day, or of an evening. */
  const hands = ref<Here['hands']>(1)
  const hoursSaid = ref<number | null>(null)
  const hours = computed(() => {
    const week = tasks.crew?.hours ?? [AN_EVENING_H]
    return hoursSaid.value ?? (week[weekdayOf(day.value)] || Math.max(...week))
  })
  const next = computed(() =>
    nextWork(
      { tasks: tasks.all, removals: tasks.removals, plan: settled.value, today: day.value },
      { hands: hands.value, hours: hours.value },
    ),
  )

  /** Holds a task at a day of the plan. */
  function hold(key: string, at: number): void {
    held.value = { key, day: Math.max(0, at) }
    isLetGo = false
  }
  /** Lets it go where it is held: it is not begun before that day. */
  function letGo(): void {
    const { key, day: at } = held.value ?? {}
    const { value: of } = plan
    if (key !== undefined && at !== undefined && of)
      tasks.change(key, { from: at === 0 ? undefined : dayOf(of, at) }, 'Move a task')
    isLetGo = true
  }
  function drop(): void {
    held.value = null
    isLetGo = false
  }
  /** Moves a task by days, from where it begins. */
  function nudge(key: string, by: number): void {
    const first = plan.value?.planned.find(({ node }) => node.task?.key === key)
    if (!first) return
    hold(key, first.startDay + by)
    letGo()
  }
  watch(
    () => tasks.crew === undefined,
    () => (hoursSaid.value = null),
  )

  return {
    day,
    lookAtClock,
    toPlan,
    look,
    open,
    leave,
    stop,
    isSearching,
    failure,
    isFresh,
    missing,
    hurries,
    plan,
    settled,
    chance,
    freeScene,
    scene,
    chain,
    lanes,
    late,
    finishDay,
    gateMarks,
    dayAt,
    hands,
    hoursSaid,
    hours,
    next,
    held,
    hold,
    letGo,
    drop,
    nudge,
  }
})
