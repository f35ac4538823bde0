<script setup lang="ts">
import { HUB_WAYS, type HubWay } from '~~/core/layouts/hubEdits'
import type { HubBody } from '~~/core/project/body'
import type { Build } from '~~/core/project/build'
import { isLeverOn, LEVER_KINDS } from '~~/core/project/lever'
import { leverName } from '~~/core/text/leverText'
import { texts } from '~/texts/en'
import { travelTexts } from '~/texts/travel'
import { useBay } from '~/stores/bay'
import { useTravel } from '~/stores/travel'

/** How one hub moves with its wheel: by the points of its suspension, or by its halfshaft measured at heights. */
const { build, hub } = defineProps<{ build: Build; hub: HubBody }>()
const travel = useTravel()
const bay = useBay()
const words = travelTexts.hub
const motion = travelTexts.motion
const hasShaft = computed(() =>
  build.lines.some(({ driven }) => build.axes.some(({ id, body }) => id === driven && body === hub.id)),
)
const kinds = computed(() =>
  HUB_WAYS.filter((way) => way !== 'lengths' || hasShaft.value).map((value) => ({
    value,
    label: words.ways[value],
  })),
)
const levers = computed(() => build.levers.filter(({ body }) => body === hub.id))
const offered = computed(() =>
  LEVER_KINDS.filter((kind) => isLeverOn(kind, 'hub') && !levers.value.some((lever) => lever.kind === kind)),
)
</script>

<template>
  <section class="panel" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <UFormField :label="motion.way">
      <USelect
        :model-value="hub.motion?.kind"
        :items="kinds"
        :placeholder="motion.choose"
        class="w-full"
        @update:model-value="travel.setHubMotion(hub.id, $event as HubWay)"
      />
    </UFormField>
    <p v-if="!hasShaft" class="soft">{{ words.noShaft }}</p>
    <LengthTable v-if="hub.motion?.kind === 'lengths'" :hub="hub" :motion="hub.motion" />
    <p v-else-if="hub.motion" class="soft">
      {{ words.points[hub.motion.kind] }}
      <NuxtLink :to="`/b/${build.id}/readings`">{{ motion.read }}</NuxtLink>
    </p>
    <h3>{{ words.levers }}</h3>
    <ul v-if="levers.length" class="soft">
      <li v-for="lever in levers" :key="lever.id">{{ leverName(build, lever) }}</li>
    </ul>
    <div class="does">
      <UButton
        v-for="kind in offered"
        :key="kind"
        size="xs"
        variant="outline"
        icon="i-lucide-plus"
        @click="bay.addLever(hub.id, kind)"
        >{{ texts.bay.body.kinds[kind] }}</UButton
      >
    </div>
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
h2,
h3 {
  font-weight: 600;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
