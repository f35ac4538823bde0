<script setup lang="ts">
import { useWindowSize } from '@vueuse/core'
import { useDrawer } from '~/composables/useDrawer'
import { useEvaluation } from '~/stores/evaluation'
import { useLevers } from '~/stores/levers'
import { useWorkbench } from '~/stores/workbench'
import { texts } from '~/texts/en'

const workbench = useWorkbench()
const evaluation = useEvaluation()
const levers = useLevers()
const route = useRoute()
const drawer = useDrawer()
const marked = ref('')
/** The drawing takes half of what the window leaves, so that the checks stand under it. */
const { height: windowHeight } = useWindowSize()
const drawn = computed(() => Math.round(Math.max(260, Math.min(440, (windowHeight.value - 146) * 0.5))))
/** One place that was read is enough to draw; what is missing is said beside it. */
const isKnown = computed(() => {
  const { measured, chains = [] } = evaluation.current ?? {}
  const places = [...(measured?.points.values() ?? [])]
  return places.some((place) => place.known) || chains.some(({ sprockets }) => sprockets.known)
})
const many = computed(() => (workbench.build?.lines.length ?? 0) > 1)
</script>

<template>
  <LineNav />
  <div v-if="workbench.build && evaluation.current" class="line" :class="{ narrow: drawer.kind.value }">
    <div class="middle">
      <WhenSeen v-if="isKnown" v-slot="{ value }" :value="evaluation.current">
        <LineDrawing
          :build="workbench.build"
          :evaluation="value"
          :height="drawn"
          @hold="levers.hold"
          @release="levers.release('Move a lever')"
          @mark="marked = $event"
        />
      </WhenSeen>
      <section v-else class="nothing">
        <h2>{{ texts.line.nothing }}</h2>
        <p class="soft">{{ texts.line.nothingHint }}</p>
        <ul>
          <li v-for="one in evaluation.current.missing.slice(0, 8)" :key="one.what">
            <VerdictMark verdict="unknown" silent /> <MissingWords :missing="[one]" />
          </li>
        </ul>
        <UButton :to="`/b/${route.params.id}/readings`">{{ texts.line.measure }}</UButton>
      </section>
      <LineTabs :build="workbench.build" :evaluation="evaluation.current" :many="many" />
    </div>
    <LeverColumn
      class="levers"
      :build="workbench.build"
      :marked="marked"
      :cautions="[texts.cautions.under, texts.cautions.turning]"
      @mark="marked = $event"
    />
  </div>
</template>

<style scoped>
/* At the bench drawing, list and levers scroll each by itself: the drawing stays in sight. */
@media screen and (min-width: 1021px) {
  .line:not(.narrow) {
    height: calc(100dvh - 146px);
    min-height: 600px;
  }
  .line:not(.narrow) .middle {
    display: grid;
    grid-template-rows: auto minmax(190px, 1fr);
    min-height: 0;
  }
  .line:not(.narrow) :deep(.tabs) {
    display: grid;
    grid-template-rows: auto minmax(0, 1fr);
    min-height: 0;
  }
  .line:not(.narrow) :deep(.tabs > .panel),
  .line:not(.narrow) .levers {
    overflow-y: auto;
  }
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
}
.nothing {
  padding: 48px 36px;
}
.nothing h2 {
  font-size: 1.375rem;
  font-weight: 600;
}
.nothing ul {
  margin: 12px 0 20px;
  display: grid;
  gap: 6px;
}
.nothing li {
  display: flex;
  gap: 10px;
  align-items: center;
}
/* Beside a drawer there is room for the drawing alone; levers and checks stand under it. */
.narrow {
  display: block;
}
.narrow .levers {
  border-left: 0;
  border-top: 1px solid var(--hair);
}
@media (max-width: 1020px) {
  .line {
    display: block;
  }
}
</style>
