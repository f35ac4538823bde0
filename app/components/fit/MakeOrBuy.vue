<script setup lang="ts">
import { fixed } from '~~/core/base/units/format'
import type { OrderEntry } from '~~/core/file/kinds/orderKinds'
import { orders } from '~/texts/orders'
import { useOrders } from '~/stores/orders'
import { useTasks } from '~/stores/tasks'

/** An order against making it oneself. */
const { order } = defineProps<{ order: OrderEntry }>()
const store = useOrders()
const tasks = useTasks()
const words = orders.own
const money = (sum: number) => `${fixed(sum, 0)} ${tasks.crew?.money ?? ''}`.trim()
const found = computed(() => store.own)
</script>

<template>
  <FoldedPart :title="words.title">
    <div class="own" data-testid="make-or-buy">
      <div class="three">
        <FigureField
          :label="words.hours"
          of="orders.own.hours"
          unit="h"
          :value="order.own?.hours"
          @change="store.changeOwn({ hours: $event ?? 0 })"
        />
        <FigureField
          :label="words.material"
          of="orders.own.material"
          :unit="tasks.crew?.money ?? ''"
          :value="order.own?.material"
          @change="store.changeOwn({ material: $event ?? 0 })"
        />
        <FigureField
          :label="words.twice"
          of="orders.own.twicePercent"
          unit="%"
          :value="order.own?.twicePercent"
          @change="store.changeOwn({ twicePercent: $event ?? 0 })"
        />
      </div>
      <template v-if="found">
        <p>
          <b>{{
            found.saved >= 0 ? words.cheaper(money(found.saved)) : words.dearer(money(-found.saved))
          }}</b>
          {{ words.costs(money(found.ownCost), fixed(found.ownHours, 1), money(found.price)) }}
          <template v-if="found.sparedDays !== null">{{ words.spares(fixed(found.sparedDays, 0)) }}</template>
        </p>
        <p v-if="found.evenRate !== null" class="soft">{{ words.even(money(found.evenRate)) }}</p>
      </template>
      <p v-else-if="order.own" class="soft">{{ words.noPrice }}</p>
      <p class="soft">{{ words.who }}</p>
    </div>
  </FoldedPart>
</template>

<style scoped>
.own {
  display: grid;
  gap: 8px;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
  align-items: end;
}
b {
  font-weight: 600;
}
</style>
