<script setup lang="ts">
import { clutches as words } from '~/texts/clutches'
import { useClutches } from '~/stores/clutches'

/** Clutches that a pedal works by oil: what the stroke comes to, and the sizes that it comes from. */
const clutches = useClutches()
</script>

<template>
  <section aria-labelledby="clutch-by-oil">
    <h2 id="clutch-by-oil">{{ words.title }}</h2>
    <p v-if="clutches.all.length === 0" class="soft">{{ words.none }}</p>
    <div v-for="one in clutches.all" :key="one.clutch.id" class="clutch" data-testid="clutch">
      <p class="figure" data-testid="clutch-sentence">{{ one.sentence }}</p>
      <WaitsFor v-if="one.missing.length > 0" :missing="one.missing" />
      <AskedTable v-else :label="words.table" :rows="one.rows" test-id="clutch-table" />
      <ClutchFields :clutch="one.clutch" />
    </div>
    <UButton variant="outline" size="sm" icon="i-lucide-plus" class="add" @click="clutches.add()">{{
      words.add
    }}</UButton>
    <p v-if="clutches.all.length > 0" class="caution">{{ words.caution }}</p>
  </section>
</template>

<style scoped>
section,
.clutch {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
</style>
