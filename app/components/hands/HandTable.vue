<script setup lang="ts">
import { LIMBS } from '~~/core/file/parts/control'
import type { ManoeuvreRow } from '~~/core/show/text/controlText'
import type { FactColumn } from '~/composables/factColumn'
import { controls as words } from '~/texts/controls'
import { useControls } from '~/stores/controls'

/** Manoeuvres against hands and feet; one is chosen to be changed. */
const controls = useControls()
const COLUMNS: readonly FactColumn<ManoeuvreRow>[] = [
  { key: 'name', label: words.manoeuvre, is: 'head' },
  ...LIMBS.map((limb) => ({ key: limb, label: words.limbs[limb], is: 'words' as const })),
]
</script>

<template>
  <section aria-labelledby="hand-table">
    <h2 id="hand-table">{{ words.table }}</h2>
    <FactTable
      :columns="COLUMNS"
      :rows="controls.rows"
      :key-of="({ id }) => id"
      :label="words.table"
      is-cards
      test-id="hand-table"
    >
      <template #name="{ row }">
        <button
          type="button"
          class="named"
          :aria-pressed="row.id === controls.manoeuvre?.id"
          @click="controls.looked = row.id"
        >
          <VerdictMark :verdict="row.verdict" :size="13" /> {{ row.name }}
        </button>
        <p v-if="row.clash" class="out">{{ row.clash }}</p>
      </template>
      <template v-for="limb in LIMBS" :key="limb" #[limb]="{ row }">
        <ul v-if="row.by[limb].length > 0" :class="{ out: row.by[limb].length > 1 }">
          <li v-for="job in row.by[limb]" :key="job">{{ job }}</li>
        </ul>
        <span v-else class="soft">{{ words.free }}</span>
      </template>
    </FactTable>
  </section>
</template>

<style scoped>
.named {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 32px;
  padding-inline: 6px;
  border-radius: 3px;
  font-weight: 600;
  text-align: left;
  cursor: pointer;
}
.named[aria-pressed='true'] {
  background: var(--wash);
}
p {
  padding-inline: 6px;
  font-size: 0.875rem;
  max-width: 36ch;
}
</style>
