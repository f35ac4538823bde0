<script setup lang="ts">
import { priceOf } from '~~/core/jobs/tasks/hurry'
import { likelihoodText } from '~~/core/show/text/checkText'
import { fixed } from '~~/core/base/units/format'
import { orderKey } from '~~/core/jobs/plan/nodes'
import { ORDER_KIND_FACTS } from '~~/core/show/orders/orderKindFacts'
import { dayText } from '~~/core/show/text/dayText'
import { useSaving } from '~/composables/useSaving'
import { useShownPlan } from '~/composables/useShownPlan'
import { today } from '~/storage/today'
import { orders as words } from '~/texts/orders'
import { tabsOf } from '~/texts/views'
import { useOrders } from '~/stores/orders'
import { useTasks } from '~/stores/tasks'
import { useWorkbench } from '~/stores/workbench'

/** Sheets that shops make by, and what came of them. */
const workbench = useWorkbench()
const orders = useOrders()
const tasks = useTasks()
const nav = { label: words.title, views: tabsOf('order') }
const items = computed(() => orders.all.map(({ id, name }) => ({ value: id, label: name })))
const canSend = computed(() => orders.one?.sent === undefined && orders.sheet?.missing.length === 0)
const cost = computed(() => {
  const of = priceOf(orders.task?.entry ?? null)
  return of === undefined ? null : `${fixed(of, 0)} ${tasks.crew?.money ?? ''}`.trim()
})
const plan = useShownPlan()
/** The last day to order it, by the plan. */
const orderBy = computed(() => {
  const day = orders.task ? plan.late?.get(orderKey(orders.task.key))?.orderBy : null
  return day ? dayText(day, plan.day) : null
})
const hasRisk = computed(
  () =>
    orders.risk !== null || orders.one?.kind === 'propshaft' || cost.value !== null || orderBy.value !== null,
)
const print = () => window.print()
const save = useSaving()
</script>

<template>
  <div class="orders">
    <MadePage
      v-if="workbench.build"
      :title="words.title"
      :lead="words.lead"
      :nav="nav"
      :items="items"
      :item="orders.one?.id"
      :choice="words.choose"
      @look="orders.looked = $event"
    >
      <p v-if="orders.all.length === 0 && orders.open.length === 0">{{ words.none }}</p>
      <div v-if="orders.sheet && orders.sheet.missing.length === 0" class="no-print does">
        <UButton v-if="canSend" icon="i-lucide-send" @click="orders.send()">{{ words.send }}</UButton>
        <UButton
          v-for="paper in ['a4', 'letter'] as const"
          :key="paper"
          icon="i-lucide-download"
          variant="outline"
          @click="save(() => orders.savePdf(paper))"
          >{{ words.pdf(words.papers[paper]) }}</UButton
        >
        <UButton icon="i-lucide-printer" variant="outline" @click="print()">{{ words.print }}</UButton>
        <UButton v-if="orders.one?.sent && !orders.one.arrived" variant="ghost" @click="orders.takeBack()">{{
          words.unsend
        }}</UButton>
      </div>
      <OrderPaper v-if="orders.sheet" :sheet="orders.sheet" :printed-on="today()" />
      <section v-if="orders.open.length > 0" class="no-print begin">
        <h2>{{ words.begin }}</h2>
        <div class="does">
          <UButton
            v-for="thing in orders.open"
            :key="`${thing.kind}/${thing.of}/${thing.shaft ?? 0}`"
            icon="i-lucide-plus"
            variant="outline"
            @click="orders.begin(thing)"
            >{{ words.add(`${thing.name} (${ORDER_KIND_FACTS[thing.kind].title.toLowerCase()})`) }}</UButton
          >
        </div>
      </section>
      <template v-if="orders.one" #side>
        <section
          v-if="orders.one.sent === undefined && orders.sheet?.missing.length === 0 && hasRisk"
          class="risk"
          data-testid="order-risk"
        >
          <h2>{{ words.risk.title }}</h2>
          <template v-if="orders.risk">
            <p class="chance">
              {{ words.risk.bottoms(likelihoodText(orders.risk.bottoms), orders.one.kind) }}
            </p>
            <p v-if="orders.risk.pullsOut !== null" class="chance">
              {{ words.risk.pulls(likelihoodText(orders.risk.pullsOut)) }}
            </p>
            <p class="soft">{{ words.risk.rests }}</p>
          </template>
          <p v-else-if="orders.one.kind === 'propshaft'">{{ words.risk.none }}</p>
          <p v-if="cost">{{ words.risk.cost(cost) }}</p>
          <p v-if="orderBy">{{ words.orderBy(orderBy) }}</p>
        </section>
        <OrderArrival v-if="orders.one.sent && orders.sheet" :figures="orders.sheet.arrival" />
        <OrderFields :order="orders.one" />
      </template>
    </MadePage>
  </div>
</template>

<style scoped>
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.begin,
.risk {
  display: grid;
  gap: 8px;
}
.chance {
  font-family: var(--font-figure);
  font-weight: 600;
}
@media print {
  .orders :deep(.side),
  .orders :deep(h1),
  .orders :deep(.lead),
  .orders :deep(.main > :not(.order-paper)) {
    display: none;
  }
  .orders :deep(.main) {
    padding: 0;
  }
}
</style>
