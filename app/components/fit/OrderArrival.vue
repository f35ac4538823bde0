<script setup lang="ts">
import { fixed, formatBothUnits } from '~~/core/base/units/format'
import { dayText } from '~~/core/show/text/dayText'
import type { ArrivalFigure } from '~~/core/show/orders/orderBody'
import { today } from '~/storage/today'
import { orders } from '~/texts/orders'
import { useOrders } from '~/stores/orders'
import { useWorkbench } from '~/stores/workbench'

/** What came, measured again before it is fitted; accepted or refused. */
const { figures } = defineProps<{ figures: readonly ArrivalFigure[] }>()
const store = useOrders()
const workbench = useWorkbench()
const words = orders.arrival
const arrival = computed(() => store.one?.arrived)
const verdict = computed(() => arrival.value?.verdict)
const reason = ref('')
const tools = computed(() =>
  (workbench.build?.tools ?? []).map(({ id, name }) => ({ value: id, label: name })),
)
const text = (unit: ArrivalFigure['unit'], value: number): string => {
  if (unit === 'mm') return formatBothUnits(value, workbench.build?.units.inchFraction ?? 16)
  return unit === 'deg' ? `${fixed(value, 1)}°` : `${value} links`
}
const UNITS = { deg: '°', links: 'links', mm: 'mm' } as const
const rows = computed(() =>
  figures.map((figure) => {
    const came = store.arrived.find(({ key }) => key === figure.key)
    const asked = came?.asked ?? figure.asked
    const more = came === undefined ? null : came.value - asked
    const size = more === null ? '' : text(figure.unit, Math.abs(more))
    return {
      ...figure,
      asked,
      value: came?.value,
      askedText: words.asked(text(figure.unit, asked)),
      difference:
        more === null
          ? ''
          : Math.abs(more) < 0.05
            ? words.same
            : more > 0
              ? words.longer(size)
              : words.shorter(size),
    }
  }),
)
</script>

<template>
  <section class="arrival" data-testid="arrival">
    <h2>{{ words.title }}</h2>
    <p class="soft">{{ words.lead }}</p>
    <div v-for="row in rows" :key="row.key" class="row">
      <FigureField
        v-if="verdict === undefined"
        :label="row.name"
        :kind="row.unit === 'mm' ? 'length' : undefined"
        :unit="UNITS[row.unit]"
        of="orders.arrived.figures.value"
        :value="row.value"
        @change="store.measure(row.key, row.asked, $event)"
      />
      <p v-else>
        {{ row.name }}: <b>{{ row.value === undefined ? '?' : text(row.unit, row.value) }}</b>
      </p>
      <p class="soft">
        {{ row.askedText }}<template v-if="row.difference">; {{ row.difference }}</template
        ><template v-if="row.becomes">; {{ words.becomes(row.becomes) }}</template>
      </p>
    </div>
    <template v-if="verdict === undefined">
      <div class="two">
        <TextField
          :label="orders.fields.by"
          :value="arrival?.by"
          :most="200"
          @change="store.changeArrival({ by: $event || undefined })"
        />
        <ChoiceField
          :label="orders.fields.tool"
          :value="arrival?.tool ?? ''"
          :items="tools"
          @change="store.changeArrival({ tool: $event || undefined })"
        />
      </div>
      <template v-if="store.arrived.length > 0">
        <h3>{{ words.effect }}</h3>
        <p v-if="store.effects.length === 0">{{ words.noEffect }}</p>
        <ul v-else class="effects">
          <li v-for="effect in store.effects.slice(0, 6)" :key="effect.label">
            <VerdictMark :verdict="effect.verdict" silent /> {{ effect.label }}: {{ effect.was }} →
            {{ effect.is }}
          </li>
        </ul>
        <div class="does">
          <UButton icon="i-lucide-check" :disabled="!store.isMeasured" @click="store.accept()">{{
            words.accept
          }}</UButton>
          <TextField :label="orders.fields.reason" :value="reason" @change="reason = $event" />
          <UButton variant="outline" :disabled="reason === ''" @click="store.refuse(reason)">{{
            words.refuse
          }}</UButton>
        </div>
      </template>
    </template>
    <template v-else>
      <p role="status">
        <VerdictMark :verdict="verdict === 'accepted' ? 'holds' : 'out'" silent />
        {{
          (verdict === 'accepted' ? words.accepted : words.refused)(dayText(arrival?.at ?? today(), today()))
        }}
        {{ arrival?.reason }}
      </p>
      <div class="does">
        <UButton variant="outline" @click="store.reopen()">{{ words.reopen }}</UButton>
        <UButton v-if="verdict === 'refused'" icon="i-lucide-send" @click="store.orderAgain()">{{
          words.again
        }}</UButton>
      </div>
    </template>
  </section>
</template>

<style scoped>
.arrival {
  display: grid;
  gap: 10px;
  justify-items: stretch;
}
h3 {
  font-weight: 600;
}
.row {
  display: grid;
  gap: 2px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.effects {
  display: grid;
  gap: 4px;
}
.does {
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
