<script setup lang="ts">
import type { SettingSheet } from '~~/core/show/told/settingSheet'
import type { FactColumn } from '~/composables/factColumn'
import { texts } from '~/texts/en'

const { sheet } = defineProps<{ sheet: SettingSheet }>()
const words = texts.sheet
type Joint = SettingSheet['joints'][number]
const jointColumns = computed<FactColumn<Joint>[]>(() => [
  { key: 'name', text: ({ name }) => name, is: 'words', label: words.joint, isLabelHidden: true },
  { key: 'measured', label: words.measured, text: ({ measured }) => measured, is: 'number' },
  { key: 'set', label: words.now, text: ({ set }) => set, is: 'number' },
  ...(sheet.hasDrive
    ? ([
        { key: 'drive', label: words.drive, text: ({ drive }: Joint) => drive, is: 'number' },
        { key: 'coast', label: words.coast, text: ({ coast }: Joint) => coast, is: 'number' },
      ] as const)
    : []),
  { key: 'verdict', is: 'words' },
])
const CHECKS: readonly FactColumn<SettingSheet['checks'][number]>[] = [
  { key: 'label', text: ({ label }) => label, is: 'words' },
  { key: 'value', text: ({ value }) => value, is: 'number' },
  { key: 'verdict', is: 'words' },
]
</script>

<template>
  <div class="setting">
    <section class="two">
      <div>
        <h2>{{ words.set }}</h2>
        <ol v-if="sheet.instructions.length">
          <li v-for="one in sheet.instructions" :key="one">
            <span class="tick" aria-hidden="true" /> {{ one }}
          </li>
        </ol>
        <p v-else-if="sheet.isOut" class="undecided">{{ words.asMeasuredOut }}</p>
        <p v-else>{{ words.asMeasured }}</p>
      </div>
      <div>
        <h2>{{ words.goalTitle }}</h2>
        <p class="goal">{{ words.goal }}</p>
        <ul>
          <li v-for="one in sheet.goals" :key="one">{{ one }}</li>
        </ul>
      </div>
    </section>
    <section v-if="sheet.joints.length + sheet.checks.length > 0">
      <h2>{{ words.angles }}</h2>
      <FactTable
        v-if="sheet.joints.length"
        :columns="jointColumns"
        :rows="sheet.joints"
        :key-of="({ name }) => name"
        is-dense
      >
        <template #verdict="{ row }">
          <VerdictMark :verdict="row.verdict" :size="12" /> {{ texts.verdicts[row.verdict] }}
        </template>
      </FactTable>
      <FactTable :columns="CHECKS" :rows="sheet.checks" :key-of="({ label }) => label" is-dense>
        <template #verdict="{ row }">
          <VerdictMark :verdict="row.verdict" :size="12" /> {{ row.margin }}
        </template>
      </FactTable>
    </section>
  </div>
</template>

<style scoped>
.setting {
  display: grid;
  gap: 8px;
  margin-top: 8px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 26px;
}
h2 {
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
ol li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 5px 0;
  font-size: 1.125em;
  font-weight: 600;
}
.tick {
  flex: none;
  width: 14px;
  height: 14px;
  border: 1.5px solid var(--ink);
}
/* What is read at arm's length under the vehicle. */
.setting :deep(td.number) {
  font-weight: 600;
}
.goal {
  margin-top: 4px;
}
@media screen and (max-width: 720px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
