<script setup lang="ts">
import { halfshaftTexts } from '~/texts/halfshafts'
import { usePatterns } from '~/stores/patterns'
import { useWorkbench } from '~/stores/workbench'

/** Halfshafts: their lengths by two donor pieces, and the sheet that goes to the machinist. */
const workbench = useWorkbench()
const patterns = usePatterns()
const words = halfshaftTexts
const printed = ref<string | null>(null)
const sheet = computed(() => patterns.all.find(({ read }) => read.id === printed.value))
async function print(id: string) {
  printed.value = id
  await nextTick()
  window.print()
}
</script>

<template>
  <TravelNav />
  <div v-if="workbench.build" class="halfshafts">
    <div class="no-print list">
      <header>
        <div>
          <h1>{{ words.title }}</h1>
          <p class="soft">{{ words.lead }}</p>
        </div>
        <UButton
          icon="i-lucide-plus"
          variant="outline"
          @click="patterns.add(words.newName(patterns.all.length))"
          >{{ words.add }}</UButton
        >
      </header>
      <p class="caution">{{ words.caution }}</p>
      <p v-if="patterns.all.length === 0" class="none">{{ words.none }}</p>
      <PatternCard
        v-for="{ read, step, found } in patterns.all"
        :key="read.id"
        :read="read"
        :step="step"
        :found="found"
        @print="print(read.id)"
      />
    </div>
    <MachinistSheet
      v-if="sheet?.found.known"
      class="only-print"
      :build="workbench.build"
      :read="sheet.read"
      :pattern="sheet.found.value"
    />
  </div>
</template>

<style scoped>
.halfshafts {
  padding: 16px 24px 40px;
}
.list {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: start;
  gap: 8px 24px;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
.caution {
  padding: 8px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
.none {
  max-width: 62ch;
  padding: 14px 16px;
  border: 1.5px dashed var(--part-line);
  border-radius: 4px;
}
@media screen {
  .only-print {
    display: none;
  }
}
@media (max-width: 640px) {
  .halfshafts {
    padding-inline: 14px;
  }
}
</style>
