<script setup lang="ts">
import { leverName } from '~~/core/show/told/leverText'
import { mapPage } from '~/texts/map'
import { useLeverMap } from '~/stores/leverMap'
import { useWorkbench } from '~/stores/workbench'

/** Every setting of two levers at once. */
const workbench = useWorkbench()
const store = useLeverMap()
const words = mapPage
onMounted(() => (store.isWanted = true))
onUnmounted(() => (store.isWanted = false))
const items = computed(() => {
  const { build } = workbench
  return build ? store.all.map((lever) => ({ value: lever.id, label: leverName(build, lever) })) : []
})
function choose(index: 0 | 1, id: string) {
  const now = store.axes?.map((lever) => lever.id) ?? []
  const other = now[1 - index] ?? ''
  // The one that is taken already changes places.
  const rest = other === id ? (now[index] ?? '') : other
  store.wanted = index === 0 ? [id, rest] : [rest, id]
}
</script>

<template>
  <LineNav />
  <div v-if="workbench.build" class="map-page">
    <h1>{{ words.title }}</h1>
    <p class="soft lead">{{ words.lead }}</p>
    <p v-if="!store.axes" class="soft">{{ words.none }}</p>
    <template v-else>
      <div class="axes">
        <ChoiceField
          :label="words.across"
          :value="store.axes[0].id"
          :items="items"
          @change="choose(0, $event)"
        />
        <ChoiceField :label="words.up" :value="store.axes[1].id" :items="items" @change="choose(1, $event)" />
      </div>
      <p v-if="store.failure" class="failure" role="alert">{{ words.failed(store.failure) }}</p>
      <LeverMapPanel v-if="store.map" :build="workbench.build" />
      <p v-else role="status">{{ words.waiting }}</p>
    </template>
  </div>
</template>

<style scoped>
.map-page {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  align-content: start;
  max-width: 1100px;
  padding: 16px 24px 40px;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
.lead {
  max-width: 80ch;
  line-height: 1.4;
}
.axes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
}
.failure {
  color: var(--out);
}
@media (max-width: 640px) {
  .map-page {
    padding-inline: 14px;
  }
}
</style>
