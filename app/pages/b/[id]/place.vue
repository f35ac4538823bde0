<script setup lang="ts">
import { texts } from '~/texts/en'
import { useDrawer } from '~/composables/useDrawer'
import { useEvaluation } from '~/stores/evaluation'
import { useLevers } from '~/stores/levers'
import { useWorkbench } from '~/stores/workbench'

/** Place: trials of engine and gearbox in their bay, every gap, and the levers that move them. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const levers = useLevers()
const drawer = useDrawer()
const markedLever = ref('')
const markedGap = ref('')
const isMoved = computed(() => Object.values(levers.settings).some((amount) => amount !== 0))
function lock(leverId: string) {
  workbench.change('Lock or free a lever', (draft) => {
    const lever = draft.levers.find(({ id }) => id === leverId)
    if (lever) lever.locked = lever.locked !== true
  })
}
</script>

<template>
  <div v-if="workbench.build && evaluation.current" class="place" :class="{ narrow: drawer.kind.value }">
    <div class="middle">
      <PlaceBoard
        :build="workbench.build"
        :evaluation="evaluation.current"
        :marked="markedGap || drawer.at.value"
        @hold="levers.hold"
        @release="levers.release('Move a lever')"
        @mark="markedLever = $event"
      />
      <PlaceTabs :build="workbench.build" :evaluation="evaluation.current" @mark="markedGap = $event" />
    </div>
    <aside class="levers" :aria-label="texts.line.levers">
      <h2>{{ texts.line.levers }}</h2>
      <LeverCard
        v-for="lever in workbench.build.levers"
        :key="lever.id"
        :build="workbench.build"
        :lever="lever"
        :amount="levers.settings[lever.id] ?? 0"
        :marked="markedLever === lever.id"
        @hold="levers.hold(lever.id, $event)"
        @release="levers.release('Move a lever')"
        @mark="markedLever = lever.id"
        @lock="lock(lever.id)"
      />
      <div class="foot">
        <UButton
          v-if="isMoved"
          variant="outline"
          size="sm"
          icon="i-lucide-rotate-ccw"
          @click="levers.reset(texts.line.reset)"
          >{{ texts.line.reset }}</UButton
        >
        <p class="soft">{{ texts.line.leverHint }}</p>
        <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ texts.place.liftCaution }}</p>
        <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ texts.cautions.under }}</p>
      </div>
    </aside>
  </div>
</template>

<style scoped>
.place {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  min-height: calc(100dvh - 79px);
}
.levers {
  contain: layout style;
  background: var(--card);
  border-left: 1px solid var(--hair);
}
.levers h2 {
  padding: 12px 16px;
  font-weight: 600;
  border-bottom: 1px solid var(--hair);
}
.foot {
  display: grid;
  gap: 10px;
  padding: 14px 16px;
  font-size: 0.9375rem;
  line-height: 1.3;
}
.caution {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 6px;
  color: var(--soft);
}
.narrow {
  display: block;
}
.narrow .levers {
  border-left: 0;
  border-top: 1px solid var(--hair);
}
@media (max-width: 1020px) {
  .place {
    display: block;
  }
  .levers {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
</style>
