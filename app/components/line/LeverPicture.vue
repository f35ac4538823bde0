<script setup lang="ts">
import { leverFacts, type LeverKind } from '~~/core/file/build/lever'

/** The thing in the hand: a stack of spacers under the tail, or a wedge between spring and axle. */
const { kind, amount, range } = defineProps<{
  kind: LeverKind
  amount: number
  range: readonly [number, number]
}>()
const share = computed(() =>
  Math.max(-1, Math.min(1, amount / Math.max(Math.abs(range[0]), Math.abs(range[1]), 1e-6))),
)
/** A stack grows by up to 22 px; a wedge tips by up to 12 degrees on its picture. */
const stack = computed(() => Math.max(2, 12 + share.value * 11))
/** In slots forward and left are to the left in the picture. */
const picture = computed(() => leverFacts(kind).picture)
const shift = computed(() => share.value * -12)
const tip = computed(() => share.value * 12)
</script>

<template>
  <svg viewBox="0 0 60 60" aria-hidden="true" class="lever-picture">
    <g v-if="picture === 'wedge'">
      <path d="M6 16H54M6 21H54" class="leaf" />
      <path :d="`M8 27H52V${33 - tip / 2}L8 ${33 + tip / 2}Z`" class="moves" />
      <g :transform="`rotate(${-tip / 2} 30 36)`">
        <path d="M12 35H48V41H12Z" class="part" />
        <circle cx="30" cy="49" r="8" class="part" />
      </g>
    </g>
    <g v-else-if="picture === 'adapter'">
      <path d="M6 16H24V44H6Z" class="part" />
      <rect x="24" y="14" :width="stack / 2" height="32" class="moves" />
      <path :d="`M${24 + stack / 2} 20L${40 + stack / 2} 24V36L${24 + stack / 2} 40Z`" class="part" />
    </g>
    <g v-else-if="picture === 'link'">
      <path :d="`M14 30H${36 + stack / 2}`" class="bar" />
      <circle cx="12" cy="30" r="7" class="part" />
      <circle :cx="38 + stack / 2" cy="30" r="7" class="part" />
    </g>
    <g v-else-if="picture === 'strap'">
      <path d="M10 12H50V18H10Z" class="part" />
      <path :d="`M30 18V${50 - stack / 2}`" class="bar" />
      <circle cx="30" :cy="50 - stack / 2" r="6" class="part" />
    </g>
    <g v-else-if="picture === 'slots'">
      <path d="M6 34H54V42H6Z" class="part" />
      <g :transform="`translate(${shift} 0)`">
        <path d="M20 16H40V34H20Z" class="moves" />
        <circle cx="30" cy="25" r="3.5" class="part" />
      </g>
      <path d="M14 51H46M14 51l5 -4M14 51l5 4M46 51l-5 -4M46 51l-5 4" class="seam" fill="none" />
    </g>
    <g v-else>
      <path :d="`M16 ${40 - stack - 14}H44V${40 - stack}H16Z`" class="part" />
      <rect x="20" :y="40 - stack" width="20" :height="stack" class="moves" />
      <path v-if="stack > 8" :d="`M20 ${40 - stack / 2}H40`" class="seam" />
      <path d="M8 40H52V46H38L34 54H26L22 46H8Z" class="part" />
    </g>
  </svg>
</template>

<style scoped>
.lever-picture {
  width: 60px;
  height: 60px;
  contain: strict;
}
.part {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.4;
}
.moves {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.8;
}
.seam {
  stroke: var(--accent);
  stroke-width: 1.2;
}
.bar {
  stroke: var(--accent);
  stroke-width: 5;
}
.leaf {
  stroke: var(--part-line);
  stroke-width: 3;
}
</style>
