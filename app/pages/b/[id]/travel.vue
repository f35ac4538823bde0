<script setup lang="ts">
import { travelTexts } from '~/texts/travel'
import { useEvaluation } from '~/stores/evaluation'
import { useTravel } from '~/stores/travel'
import { useWorkbench } from '~/stores/workbench'

/** The wheels from full droop to full bump and crossed, and how each axle moves. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const travel = useTravel()
const route = useRoute()
const router = useRouter()
const words = travelTexts
const lines = computed(() => {
  const swept = new Set(evaluation.compiled?.lines.flatMap(({ swept: goes }) => goes?.lineId ?? []))
  return (evaluation.current?.lines ?? []).filter(({ line }) => swept.has(line.id))
})
const current = computed(() => lines.value.find(({ line }) => line.id === route.query.line) ?? lines.value[0])
const here = computed(() => travel.way?.lines.find(({ lineId }) => lineId === current.value?.line.id))
const axle = computed(() => travel.moving.find(({ id }) => id === route.query.axle) ?? travel.moving[0])
const go = (query: Record<string, string>) => void router.replace({ query: { ...route.query, ...query } })
const ways = computed(() =>
  travel.waysOf(current.value?.line).map((value) => ({ value, label: words.ways[value] })),
)
// A way that the line does not go is not looked at.
watch(ways, (list) => {
  if (list.length > 0 && !list.some(({ value }) => value === travel.wanted)) travel.wanted = 'parallel'
})
</script>

<template>
  <TravelNav />
  <div v-if="workbench.build" class="travel">
    <div class="main">
      <h1>{{ words.title }}</h1>
      <p class="soft lead">{{ words.lead }}</p>
      <p v-if="travel.moving.length === 0" class="soft">{{ words.noAxle }}</p>
      <p v-else-if="!travel.way" class="none">{{ words.none }}</p>
      <template v-else>
        <LinePicker
          :lines="lines.map(({ line }) => line)"
          :chosen="current?.line.id ?? ''"
          @choose="go({ line: $event })"
        />
        <TravelCards v-if="current" :build="workbench.build" :evaluation="current" />
        <p class="soft small">{{ words.heights }}</p>
        <div class="through">
          <h2>{{ words.through }}</h2>
          <URadioGroup
            v-if="ways.length > 1"
            v-model="travel.wanted"
            orientation="horizontal"
            :items="ways"
            :aria-label="words.wayLabel"
          />
        </div>
        <TravelHere v-if="current && here" :way="travel.way" :line="here" :evaluation="current" />
        <TravelCurves :build="workbench.build" :way="travel.way" />
        <p class="soft small">{{ words.drag }}</p>
        <CrossMap
          v-if="travel.way.way === 'crossed' && travel.cross"
          :build="workbench.build"
          :map="travel.cross"
        />
      </template>
    </div>
    <aside v-if="axle" class="aside">
      <UFormField v-if="travel.moving.length > 1" :label="words.axle">
        <USelect
          :model-value="axle.id"
          :items="travel.moving.map(({ id, name }) => ({ value: id, label: name }))"
          class="w-full"
          @update:model-value="go({ axle: $event as string })"
        />
      </UFormField>
      <MotionPanel v-if="axle.kind === 'axle'" :build="workbench.build" :axle="axle" />
      <HubPanel v-else :build="workbench.build" :hub="axle" />
      <ReachFields :body="axle" />
    </aside>
  </div>
</template>

<style scoped>
.travel {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  align-items: start;
}
.main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  padding: 16px 24px 40px;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
h2 {
  font-weight: 600;
}
.none {
  max-width: 62ch;
  padding: 14px 16px;
  border: 1.5px dashed var(--part-line);
  border-radius: 4px;
}
.through {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: center;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
.small {
  font-size: 0.875rem;
}
.aside {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 20px;
  min-height: 100%;
  padding: 16px 20px 40px;
  border-left: 1px solid var(--hair);
}
@media (max-width: 1020px) {
  .travel {
    grid-template-columns: minmax(0, 1fr);
  }
  .aside {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
@media (max-width: 640px) {
  .main,
  .aside {
    padding-inline: 14px;
  }
}
</style>
