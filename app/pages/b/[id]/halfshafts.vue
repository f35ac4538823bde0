<script setup lang="ts">
import { halfshaftTexts } from '~/texts/halfshafts'
import { useHalfshafts } from '~/stores/halfshafts'
import { usePatterns } from '~/stores/patterns'
import { useWorkbench } from '~/stores/workbench'

/** Halfshafts: their lengths through the travel, by two donor pieces, and the sheets that go out with them. */
const workbench = useWorkbench()
const halfshafts = useHalfshafts()
const patterns = usePatterns()
const words = halfshaftTexts
/** What is printed: the order, or the sheet of a pattern by its id. */
const printed = ref<'order' | { readonly pattern: string } | null>(null)
const sheet = computed(() => {
  const of = printed.value
  return of === null || of === 'order' ? undefined : patterns.all.find(({ read }) => read.id === of.pattern)
})
const canOrder = computed(() => halfshafts.all.some(({ found }) => found))
async function print(what: NonNullable<typeof printed.value>) {
  printed.value = what
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
          <h1>{{ words.lengths.title }}</h1>
          <p class="soft">{{ words.lengths.lead }}</p>
        </div>
        <UButton v-if="canOrder" icon="i-lucide-printer" variant="outline" @click="print('order')">{{
          words.lengths.print
        }}</UButton>
      </header>
      <p v-if="halfshafts.all.length === 0" class="none">
        {{ words.lengths.none }}
        <NuxtLink :to="`/b/${workbench.build.id}/parts`">{{ words.lengths.begin }}</NuxtLink>
      </p>
      <div v-else class="pair">
        <HalfshaftCard
          v-for="one in halfshafts.all"
          :key="`${one.line.id}/${one.shaft}`"
          :one="one"
          :base="`/b/${workbench.build.id}`"
        />
      </div>
      <header class="second">
        <div>
          <h2>{{ words.title }}</h2>
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
        @print="print({ pattern: read.id })"
      />
    </div>
    <HalfshaftOrder
      v-if="printed === 'order'"
      class="only-print"
      :build="workbench.build"
      :shafts="halfshafts.all"
    />
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
h1,
h2 {
  font-weight: 600;
  font-size: 1.1875rem;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 440px), 1fr));
  gap: 12px;
}
.second {
  margin-top: 18px;
  padding-top: 16px;
  border-top: 1px solid var(--hair);
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
