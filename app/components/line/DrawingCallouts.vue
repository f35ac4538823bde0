<script setup lang="ts">
import type { SceneCallout } from '~~/core/drawing/lineScene'
import { calloutBoxes } from '~~/core/drawing/calloutBoxes'
import type { Projection } from '~~/core/drawing/projection'
import { checkLabel, checkValueText, marginText } from '~~/core/text/checkText'
import type { UnitSettings } from '~~/core/units/unitSettings'

/** Remarks on what is tight or out, in a lane above the line, each with a leader to its place. */
const { callouts, projection, width, units } = defineProps<{
  callouts: readonly SceneCallout[]
  projection: Projection
  width: number
  units: UnitSettings
}>()
const BOX = { width: 214, height: 44 }
const boxes = computed(() => calloutBoxes(callouts, projection, width, BOX))
</script>

<template>
  <g>
    <g v-for="box in boxes" :key="box.callout.id" :class="box.callout.checks[0]?.verdict">
      <path :d="`M${box.x + BOX.width / 2} ${box.y + BOX.height}L${box.toX} ${box.toY}`" class="leader" />
      <rect :x="box.x" :y="box.y" :width="BOX.width" :height="BOX.height" rx="3" class="box" />
      <template v-if="box.callout.checks[0]">
        <text :x="box.x + 10" :y="box.y + 18" class="value">
          {{ checkLabel(box.callout.checks[0]).replace(' at ride', '') }} ·
          {{ checkValueText(box.callout.checks[0], box.callout.checks[0].value, units) }}
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
