<script setup lang="ts">
import type { ClutchRow } from '~~/core/show/text/clutchText'
import type { FactColumn } from '~/composables/factColumn'
import { clutches as words } from '~/texts/clutches'
import { useClutches } from '~/stores/clutches'

/** Clutches that a pedal works by oil: what the stroke comes to, and the sizes that it comes from. */
const clutches = useClutches()
const COLUMNS: readonly FactColumn<ClutchRow>[] = [
  { key: 'name', label: words.columns.figure, is: 'head', text: ({ name }) => name },
  { key: 'value', label: words.columns.value, is: 'number' },
]
</script>

<template>
  <section aria-labelledby="clutch-by-oil">
    <h2 id="clutch-by-oil">{{ words.title }}</h2>
    <p v-if="clutches.all.length === 0" class="soft">{{ words.none }}</p>
    <div v-for="one in clutches.all" :key="one.clutch.id" class="clutch" data-testid="clutch">
      <p class="figure" data-testid="clutch-sentence">{{ one.sentence }}</p>
      <p v-if="one.missing.length > 0" class="waits">
        <VerdictMark verdict="unknown" :size="14" /> {{ words.waits }} <MissingWords :missing="one.missing" />
      </p>
      <FactTable
        v-else
        :columns="COLUMNS"
        :rows="one.rows"
        :key-of="({ key }) => key"
        :label="words.table"
        test-id="clutch-table"
      >
        <template #value="{ row }">
          <AskedFigure :name="row.place" :title="row.name" :value="row.value" />
        </template>
      </FactTable>
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
