<script setup lang="ts">
import { nodeName } from '~~/core/show/text/workText'
import type { Lane, LaneBar, LaneScene } from '~~/core/jobs/board/laneScene'
import { tasks as words } from '~/texts/tasks'
import { useTasks } from '~/stores/tasks'

/** All that is to come at a glance: the hands, what is on its way, what of the vehicle is off. */
const { scene } = defineProps<{ scene: LaneScene }>()
const tasks = useTasks()
const share = (days: number) => `${(days / scene.days) * 100}%`
function laneName({ of, bars, key }: Lane): string {
  if (of === 'hands') return words.lanes.hands
  const [bar] = bars
  if (of === 'way') return bar?.planned ? nameOf(bar) : ''
  return words.lanes.off(tasks.removals.find(({ id }) => id === key)?.name ?? key)
}
function nameOf({ planned }: LaneBar): string {
  if (!planned) return ''
  const { node } = planned
  return node.task
    ? (node.task.entry?.name ?? nodeName(node, tasks.removals))
    : nodeName(node, tasks.removals)
}
/** A bar that is narrower than this holds no word, as a share of the board. */
const LEAST_SHARE = 0.09
const isWide = ({ from, to }: LaneBar) => (to - from) / scene.days > LEAST_SHARE
</script>

<template>
  <section class="lanes" :aria-label="words.lanes.board" data-testid="lanes">
    <div class="row ruler">
      <span />
      <TimeRuler :ticks="scene.ticks" :days="scene.days" />
    </div>
    <div v-for="lane in scene.lanes" :key="`${lane.of}/${lane.key}`" class="row">
      <span class="name">{{ laneName(lane) }}</span>
      <div class="lane">
        <span
          v-for="(bar, k) in lane.bars"
          :key="k"
          class="bar"
          :class="[lane.of, bar.sort, { deciding: bar.isDeciding }]"
          :style="{ left: share(bar.from), width: share(bar.to - bar.from) }"
          :title="nameOf(bar)"
          >{{ lane.of === 'hands' && isWide(bar) ? nameOf(bar) : '' }}</span
        >
        <span v-if="lane.of === 'hands'" class="end" :style="{ left: share(scene.finish) }" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.lanes {
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
  overflow: hidden;
}
.row {
  display: grid;
  grid-template-columns: clamp(90px, 20%, 210px) minmax(0, 1fr);
  min-height: 38px;
  border-top: 1px solid var(--hair);
}
.ruler {
  min-height: 32px;
  border-top: 0;
  background: var(--ruler);
}
.name {
  overflow: hidden;
  align-self: center;
  padding: 0 10px 0 14px;
  font-family: var(--font-figure);
  font-weight: 600;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name:first-letter {
  text-transform: capitalize;
}
.lane {
  position: relative;
}
.bar {
  position: absolute;
  top: 6px;
  bottom: 6px;
  overflow: hidden;
  min-width: 3px;
  padding: 0 4px;
  border-radius: 2px;
  border: 2px solid var(--card);
  background: var(--accent);
  color: var(--on-accent);
  font-family: var(--font-figure);
  font-size: 0.8125rem;
  line-height: 21px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.bar.hands.move {
  background: var(--part-line);
}
.bar.way {
  border-color: var(--ruler-ink);
  background: var(--ruler);
}
.bar.off {
  top: 12px;
  bottom: 12px;
  border: 1px solid var(--part-line);
  background: repeating-linear-gradient(135deg, var(--part) 0 5px, var(--card) 5px 9px);
}
.bar.deciding::after {
  content: '';
  position: absolute;
  inset: auto 0 0 0;
  height: 5px;
  background: var(--out);
}
.end {
  position: absolute;
  top: 8px;
  width: 20px;
  height: 20px;
  margin-left: -10px;
  background: var(--card);
  border: 2.5px solid var(--ink);
  transform: rotate(45deg) scale(0.75);
}
@media (max-width: 640px) {
  .row {
    grid-template-columns: 34% minmax(0, 1fr);
  }
}
</style>
