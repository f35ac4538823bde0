<script setup lang="ts">
import type { OrderEntry, OrderWhen } from '~~/core/file/kinds/orderKinds'
import type { LengthMark } from '~~/core/file/parts/lengthMarks'
import { whenOf } from '~~/core/jobs/orders/orderWhen'
import { ASKED_NAMES, ASKED_OF } from '~~/core/show/orders/orderBody'
import { ORDER_KIND_FACTS } from '~~/core/show/orders/orderKindFacts'
import { lengthName } from '~~/core/show/text/lineFacts'
import { sentenceCase } from '~~/core/show/text/checkText'
import { orders as words } from '~/texts/orders'
import { useOrders } from '~/stores/orders'
import { useEvaluation } from '~/stores/evaluation'
import { useTasks } from '~/stores/tasks'
import { useWorkbench } from '~/stores/workbench'

/** What the builder says of an order. */
const { order } = defineProps<{ order: OrderEntry }>()
const store = useOrders()
const tasks = useTasks()
const evaluation = useEvaluation()
const workbench = useWorkbench()
const facts = computed(() => ORDER_KIND_FACTS[order.kind])
const whens = (Object.keys(words.whens) as OrderWhen[]).map((value) => ({ value, label: words.whens[value] }))
/** Ways in which a shop may measure the shaft: those that its ends allow. */
const conventions = computed(() => {
  const line = evaluation.current?.lines.find((one) => one.line.id === order.of)
  const all = line?.ride.known ? (line.ride.value.shafts()[order.shaft ?? 0]?.lengths.all ?? []) : []
  return order.kind === 'propshaft'
    ? all.map((one) => ({ value: `${one.from}/${one.to}`, label: lengthName(one) }))
    : []
})
function measureBy(convention: string) {
  const [from, to] = convention.split('/') as [LengthMark, LengthMark]
  store.change({ from, to })
}
const task = computed(() => store.task)
const lines = computed(() =>
  (workbench.build?.lines ?? [])
    .filter(({ shafts }) => shafts.some(({ plunge }) => plunge))
    .map(({ id, name }) => ({ value: id, label: name })),
)
</script>

<template>
  <section class="order-fields">
    <TextField
      :label="words.fields.name"
      :value="order.name"
      required
      @change="store.change({ name: $event })"
    />
    <TextField
      :label="words.fields.supplier"
      :value="order.supplier"
      @change="store.change({ supplier: $event || undefined })"
    />
    <ChoiceField
      v-if="conventions.length > 1"
      :label="words.fields.convention"
      :value="`${order.from ?? 'joint-centre'}/${order.to ?? 'joint-centre'}`"
      :items="conventions"
      @change="measureBy($event)"
    />
    <ChoiceField
      v-if="order.kind === 'pattern'"
      :label="words.fields.line"
      :value="order.other ?? ''"
      :items="lines"
      @change="store.change({ other: $event || undefined })"
    />
    <ChoiceField
      :label="words.fields.when"
      :value="whenOf(order)"
      :items="whens"
      @change="store.change({ when: $event })"
    />
    <div v-if="task" class="two">
      <FigureField
        :label="words.fields.cost"
        of="tasks.cost"
        :unit="tasks.crew?.money ?? ''"
        :value="task.entry?.cost"
        @change="tasks.change(task.key, { cost: $event })"
      />
    </div>
    <EstimateField
      v-if="task"
      :label="words.fields.lead"
      unit="days"
      of="tasks.leadDays"
      :value="task.entry?.leadDays"
      @change="tasks.change(task.key, { leadDays: $event })"
    />
    <HurryFields v-if="task" :task="task" />
    <FoldedPart :title="words.fields.asks">
      <div class="asks">
        <TextField
          v-for="key in ASKED_OF[order.kind]"
          :key="key"
          :label="sentenceCase(ASKED_NAMES[key])"
          :value="order.asks?.[key]"
          :most="200"
          @change="store.ask({ [key]: $event || undefined })"
        />
        <template v-if="facts.turns">
          <FigureField
            :label="words.fields.balanceG"
            of="orders.asks.balanceG"
            unit="mm/s"
            :value="order.asks?.balanceG"
            @change="store.ask({ balanceG: $event })"
          />
          <FigureField
            :label="words.fields.runoutMm"
            kind="length"
            of="orders.asks.runoutMm"
            :value="order.asks?.runoutMm"
            @change="store.ask({ runoutMm: $event })"
          />
        </template>
      </div>
    </FoldedPart>
    <FoldedPart v-if="order.kind === 'propshaft'" :title="words.fields.second">
      <div class="two">
        <TextField
          :label="words.fields.secondBy"
          :value="order.secondBy"
          :most="200"
          @change="store.change({ secondBy: $event || undefined })"
        />
        <FigureField
          :label="words.fields.secondMm"
          kind="length"
          of="orders.secondMm"
          :value="order.secondMm"
          @change="store.change({ secondMm: $event })"
        />
      </div>
    </FoldedPart>
    <MakeOrBuy :order="order" />
    <RemoveButton is-worded :label="words.remove(order.name)" @click="store.remove()" />
  </section>
</template>

<style scoped>
.order-fields,
.asks {
  display: grid;
  gap: 10px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
</style>
