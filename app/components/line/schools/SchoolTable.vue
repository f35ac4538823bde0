<script setup lang="ts">
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
</script>

<template>
  <div class="wide" tabindex="0" role="group" :aria-label="words.title">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ words.school }}</th>
          <th scope="col">{{ words.asks }}</th>
          <th scope="col">{{ words.angles }}</th>
          <th scope="col">{{ words.leaves }}</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="nameOf(row)" :class="{ own: row.answer.isOwn }">
          <th scope="row">
            {{ nameOf(row) }} <span v-if="row.answer.isOwn" class="soft">{{ words.yours }}</span>
          </th>
          <td>{{ asksFor(row) }}</td>
          <td class="figures">{{ row.angles }}</td>
          <td class="leaves">
            <VerdictMark v-if="row.answer.worst" :verdict="row.answer.verdict" /> {{ row.leaves }}
          </td>
          <td>
            <UButton
              v-if="row.answer.cure && row.answer.part === null"
              size="xs"
              variant="outline"
              :aria-label="words.takeSchool(nameOf(row))"
              @click="schools.take(lineId, row.answer, words.takeSchool(nameOf(row)))"
              >{{ words.take }}</UButton
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.wide {
  overflow-x: auto;
}
table {
  width: 100%;
  line-height: 1.35;
}
th {
  text-align: left;
  font-weight: 600;
}
thead th {
  color: var(--soft);
  font-weight: 500;
  font-size: 0.9375rem;
}
td,
th {
  padding: 7px 16px 7px 0;
  border-bottom: 1px solid var(--hair);
  vertical-align: top;
}
.own th {
  color: var(--accent);
}
.figures {
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
td :deep(button) {
  white-space: nowrap;
}
.leaves :deep(svg) {
  display: inline-block;
  vertical-align: -2px;
}
</style>
