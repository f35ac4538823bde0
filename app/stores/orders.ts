import { defineStore } from 'pinia'
import { computed, toRaw } from 'vue'
import type { OrderEntry } from '~~/core/file/kinds/orderKinds'
import { isOrderOf, orderables, type Orderable } from '~~/core/jobs/orders/orderable'
import { withArrived, type Arrived } from '~~/core/jobs/orders/takeArrival'
import { priceOf } from '~~/core/jobs/tasks/hurry'
import { makeOrBuy, type OwnMaking } from '~~/core/jobs/money/makeOrBuy'
import { madeKey } from '~~/core/jobs/tasks/madeTasks'
import { arrivalEffects } from '~~/core/show/orders/arrivalEffect'
import type { OrderSite } from '~~/core/show/orders/orderBody'
import { orderRisk, orderSheet, sentNow } from '~~/core/show/orders/orderSheet'
import type { Paper } from '../print/papers'
import { download } from '../storage/download'
import { fileName } from '../storage/fileName'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { orders as words } from '../texts/orders'
import { assign } from './assign'
import { useEvaluation } from './evaluation'
import { lookedAt } from './lookedAt'
import { useSureness } from './sureness'
import { takeOn } from './takeOn'
import { useTasks } from './tasks'
import { useWorkbench } from './workbench'

type Changed<T> = { readonly [K in keyof T]?: T[K] | undefined }
type Asks = NonNullable<OrderEntry['asks']>
type Arrival = NonNullable<OrderEntry['arrived']>

/** What a shop makes by a sheet: what the sheet says, whether it is early, how it was when it came. */
export const useOrders = defineStore('orders', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const sureness = useSureness()
  const tasks = useTasks()

  const all = computed<readonly OrderEntry[]>(() => workbench.build?.orders ?? [])
  const { looked, one } = lookedAt(all, ({ id }) => id)
  /** What could be ordered and is not. */
  const open = computed<readonly Orderable[]>(() =>
    workbench.build
      ? orderables(workbench.build).filter((thing) => !all.value.some((order) => isOrderOf(order, thing)))
      : [],
  )
  const site = computed<OrderSite | null>(() => {
    const { build } = workbench
    const { compiled, current } = evaluation
    return build && compiled && current
      ? { build: toRaw(build), compiled, evaluation: current, sureness: sureness.result }
      : null
  })
  const sheet = computed(() => (site.value && one.value ? orderSheet(site.value, one.value) : null))
  const risk = computed(() => (site.value && one.value ? orderRisk(site.value, one.value) : null))

  /** Begins the order of a thing, or opens the one that there is. */
  function begin(thing: Orderable): void {
    const there = all.value.find((order) => isOrderOf(order, thing))
    const id = there?.id ?? newId()
    looked.value = id
    if (there) return
    workbench.change(words.changes.add, (draft) => {
      draft.orders = [...(draft.orders ?? []), { id, ...thing }]
    })
  }
  /** The same by its kind, of some thing of the build or of the first that there is. */
  function beginOf(kind: OrderEntry['kind'], of?: string): void {
    const things = workbench.build ? orderables(workbench.build) : []
    const thing = things.find((other) => other.kind === kind && (of === undefined || other.of === of))
    if (thing) begin(thing)
  }
  function change(changed: Changed<Omit<OrderEntry, 'id'>>, label: string = words.changes.change): void {
    const id = one.value?.id
    workbench.change(label, (draft) => {
      assign(
        draft.orders?.find((order) => order.id === id),
        changed,
      )
    })
  }
  function ask(changed: Changed<Asks>): void {
    const asks = Object.fromEntries(
      Object.entries({ ...one.value?.asks, ...changed }).filter(
        ([, value]) => value !== undefined && value !== '',
      ),
    )
    change({ asks: Object.keys(asks).length > 0 ? asks : undefined })
  }
  const task = computed(() =>
    one.value
      ? tasks.taskOf(madeKey({ by: 'order', thing: { list: 'orders', ...one.value }, count: 1 }))
      : null,
  )
  /** Making it against buying it; null until both are told. */
  const own = computed(() => {
    const { entry = null, leadDays = null } = task.value ?? {}
    const price = priceOf(entry)
    return one.value?.own && price !== undefined
      ? makeOrBuy(one.value.own, price, { rate: tasks.crew?.rate, leadDays })
      : null
  })
  const changeOwn = (changed: Partial<OwnMaking>): void =>
    change({ own: { hours: 0, material: 0, twicePercent: 0, ...one.value?.own, ...changed } })
  function remove(): void {
    const id = one.value?.id
    workbench.change(words.changes.remove, (draft) => {
      draft.orders = (draft.orders ?? []).filter((order) => order.id !== id)
    })
  }

  /** Says that it is ordered as the sheet is now: what changes under it from then on is said on it. */
  function send(): void {
    if (!sheet.value || !site.value) return
    change({ sent: sentNow(sheet.value, site.value, today()) }, words.changes.send)
  }
  const takeBack = (): void => change({ sent: undefined }, words.changes.unsend)

  /** Figures of what came, each once it was measured. */
  const arrived = computed<readonly Arrived[]>(() => one.value?.arrived?.figures ?? [])
  const isMeasured = computed(() =>
    Boolean(sheet.value?.arrival.every(({ key }) => arrived.value.some((figure) => figure.key === key))),
  )
  const effects = computed(() =>
    site.value && one.value && arrived.value.length > 0 && one.value.arrived?.verdict === undefined
      ? arrivalEffects(site.value, one.value, arrived.value)
      : [],
  )
  function changeArrival(changed: Changed<Arrival>, label: string = words.changes.arrive): void {
    const before = one.value?.arrived ?? { at: today(), figures: [] }
    const next = Object.fromEntries(
      Object.entries({ ...before, ...changed }).filter(([, value]) => value !== undefined),
    ) as unknown as Arrival
    change({ arrived: structuredClone(toRaw(next)) }, label)
  }
  function measure(key: string, asked: number, value: number | undefined): void {
    const others = arrived.value.filter((figure) => figure.key !== key)
    const figures = value === undefined ? others : [...others, { key, asked, value }]
    changeArrival({ at: today(), figures: figures.map((figure) => ({ ...figure })) })
  }
  /** Takes it on: its figures are the model's from here on. */
  function accept(): void {
    const order = one.value
    if (!order?.arrived) return
    const verdict = { ...order.arrived, at: today(), verdict: 'accepted' as const }
    takeOn(workbench, words.changes.accept, (build) => ({
      ...withArrived(build, order, arrived.value),
      orders: (build.orders ?? []).map((other) =>
        other.id === order.id ? { ...other, arrived: verdict } : other,
      ),
    }))
  }
  const refuse = (reason: string): void =>
    changeArrival({ at: today(), verdict: 'refused', reason }, words.changes.refuse)
  const reopen = (): void => changeArrival({ verdict: undefined, reason: undefined }, words.changes.reopen)
  /** What was refused is ordered once more, by the sheet as it is now. */
  function orderAgain(): void {
    if (!sheet.value || !site.value) return
    change({ sent: sentNow(sheet.value, site.value, today()), arrived: undefined }, words.changes.send)
  }

  async function savePdf(paper: Paper): Promise<void> {
    const { build } = workbench
    if (!build || !sheet.value) return
    const [{ orderPdf }, { loadFont }] = await Promise.all([
      import('../print/orderPdf'),
      import('../print/pdfFont'),
    ])
    const bytes = new Uint8Array(orderPdf(sheet.value, paper, await loadFont(), today()))
    download(fileName(`${build.name} ${one.value?.name ?? ''}`, '.pdf'), bytes, 'application/pdf')
  }

  return {
    all,
    looked,
    one,
    open,
    sheet,
    risk,
    arrived,
    isMeasured,
    effects,
    begin,
    beginOf,
    change,
    ask,
    task,
    own,
    changeOwn,
    remove,
    send,
    takeBack,
    changeArrival,
    measure,
    accept,
    refuse,
    reopen,
    orderAgain,
    savePdf,
  }
})
