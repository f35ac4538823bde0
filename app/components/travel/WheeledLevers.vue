<script setup lang="ts">
import type { BodyId } from '~~/core/file/parts/body'
import type { Build } from '~~/core/file/build/build'
import type { LeverKind } from '~~/core/file/build/lever'
import { leverName } from '~~/core/show/told/leverText'
import { texts } from '~/texts/en'
import { useBay } from '~/stores/bay'

/** The levers of a body, and those that it may have besides. */
const { build, body, kinds } = defineProps<{
  build: Build
  body: BodyId
  title: string
  /** Of the levers that may be added, whether they are there or not. */
  kinds: readonly LeverKind[]
}>()
const bay = useBay()
const levers = computed(() => build.levers.filter((lever) => lever.body === body))
const offered = computed(() => kinds.filter((kind) => !levers.value.some((lever) => lever.kind === kind)))
</script>

<template>
  <div class="levers">
    <h3>{{ title }}</h3>
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
        @click="bay.addLever(body, kind)"
        >{{ texts.bay.body.kinds[kind] }}</UButton
      >
    </div>
  </div>
</template>

<style scoped>
.levers {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
h3 {
  font-weight: 600;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
