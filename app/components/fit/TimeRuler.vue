<script setup lang="ts">
import { shortDay } from '~~/core/show/text/dayText'
import type { WorkTick } from '~~/core/jobs/board/timeRuler'
import { tasks as words } from '~/texts/tasks'

/** The boxwood ruler of time: a mark a week, from today. */
const { ticks, days } = defineProps<{ ticks: readonly WorkTick[]; days: number }>()
</script>

<template>
  <div class="time" aria-hidden="true">
    <span
      v-for="tick in ticks"
      :key="tick.day"
      class="tick"
      :style="{ left: `${(tick.at / days) * 100}%` }"
      >{{ tick.at === 0 ? words.today : shortDay(tick.day) }}</span
    >
  </div>
</template>

<style scoped>
.time {
  position: relative;
  height: 32px;
  background: var(--ruler);
  color: var(--ruler-ink);
}
.tick {
  position: absolute;
  bottom: 0;
  height: 62%;
  padding-left: 5px;
  border-left: 1.5px solid var(--ruler-ink);
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 0.8125rem;
  white-space: nowrap;
}
.tick:first-child {
  height: 100%;
  padding-top: 3px;
}
.tick:last-child {
  border-left-color: transparent;
  transform: translateX(-100%);
}
@media (max-width: 640px) {
  .tick:last-child {
    display: none;
  }
}
</style>
