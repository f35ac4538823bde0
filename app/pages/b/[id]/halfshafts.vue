<script setup lang="ts">
import { halfshaftTexts } from '~/texts/halfshafts'
import { useHalfshafts } from '~/stores/halfshafts'
import { useOrders } from '~/stores/orders'
import { usePatterns } from '~/stores/patterns'
import { useWorkbench } from '~/stores/workbench'

/** Halfshafts: their lengths through the travel, by two donor pieces, and the sheets that go out with them. */
const workbench = useWorkbench()
const halfshafts = useHalfshafts()
const patterns = usePatterns()
const orders = useOrders()
const words = halfshaftTexts
const canOrder = computed(() => halfshafts.all.some(({ found }) => found))
/** Opens the sheet of an order, which is begun where there is none. */
function openSheet(kind: 'halfshafts' | 'pattern', of?: string) {
  orders.beginOf(kind, of)
  return navigateTo(`/b/${workbench.build?.id ?? ''}/orders`)
}
</script>

<template>
  <TravelNav />
  <div v-if="workbench.build" class="halfshafts">
    <div class="list">
      <header>
        <div>
          <h1>{{ words.lengths.title }}</h1>
          <p class="soft">{{ words.lengths.lead }}</p>
        </div>
        <UButton v-if="canOrder" icon="i-lucide-send" variant="outline" @click="openSheet('halfshafts')">{{
          words.lengths.print
        }}</UButton>
      </header>
      <p v-if="halfshafts.all.length === 0" class="none">
        {{ words.lengths.none }}
        <NuxtLink :to="`/b/${workbench.build.id}/parts`">{{ words.lengths.begin }}</NuxtLink>
      </p>
      <div v-else class="pair">
        <HalfshaftCard
          v-for="one in halfshafts.all"
          :key="`${one.line.id}/${one.shaft}`"
          :one="one"
          :base="`/b/${workbench.build.id}`"
        />
      </div>
      <header class="second">
        <div>
          <h2>{{ words.title }}</h2>
          <p class="soft">{{ words.lead }}</p>
        </div>
        <UButton
          icon="i-lucide-plus"
          variant="outline"
          @click="patterns.add(words.newName(patterns.all.length))"
          >{{ words.add }}</UButton
        >
      </header>
      <p class="caution">{{ words.caution }}</p>
      <p v-if="patterns.all.length === 0" class="none">{{ words.none }}</p>
      <PatternCard
        v-for="{ read, step, found } in patterns.all"
        :key="read.id"
        :read="read"
        :step="step"
        :found="found"
        @order="openSheet('pattern', read.id)"
      />
    </div>
  </div>
</template>

<style scoped>
.halfshafts {
  padding: 16px 24px 40px;
}
.list {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: start;
  gap: 8px 24px;
}
h1,
h2 {
  font-weight: 600;
  font-size: 1.1875rem;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 440px), 1fr));
  gap: 12px;
}
.second {
  margin-top: 18px;
  padding-top: 16px;
  border-top: 1px solid var(--hair);
}
.caution {
  padding: 8px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
.none {
  max-width: 62ch;
  padding: 14px 16px;
  border: 1.5px dashed var(--part-line);
  border-radius: 4px;
}
@media (max-width: 640px) {
  .halfshafts {
    padding-inline: 14px;
  }
}
</style>
