<script setup lang="ts">
import { useNotices } from '~/composables/useNotices'
import { texts } from '~/texts/en'
import { useCsv } from '~/stores/csv'

/** Readings out to a spreadsheet and in from one. */
const csv = useCsv()
const notices = useNotices()
const picker = useTemplateRef<HTMLInputElement>('picker')
const words = texts.measuring.csv

async function take(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  const count = file ? await csv.importCsv(file) : 0
  input.value = ''
  if (count > 0) notices.add({ title: words.done(count), icon: 'i-lucide-check' })
}
</script>

<template>
  <div class="csv">
    <UButton size="sm" variant="outline" icon="i-lucide-download" @click="csv.exportCsv()">{{
      words.export
    }}</UButton>
    <UButton size="sm" variant="outline" icon="i-lucide-upload" @click="picker?.click()">{{
      words.import
    }}</UButton>
    <input
      ref="picker"
      type="file"
      accept=".csv,.txt,text/csv"
      class="sr-only"
      tabindex="-1"
      :aria-label="words.import"
      @change="take"
    />
    <div v-if="csv.problems.length" class="refused" role="alert">
      <p class="title">
        <VerdictMark verdict="out" silent /> {{ words.refused }}
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :aria-label="texts.builds.dismiss"
          @click="csv.problems = []"
        />
      </p>
      <ul>
        <li v-for="problem in csv.problems" :key="`${problem.line}${problem.message}`">
          <span class="figure">{{ words.line(problem.line) }}</span> {{ problem.message }}
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.csv {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 14px;
}
.refused {
  flex-basis: 100%;
  padding: 10px 12px;
  border: 1.5px solid var(--out);
  border-radius: 4px;
  background: var(--card);
}
.title {
  display: flex;
  align-items: center;
  gap: 8px;
  font-weight: 600;
}
li {
  display: grid;
  grid-template-columns: 5rem minmax(0, 1fr);
  gap: 8px;
}
</style>
