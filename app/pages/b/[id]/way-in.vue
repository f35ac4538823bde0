<script setup lang="ts">
import { texts } from '~/texts/en'
import { useWayIn } from '~/stores/wayIn'

/** Way in and out: the plan, the search, and the way itself to be stepped and shown. */
const wayIn = useWayIn()
const words = texts.wayIn
</script>

<template>
  <PlaceNav />
  <MeasurePage :title="words.title" :lead="words.lead">
    <template v-if="!wayIn.plan">
      <p class="none">
        <b>{{ words.none }}.</b> {{ words.noneHint }}
      </p>
      <UButton icon="i-lucide-plus" @click="wayIn.begin">{{ words.start }}</UButton>
    </template>
    <div v-else class="columns">
      <div>
        <WayAnswer />
        <SwingBoard />
        <WaySteps v-if="wayIn.way" :way="wayIn.way" />
      </div>
      <WayPlanFields :plan="wayIn.plan" />
    </div>
    <p v-for="one in Object.values(words.caution)" :key="one" class="caution">
      <VerdictMark verdict="tight" :size="14" silent /> {{ one }}
    </p>
  </MeasurePage>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  gap: 20px 24px;
  align-items: start;
}
.none {
  max-width: 76ch;
  margin-bottom: 10px;
  line-height: 1.45;
}
.caution {
  display: flex;
  gap: 8px;
  align-items: baseline;
  margin-top: 8px;
  color: var(--soft);
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
