<script setup lang="ts">
import { PROFILES } from '~~/core/project/profiles'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

const workbench = useWorkbench()
const words = texts.limits
const profiles = Object.entries(PROFILES).map(([value, one]) => ({ value, label: one.name }))
const chosen = ref<keyof typeof PROFILES>('road')
watch(
  () => workbench.build?.limits.profile,
  (profile) => {
    if (profile && profile !== 'own') chosen.value = profile
  },
  { immediate: true },
)
const copy = () =>
  workbench.change(
    'Copy a limit profile',
    (draft) => void (draft.limits = structuredClone(PROFILES[chosen.value]) as never),
  )
</script>

<template>
  <div v-if="workbench.build" class="limits">
    <h1>{{ words.title }}: {{ workbench.build.limits.name }}</h1>
    <p class="soft lead">{{ words.lead }}</p>
    <div class="copy">
      <USelect v-model="chosen" :items="profiles" :aria-label="words.profile" class="w-48" />
      <UButton variant="outline" @click="copy">{{ words.copy }}</UButton>
    </div>
    <ul class="list">
      <li v-for="limit in workbench.build.limits.entries" :key="limit.id">
        <LimitFields :limit="limit" />
        <LimitDecides :limit="limit" />
      </li>
    </ul>
  </div>
</template>

<style scoped>
.limits {
  padding: 18px 24px 32px;
  max-width: 1400px;
}
h1 {
  font-size: 1.5rem;
  font-weight: 600;
}
.lead {
  margin: 2px 0 14px;
}
.copy {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-bottom: 14px;
}
.list {
  border-top: 1px solid var(--hair);
}
.list > li {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(340px, 2fr);
  gap: 24px;
  border-bottom: 1px solid var(--hair);
}
@media (max-width: 860px) {
  .limits {
    padding: 14px;
  }
  .list > li {
    grid-template-columns: 100%;
    gap: 0;
  }
}
</style>
