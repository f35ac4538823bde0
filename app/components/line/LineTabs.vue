<script setup lang="ts">
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'
import { useDrawer } from '~/composables/useDrawer'
import { texts } from '~/texts/en'
import { useSureness } from '~/stores/sureness'

/** Under the drawing: checks, figures, or a chart, which is loaded when it is first looked at. */
const { build, evaluation, many } = defineProps<{ build: Build; evaluation: Evaluation; many: boolean }>()
const sureness = useSureness()
const drawer = useDrawer()
const TABS = ['checks', 'figures', 'sure', 'turn', 'speed', 'gears'] as const
const tab = ref<(typeof TABS)[number]>('checks')
const halves = computed(() => {
  const half = Math.ceil(evaluation.checks.length / 2)
  return [evaluation.checks.slice(0, half), evaluation.checks.slice(half)]
})
const tabs = TABS.map((key) => ({ key, label: texts.line[key] }))
</script>

<template>
  <TabbedPanel v-model="tab" :tabs="tabs">
    <template v-if="tab === 'checks'">
      <div class="halves" :class="{ narrow: drawer.kind.value }">
        <ul v-for="(half, i) in halves" :key="i">
          <WhenSeen v-for="check in half" :key="check.id" v-slot="{ value }" :value="check" tag="li">
            <CheckRow :check="value" :units="build.units" :many="many" />
          </WhenSeen>
        </ul>
      </div>
      <p v-if="evaluation.assumptions.length" class="assumed">
        <strong>{{ texts.line.assumed }}:</strong> {{ evaluation.assumptions.join('; ') }}.
      </p>
    </template>
    <SurePanel v-else-if="tab === 'sure'" :build="build" :evaluation="evaluation" />
    <template v-for="line in evaluation.lines" v-else :key="line.line.id">
      <h3 v-if="many" class="line-name">{{ line.line.name }}</h3>
      <FigureTable v-if="tab === 'figures'" :build="build" :evaluation="line" :sureness="sureness.result" />
      <LazyTurnPanel v-else-if="tab === 'turn'" :evaluation="line" />
      <LazyPermittedPanel v-else-if="tab === 'speed'" :evaluation="line" :limits="build.limits.entries" />
      <LazyGearPanel v-else :build="build" :evaluation="line" />
    </template>
  </TabbedPanel>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 24px;
}
.assumed {
  margin-top: 10px;
  font-size: 0.9375rem;
  color: var(--soft);
}
.line-name {
  font-weight: 600;
  margin: 8px 0;
}
.narrow {
  grid-template-columns: 1fr;
}
/* Two columns only where no name has to wrap over its figures. */
@media (max-width: 1800px) {
  .halves {
    grid-template-columns: 1fr;
  }
}
</style>
