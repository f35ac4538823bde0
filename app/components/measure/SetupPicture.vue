<script setup lang="ts">
import type { Setup } from '~~/core/file/build/setup'

/** How the vehicle stands in a setup, front to the left: on what, loaded or not, and which end is low. */
const { setup, rearLowDeg } = defineProps<{ setup: Setup; rearLowDeg: number | null }>()
/** A degree is hardly seen at this size, so the tilt is drawn larger. */
const tilt = computed(() => Math.max(-9, Math.min(9, (rearLowDeg ?? 0) * 3)))
const isLifted = computed(() => setup.standsOn !== 'floor')
const hangs = computed(() => setup.standsOn === 'lift-frame' || setup.standsOn === 'stands')
const lift = computed(() => (isLifted.value ? -26 : 0))
</script>

<template>
  <svg viewBox="0 0 220 120" class="picture" aria-hidden="true">
    <path d="M4 112H216" class="ground" />
    <template v-if="setup.standsOn === 'lift-wheels'">
      <path d="M22 92H198" class="lift" />
      <path d="M30 92V112M190 92V112" class="post" />
    </template>
    <template v-else-if="setup.standsOn === 'lift-frame'">
      <path d="M70 64V112M150 64V112" class="post" />
      <path d="M58 64H82M138 64H162" class="lift" />
    </template>
    <template v-else-if="setup.standsOn === 'stands'">
      <path d="M80 66 70 112M80 66 90 112M142 66 132 112M142 66 152 112" class="post" />
    </template>
    <g :transform="`translate(0 ${lift}) rotate(${tilt} 110 78)`">
      <path d="M18 78H202V86H18Z" class="part" />
      <path d="M26 78V54Q26 40 42 40H78L90 60V78Z" class="part" />
      <path d="M96 78V62H200V78" class="bed" />
      <rect v-if="setup.loaded" x="120" y="40" width="62" height="22" class="load" />
      <circle :cx="56" :cy="hangs ? 104 : 94" r="18" class="wheel" />
      <circle :cx="164" :cy="hangs ? 106 : 94" r="18" class="wheel" />
      <path d="M56 86V90M164 86V90" class="post" />
    </g>
  </svg>
</template>

<style scoped>
.picture {
  width: 100%;
  max-width: 220px;
  display: block;
}
.ground {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.part,
.bed {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.bed {
  fill: none;
}
.load {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.5;
}
.wheel {
  fill: var(--card);
  stroke: var(--part-line);
  stroke-width: 3;
}
.post {
  stroke: var(--soft);
  stroke-width: 3;
  fill: none;
}
.lift {
  stroke: var(--accent);
  stroke-width: 5;
}
</style>
