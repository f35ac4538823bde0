<script setup lang="ts">
import { texts } from '~/texts/en'
import { useTracing } from '~/stores/tracing'

/** What depth does to what was traced. */
const tracing = useTracing()
const words = texts.trace
</script>

<template>
  <section class="depth" :aria-label="words.depth">
    <h2>{{ words.depth }}</h2>
    <div class="pair">
      <FigureField
        :label="words.camera"
        kind="length"
        of="photos.scale.cameraMm"
        :value="tracing.draft.cameraMm"
        @change="tracing.change({ cameraMm: $event })"
      />
      <FigureField
        :label="words.nearer"
        :help="words.nearerHint"
        kind="length"
        of="photos.scale.nearerMm"
        :value="tracing.draft.nearerMm"
        @change="tracing.change({ nearerMm: $event })"
      />
    </div>
    <p v-if="tracing.depth" role="status" data-testid="trace-depth">{{ tracing.depth }}</p>
    <p v-else class="soft">{{ words.depthAsk }}</p>
    <p class="caution">{{ words.depthCaution }}</p>
  </section>
</template>

<style scoped>
.depth {
  display: grid;
  gap: 10px;
}
h2 {
  font-weight: 600;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.caution {
  padding: 8px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
  line-height: 1.35;
}
</style>
