<script setup lang="ts">
import { windowBar, type BarStretch } from '~~/core/drawing/windowBar'
import type { Check } from '~~/core/check/check'

/** Where a value stands in its window. What a lever moves is shifted, never laid out anew: many of these move in one frame. */
const { check } = defineProps<{ check: Check }>()
const bar = computed(() => windowBar(check))
const percent = (share: number) => `${(share * 100).toFixed(2)}%`
const stretch = ({ from, to }: BarStretch) => ({
  left: percent(from),
  width: percent(Math.max(0, to - from)),
})
const shift = (share: number) => ({ transform: `translateX(${percent(share)})` })
/** Both ends as shares of the bar: two lines and what lies between them, scaled. */
const between = ({ from, to }: BarStretch) => ({
  transform: `translateX(${percent(from)}) scaleX(${to - from})`,
})
/** At either end the tick keeps inside. */
const tick = computed(() => (bar.value.tick === null ? null : Math.max(0.01, Math.min(0.99, bar.value.tick))))
</script>

<template>
  <span class="bar" aria-hidden="true" data-testid="window-bar">
    <i v-for="(strip, i) in bar.warning" :key="i" class="band warning" :style="stretch(strip)" />
    <i v-if="bar.allowed" class="band allowed" :style="stretch(bar.allowed)" />
    <i class="base" />
    <template v-if="bar.whisker">
      <i class="end" :style="shift(bar.whisker.from)" />
      <i class="span" :style="between(bar.whisker)" />
      <i class="end" :style="shift(bar.whisker.to)" />
    </template>
    <i v-if="tick !== null" class="tick" :style="shift(tick)" />
  </span>
</template>

<style scoped>
.bar {
  position: relative;
  display: block;
  width: 100%;
  height: 16px;
  overflow: hidden;
  contain: strict;
}
i {
  position: absolute;
}
.band {
  top: 3px;
  height: 9px;
}
.allowed {
  background: var(--holds-band);
}
.warning {
  background: var(--tight-band);
}
.base {
  inset: 12px 0 auto;
  border-top: 1px solid var(--hair);
}
/* As wide as the bar, so that a shift by a share of itself is one by a share of the bar. */
.tick,
.end,
.span {
  inset: 0;
}
.span {
  inset: 7px 0 auto;
  border-top: 1.5px solid var(--ink);
  transform-origin: 0 0;
}
.tick::before,
.end::before {
  content: '';
  position: absolute;
  inset: 0 auto 0 -1.5px;
  width: 3px;
  background: var(--ink);
}
.end::before {
  inset: 4px auto 6px -0.75px;
  width: 1.5px;
}
</style>
