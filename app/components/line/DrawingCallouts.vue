<script setup lang="ts">
import type { Check } from '~~/core/check/check'
import type { SceneCallout } from '~~/core/drawing/lineScene'
import { calloutBoxes } from '~~/core/drawing/calloutBoxes'
import type { Projection } from '~~/core/drawing/projection'
import { checkLabel, checkValueText, marginText } from '~~/core/show/text/checkText'
import type { UnitSettings } from '~~/core/base/units/unitSettings'

/** Remarks on what is tight or out, in a lane above the line, each with a leader to its place. */
const { callouts, projection, width, units } = defineProps<{
  callouts: readonly SceneCallout[]
  projection: Projection
  width: number
  units: UnitSettings
}>()
/** Width of a letter, and of the narrowest box, in px. */
const LETTER = 7.3
const LEAST = 214
/** Each box has room for the longest of what is said. */
const size = computed(() => {
  const longest = Math.max(0, ...callouts.map(({ checks: [first] }) => (first ? said(first).length : 0)))
  return { width: Math.min(width - 20, Math.max(LEAST, longest * LETTER + 20)), height: 44 }
})
const said = (check: Check) =>
  `${checkLabel(check).replace(' at ride', '')} · ${checkValueText(check, check.value, units)}`
const boxes = computed(() => calloutBoxes(callouts, projection, width, size.value))
</script>

<template>
  <g>
    <g v-for="box in boxes" :key="box.callout.id" :class="box.callout.checks[0]?.verdict">
      <path :d="`M${box.x + size.width / 2} ${box.y + size.height}L${box.toX} ${box.toY}`" class="leader" />
      <rect :x="box.x" :y="box.y" :width="size.width" :height="size.height" rx="3" class="box" />
      <template v-if="box.callout.checks[0]">
        <text :x="box.x + 10" :y="box.y + 18" class="value">
          {{ said(box.callout.checks[0]) }}
        </text>
        <text :x="box.x + 10" :y="box.y + 35" class="margin">
          {{ marginText(box.callout.checks[0], units)
          }}{{ box.callout.checks.length > 1 ? `, ${box.callout.checks.length - 1} more` : '' }}
        </text>
      </template>
    </g>
  </g>
</template>

<style scoped>
.box {
  fill: var(--card);
  stroke-width: 1.8;
}
.leader {
  fill: none;
  stroke-width: 1.2;
}
.out > .box,
.out > .leader {
  stroke: var(--out);
}
.tight > .box,
.tight > .leader {
  stroke: var(--tight);
}
.value {
  fill: var(--ink);
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 15px;
}
.margin {
  fill: var(--soft);
  font-size: 13.5px;
}
</style>
