<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import type { CutSide } from '~~/core/sprockets/cutAxle'

/** One side of an axle as it is joined: what is kept of each piece, and the sleeve over the joint, to scale along. */
const { cut, name, isLap } = defineProps<{ cut: CutSide; name: string; isLap: boolean }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 420)
const drawn = computed(() => {
  const wide = Math.max(160, width.value)
  const x = (mm: number) => 10 + (mm / cut.needMm) * (wide - 20)
  const [inner, outer] = cut.keep
  const [bite] = cut.bite
  const from = isLap ? cut.needMm - outer : inner - bite
  const to = isLap ? inner : cut.needMm - outer + bite
  return {
    wide,
    inner: { x: x(0), width: x(inner) - x(0) },
    outer: { x: x(cut.needMm - outer), width: x(cut.needMm) - x(cut.needMm - outer) },
    sleeve: { x: x(from), width: x(to) - x(from) },
  }
})
</script>

<template>
  <div ref="box">
    <svg :viewBox="`0 0 ${drawn.wide} 46`" height="46" width="100%" role="img" :aria-label="name">
      <rect v-bind="drawn.sleeve" y="8" height="30" rx="3" class="sleeve" />
      <rect v-bind="drawn.inner" y="15" height="16" class="piece" />
      <rect v-bind="drawn.outer" y="15" height="16" class="piece other" />
    </svg>
  </div>
</template>

<style scoped>
.piece {
  fill: var(--part);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.other {
  fill: var(--card);
}
.sleeve {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.6;
}
</style>
