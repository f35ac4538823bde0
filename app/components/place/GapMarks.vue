<script setup lang="ts">
import { placeLabels } from '~~/core/drawing/gapLabels'
import type { SceneGap } from '~~/core/drawing/placeScene'
import type { Pane } from '~~/core/drawing/placePanes'
import { checkValueText } from '~~/core/text/checkText'
import type { UnitSettings } from '~~/core/units/unitSettings'

/** Gaps where they are: a line from the touch point to the obstacle; what is not well is called out with its figure. */
const { gaps, pane, units, marked } = defineProps<{
  gaps: readonly SceneGap[]
  pane: Pane
  units: UnitSettings
  marked: string
}>()
const emit = defineEmits<{ open: [id: string] }>()
/** About how wide a letter of a label is, in px. */
const LETTER = 7.2
const own = computed(() => gaps.filter(({ view }) => view === pane.view))
const at = ([across, up]: readonly [number, number]) =>
  [pane.projection.x(across), pane.projection.sideY(up)] as const
const shortName = (name: string) => name.split(' to ')[1] ?? name
const drawn = computed(() =>
  own.value.map((gap) => {
    const [from, to] = [at(gap.from), at(gap.to)]
    const text = `${shortName(gap.name)} ${checkValueText(gap.check, gap.check.value, units).replace(/ mm$/, '')}`
    return { ...gap, from, to, text, isTold: gap.check.verdict !== 'holds' || gap.id === marked }
  }),
)
const labels = computed(() => {
  const told = drawn.value.filter(({ isTold }) => isTold)
  const placed = placeLabels(
    told.map(({ id, from, to, text }) => ({
      id,
      at: [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const,
      width: text.length * LETTER,
    })),
    [pane.width, pane.height],
  )
  return placed.flatMap((label) => {
    const gap = told.find(({ id }) => id === label.id)
    return gap ? [{ ...label, text: gap.text, verdict: gap.check.verdict }] : []
  })
})
</script>

<template>
  <g>
    <g
      v-for="gap in drawn"
      :key="gap.id"
      :class="[gap.check.verdict, { marked: gap.id === marked }]"
      class="gap"
      :data-testid="`gap-${gap.id}`"
      @click="emit('open', gap.id)"
    >
      <title>{{ gap.name }}</title>
      <path :d="`M${gap.from[0]} ${gap.from[1]}L${gap.to[0]} ${gap.to[1]}`" class="reach" />
      <path :d="`M${gap.from[0]} ${gap.from[1]}L${gap.to[0]} ${gap.to[1]}`" class="way" />
      <circle :cx="gap.from[0]" :cy="gap.from[1]" r="2.6" />
      <circle :cx="gap.to[0]" :cy="gap.to[1]" r="2.6" />
    </g>
    <text v-for="label in labels" :key="label.id" :x="label.x" :y="label.y" :class="label.verdict">
      {{ label.text }}
    </text>
  </g>
</template>

<style scoped>
.gap {
  cursor: pointer;
  color: var(--holds);
}
.gap.tight,
text.tight {
  color: var(--tight);
}
.gap.out,
text.out {
  color: var(--out);
}
.gap.unknown,
text.unknown {
  color: var(--soft);
}
text.holds {
  color: var(--holds);
}
.reach {
  stroke: transparent;
  stroke-width: 16;
}
.way {
  stroke: currentColor;
  stroke-width: 1.6;
}
.out .way,
.tight .way,
.marked .way {
  stroke-width: 3;
}
circle {
  fill: currentColor;
}
text {
  fill: currentColor;
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 14px;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  pointer-events: none;
}
</style>
