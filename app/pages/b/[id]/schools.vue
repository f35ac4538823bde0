<script setup lang="ts">
import { schoolsPage } from '~/texts/schools'
import { useEvaluation } from '~/stores/evaluation'
import { useSchools } from '~/stores/schools'
import { useWorkbench } from '~/stores/workbench'

/** What each school would ask of a line, and what the habits would do to it. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const schools = useSchools()
const route = useRoute()
const router = useRouter()
const words = schoolsPage
const lines = computed(() => evaluation.current?.lines ?? [])
const current = computed(() => lines.value.find(({ line }) => line.id === route.query.line) ?? lines.value[0])
const ofSchools = computed(() => schools.rows.filter(({ answer }) => 'school' in answer.of))
const ofHabits = computed(() => schools.rows.filter(({ answer }) => 'habit' in answer.of))
/** Whoever comes here wants to know; a change of the build asks anew. */
watch(
  () => [current.value?.line.id, evaluation.compiled] as const,
  ([id]) => {
    if (id !== undefined) void schools.ask(id)
  },
  { immediate: true },
)
onUnmounted(() => schools.stop())
const choose = (line: string) => void router.replace({ query: { ...route.query, line } })
</script>

<template>
  <LineNav />
  <div v-if="workbench.build && current" class="schools">
    <h1>{{ words.title }}</h1>
    <p class="soft lead">{{ words.lead }}</p>
    <LinePicker :lines="lines.map(({ line }) => line)" :chosen="current.line.id" @choose="choose" />
    <div class="ask">
      <template v-if="schools.isSearching">
        <p role="status">{{ words.looking(schools.answered) }}</p>
        <UButton variant="outline" size="sm" @click="schools.stop()">{{ words.stop }}</UButton>
      </template>
      <UButton
        v-else-if="schools.rows.length === 0"
        icon="i-lucide-search"
        @click="schools.ask(current.line.id)"
        >{{ words.ask }}</UButton
      >
      <p v-if="schools.failure" class="failure" role="alert">{{ words.failed(schools.failure) }}</p>
    </div>
    <SchoolTable v-if="ofSchools.length" :rows="ofSchools" :line-id="current.line.id" data-testid="schools" />
    <section v-if="ofHabits.length">
      <h2>{{ words.habits }}</h2>
      <p class="soft lead">{{ words.habitsLead }}</p>
      <SchoolTable :rows="ofHabits" :line-id="current.line.id" data-testid="habits" />
    </section>
  </div>
  <NoLine v-else-if="workbench.build && evaluation.current" :build="workbench.build" />
</template>

<style scoped>
.schools {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
  padding: 16px 24px 40px;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
h2 {
  margin-top: 10px;
  font-weight: 600;
}
.lead {
  max-width: 80ch;
  line-height: 1.4;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.failure {
  color: var(--out);
}
@media (max-width: 640px) {
  .schools {
    padding-inline: 14px;
  }
}
</style>
