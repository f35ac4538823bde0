<script setup lang="ts">
import { texts } from '~/texts/en'
import { useWeight } from '~/stores/weight'

/** Weight: scales, what goes in and out, and how the unit hangs. */
const weight = useWeight()
const words = texts.weight
</script>

<template>
  <PlaceNav />
  <MeasurePage :title="words.title" :lead="words.lead">
    <WeightPicture v-if="weight.scene" :scene="weight.scene" class="picture" />
    <div class="columns">
      <div>
        <LoadTable />
        <MassTable />
        <MountCard />
      </div>
      <div>
        <ScaleFields :sheet="weight.sheet" />
        <SlingCard />
      </div>
    </div>
  </MeasurePage>
</template>

<style scoped>
.picture {
  margin-bottom: 18px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.55fr) minmax(300px, 1fr);
  gap: 20px 24px;
  align-items: start;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
