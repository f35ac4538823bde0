<script setup lang="ts">
import { HUB_WAYS } from '~~/core/file/edits/hubEdits'
import type { HubBody } from '~~/core/file/parts/body'
import type { Build } from '~~/core/file/build/build'
import { leversMoving } from '~~/core/file/build/lever'
import { travelTexts } from '~/texts/travel'
import { useTravel } from '~/stores/travel'

/** How one hub moves with its wheel: by the points of its suspension, or by its halfshaft measured at heights. */
const { build, hub } = defineProps<{ build: Build; hub: HubBody }>()
const travel = useTravel()
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
const kindsOfLever = leversMoving('hub')
</script>

<template>
  <section class="panel" :data-field="`travel/${hub.id}`" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <ChoiceField
      :label="motion.way"
      :value="hub.motion?.kind"
      :items="kinds"
      :placeholder="motion.choose"
      @change="$event && travel.setHubMotion(hub.id, $event)"
    />
    <p v-if="!hasShaft" class="soft">{{ words.noShaft }}</p>
    <LengthTable v-if="hub.motion?.kind === 'lengths'" :hub="hub" :motion="hub.motion" />
    <p v-else-if="hub.motion" class="soft">
      {{ words.points[hub.motion.kind] }}
      <NuxtLink :to="`/b/${build.id}/readings`">{{ motion.read }}</NuxtLink>
    </p>
    <WheeledLevers :build="build" :body="hub.id" :title="words.levers" :kinds="kindsOfLever" />
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
h2 {
  font-weight: 600;
}
</style>
