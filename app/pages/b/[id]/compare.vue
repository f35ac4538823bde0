<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import { compareSetups, type ComparedQuantity } from '~~/core/measure/geometry/compareSetups'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useWorkbench } from '~/stores/workbench'
import { comparedWords } from '~~/core/show/text/compareText'

const workbench = useWorkbench()
const { units, angle, length } = useFormat()
const words = texts.measuring.compare
const setups = computed(() => workbench.build?.setups ?? [])
const items = computed(() => setups.value.map((setup) => ({ label: setup.name, value: setup.id })))
const firstId = ref<string>()
const secondId = ref<string>()
const first = computed(() => setups.value.find((one) => one.id === firstId.value) ?? setups.value.at(-2))
const second = computed(() => setups.value.find((one) => one.id === secondId.value) ?? setups.value.at(-1))
const rows = computed<ComparedQuantity[]>(() =>
  workbench.build && first.value && second.value && first.value !== second.value
    ? compareSetups(workbench.build, first.value, second.value)
    : [],
)
const columns = computed((): FactColumn<ComparedQuantity>[] => [
  { key: 'name', label: words.quantity, text: ({ name }) => name, is: 'head' },
  {
    key: 'first',
    label: first.value?.name,
    text: (row) => comparedWords(row, row.first, units.value),
    is: 'figure',
  },
  {
    key: 'second',
    label: second.value?.name,
    text: (row) => comparedWords(row, row.second, units.value),
    is: 'figure',
  },
  { key: 'difference', label: words.difference },
])
const size = (row: ComparedQuantity, value: number) =>
  row.unit === 'deg' ? angle(Math.abs(value)) : length(Math.abs(value))
</script>

<template>
  <MeasureNav />
  <MeasurePage :title="words.title" :lead="words.lead">
    <p v-if="setups.length < 2" class="soft">{{ words.needTwo }}</p>
    <template v-else>
      <div class="choice">
        <ChoiceField :label="words.first" :value="first?.id" :items="items" @change="firstId = $event" />
        <ChoiceField :label="words.second" :value="second?.id" :items="items" @change="secondId = $event" />
      </div>
      <p v-if="rows.length === 0" class="soft">{{ words.nothing }}</p>
      <FactTable
        v-else
        :columns="columns"
        :rows="rows"
        :key-of="(row) => row.quantity + row.target"
        :look="(row) => ({ class: { apart: row.isApart } })"
      >
        <template #difference="{ row }">
          <template v-if="row.difference !== null">
            <span class="figure">{{ size(row, row.difference) }}</span>
            <span v-if="row.plusMinus" class="soft"> ± {{ size(row, row.plusMinus) }}</span>
            <template v-if="row.target">
              <VerdictMark class="mark" :verdict="row.isApart ? 'tight' : 'holds'" :size="13" silent />
              {{ row.isApart ? words.apart : words.agrees }}
            </template>
          </template>
        </template>
      </FactTable>
    </template>
  </MeasurePage>
</template>

<style scoped>
.choice {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 320px));
  gap: 16px;
  margin-bottom: 18px;
}
.mark {
  margin-left: 10px;
}
:deep(.apart) {
  background: var(--card);
}
@media (max-width: 640px) {
  .choice {
    grid-template-columns: 1fr;
  }
}
</style>
