<script setup lang="ts">
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
const isKnown = computed(() => evaluation.current?.lines.some((line) => line.ride.known) ?? false)
const many = computed(() => (workbench.build?.lines.length ?? 0) > 1)
/** A locked lever stays where it stands when a setting is looked for; by hand it can be moved as before. */
function lock(leverId: string) {
  workbench.change('Lock or free a lever', (draft) => {
    const lever = draft.levers.find(({ id }) => id === leverId)
    if (lever) lever.locked = lever.locked !== true
  })
}
const isMoved = computed(() => Object.values(levers.settings).some((amount) => amount !== 0))
</script>

<template>
  <div v-if="workbench.build && evaluation.current" class="line" :class="{ narrow: drawer.kind.value }">
    <div class="middle">
      <LineDrawing
        v-if="isKnown"
        :build="workbench.build"
        :evaluation="evaluation.current"
        @hold="levers.hold"
        @release="levers.release('Move a lever')"
        @mark="marked = $event"
      />
      <section v-else class="nothing">
        <h2>{{ texts.line.nothing }}</h2>
        <p class="soft">{{ texts.line.nothingHint }}</p>
        <ul>
          <li v-for="one in evaluation.current.missing.slice(0, 8)" :key="one.what">
            <VerdictMark verdict="unknown" silent /> {{ one.what }}
          </li>
        </ul>
        <UButton :to="`/b/${route.params.id}/readings`">{{ texts.line.measure }}</UButton>
      </section>
      <LineTabs :build="workbench.build" :evaluation="evaluation.current" :many="many" />
    </div>
    <aside class="levers" :aria-label="texts.line.levers">
      <h2>{{ texts.line.levers }}</h2>
      <LeverCard
        v-for="lever in workbench.build.levers"
        :key="lever.id"
        :build="workbench.build"
        :lever="lever"
        :amount="levers.settings[lever.id] ?? 0"
        :marked="marked === lever.id"
        @hold="levers.hold(lever.id, $event)"
        @release="levers.release('Move a lever')"
        @mark="marked = lever.id"
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
        <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ texts.cautions.under }}</p>
        <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ texts.cautions.turning }}</p>
      </div>
    </aside>
  </div>
</template>

<style scoped>
.line {
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
  .levers {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
</style>
