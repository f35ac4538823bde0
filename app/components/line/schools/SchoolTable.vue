<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import { texts } from '~/texts/en'
import { schoolsPage } from '~/texts/schools'
import { useSchools, type SchoolRow } from '~/stores/schools'

/** Schools or habits of a line: what each asks for and what it leaves. */
const { rows, lineId } = defineProps<{ rows: readonly SchoolRow[]; lineId: string }>()
const schools = useSchools()
const words = schoolsPage
const nameOf = ({ answer: { of } }: SchoolRow) =>
  'school' in of ? texts.schools[of.school].name : words.habitNames[of.habit]
const asksFor = ({ answer, instruction }: SchoolRow) =>
  [
    ...(answer.part ? [words.parts[answer.part]] : []),
    ...(answer.cure && !answer.isMet ? [`${words.notMet}:`] : []),
    ...(answer.cure ? [instruction || words.nothing] : []),
  ].join(' ')
const COLUMNS: readonly FactColumn<SchoolRow>[] = [
  { key: 'school', label: words.school, is: 'head' },
  { key: 'asks', label: words.asks, text: asksFor },
  { key: 'angles', label: words.angles, text: ({ angles }) => angles, is: 'figure' },
  { key: 'leaves', label: words.leaves },
  { key: 'take' },
]
</script>

<template>
  <FactTable
    :label="words.title"
    :columns="COLUMNS"
    :rows="rows"
    :key-of="nameOf"
    :look="({ answer }) => ({ class: { own: answer.isOwn } })"
  >
    <template #school="{ row }">
      {{ nameOf(row) }} <span v-if="row.answer.isOwn" class="soft">{{ words.yours }}</span>
    </template>
    <template #leaves="{ row }">
      <VerdictMark v-if="row.answer.worst" :verdict="row.answer.verdict" /> {{ row.leaves }}
    </template>
    <template #take="{ row }">
      <UButton
        v-if="row.answer.cure && row.answer.part === null"
        size="xs"
        variant="outline"
        :aria-label="words.takeSchool(nameOf(row))"
        @click="schools.take(lineId, row.answer, words.takeSchool(nameOf(row)))"
        >{{ words.take }}</UButton
      >
    </template>
  </FactTable>
</template>

<style scoped>
:deep(.own th) {
  color: var(--accent);
}
:deep(button) {
  white-space: nowrap;
}
</style>
