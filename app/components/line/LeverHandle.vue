<script setup lang="ts">
/** A grip in the drawing: up and down for a mount, an arc for an axle that turns. */
const { x, y, turns, name, along } = defineProps<{
  x: number
  y: number
  turns: boolean
  name: string
  /** The way it goes: right, up. */
  along: readonly [number, number]
}>()
const isAcross = computed(() => !turns && Math.abs(along[0]) > Math.abs(along[1]))
</script>

<template>
  <g
    :transform="`translate(${x.toFixed(1)} ${y.toFixed(1)})`"
    class="handle"
    :class="{ across: isAcross }"
    :data-testid="`handle-${turns ? 'turn' : 'lift'}`"
  >
    <title>{{ name }}</title>
    <rect
      :x="turns ? -8 : isAcross ? -32 : -16"
      :y="turns ? -30 : isAcross ? -16 : -14"
      :width="turns ? 44 : isAcross ? 64 : 32"
      :height="turns ? 60 : isAcross ? 32 : 66"
      fill="transparent"
    />
    <path
      v-if="turns"
      d="M14 -24a30 30 0 0 1 0 48M14 -24l9 1M14 -24l2 9M14 24l9 -1M14 24l2 -9"
      class="arrow"
    />
    <path v-else-if="isAcross" d="M-26 0H26M-26 0l7 -6M-26 0l7 6M26 0l-7 -6M26 0l-7 6" class="arrow" />
    <path v-else d="M0 20V46M0 20l-6 7M0 20l6 7M0 46l-6 -7M0 46l6 -7" class="arrow" />
  </g>
</template>

<style scoped>
.handle {
  cursor: ns-resize;
  touch-action: none;
}
.across {
  cursor: ew-resize;
}
.arrow {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2.4;
  stroke-linecap: round;
}
.handle:hover .arrow {
  stroke-width: 4;
}
</style>
