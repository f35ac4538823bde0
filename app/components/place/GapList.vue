<script setup lang="ts">
import type { Evaluation } from '~~/core/model/evaluateBuild'
import { byWorst } from '~~/core/file/limits/worst'
import type { Build } from '~~/core/file/build/build'
import { formatLength } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useDrawer } from '~/composables/useDrawer'
import { useTurns } from '~/composables/useTurns'
import { useBay } from '~/stores/bay'
import { useLevers } from '~/stores/levers'

/** All gaps, gravest and tightest first, and what has to be cut. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: Evaluation }>()
const emit = defineEmits<{ mark: [gapId: string] }>()
const drawer = useDrawer()
const words = texts.place
const levers = useLevers()
const bay = useBay()
/** Rows keep their places while a lever is in the hand: nobody reads a list that jumps. */
const order = shallowRef<readonly string[]>([])
watch(
  () => [evaluation.gaps, levers.isHeld] as const,
  ([gaps, isHeld]) => {
    if (isHeld && order.value.length === gaps.length) return
    order.value = [...gaps].sort((a, b) => byWorst(a.check, b.check)).map(({ gap }) => gap.id)
  },
  { immediate: true },
)
const shown = useTurns(
  () => evaluation.gaps,
  ({ gap }) => gap.id,
  () => levers.isHeld,
)
const halves = computed(() => {
  const rows = order.value.flatMap((id) => shown.get(id) ?? [])
  const half = Math.ceil(rows.length / 2)
  return [rows.slice(0, half), rows.slice(half)]
})
const cuts = computed(() =>
  evaluation.gaps.flatMap(({ ride }) => (ride.known && ride.value.gapMm < 0 ? [-ride.value.gapMm] : [])),
)
</script>

<template>
  <div v-if="evaluation.gaps.length === 0" class="none">
    <h3>{{ words.noGaps }}</h3>
    <p class="soft">{{ words.noGapsHint }}</p>
    <UButton icon="i-lucide-plus" @click="drawer.open('gaps')">{{ words.addGap }}</UButton>
  </div>
  <template v-else>
    <div class="halves" :class="{ narrow: drawer.kind.value }">
      <GapRows
        v-for="(half, i) in halves"
        :key="i"
        :rows="half"
        :units="build.units"
        @mark="emit('mark', $event)"
      />
    </div>
    <div class="foot">
      <UButton icon="i-lucide-plus" variant="outline" size="sm" @click="drawer.open('gaps')">{{
        words.addGap
      }}</UButton>
      <p data-testid="cuts">
        {{
          cuts.length === 0
            ? words.noCuts
            : words.cuts(cuts.length, formatLength(Math.max(...cuts), build.units))
        }}
      </p>
    </div>
    <ul v-if="bay.unread.length" class="drawn" data-testid="drawn-gaps">
      <li v-for="one in bay.unread" :key="one.gap">
        {{ words.drawn(one.name, formatLength(one.mm, build.units), texts.bay.close.views[one.view]) }}
      </li>
    </ul>
    <RockList />
    <TwoSidedList :evaluation="evaluation" :units="build.units" />
    <CutList :evaluation="evaluation" :units="build.units" />
  </template>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 24px;
}
/* What is scrolled out of sight is neither laid out nor painted while a lever moves. */
.halves :deep(li) {
  content-visibility: auto;
  contain-intrinsic-size: auto 34px;
}
.narrow {
  grid-template-columns: 1fr;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin-top: 12px;
  color: var(--soft);
}
.drawn {
  margin-top: 8px;
  color: var(--soft);
}
.none {
  max-width: 58ch;
  padding: 10px 0 20px;
}
.none h3 {
  font-weight: 600;
  font-size: 1.125rem;
}
.none p {
  margin: 4px 0 12px;
}
@media (max-width: 1800px) {
  .halves {
    grid-template-columns: 1fr;
  }
}
</style>
