<script setup lang="ts">
import { texts } from '~/texts/en'
import { usePlace } from '~/stores/place'
import { useWorkbench } from '~/stores/workbench'

/** Says what has changed of the chosen position since mounts were made to it; nothing while nothing has. */
const place = usePlace()
const workbench = useWorkbench()
const words = texts.place.positions
const made = computed(
  () => workbench.build?.positions.find(({ id }) => id === workbench.build?.chosen)?.made?.at ?? '',
)
</script>

<template>
  <p v-if="place.changedSince.length > 0" class="made" role="status" data-testid="made-notice">
    <VerdictMark verdict="tight" :size="16" silent />
    <span
      ><b>{{ words.changed(made) }}</b> {{ place.changedSince.join('; ') }}.</span
    >
  </p>
</template>

<style scoped>
.made {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 8px 24px;
  background: var(--tight-band);
  color: var(--ink);
}
</style>
