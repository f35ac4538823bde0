<script setup lang="ts">
import { placeLabels } from '~~/core/drawing/gapLabels'
import type { SceneGap } from '~~/core/drawing/placeScene'
import type { Pane } from '~~/core/drawing/placePanes'
import { checkValueText } from '~~/core/show/text/checkText'
import type { UnitSettings } from '~~/core/base/units/unitSettings'
import { useLevers } from '~/stores/levers'

/** Gaps where they are: a line from the touch point to the obstacle; what is not well is called out with its figure. */
const { gaps, pane, units, marked } = defineProps<{
  gaps: readonly SceneGap[]
  pane: Pane
  units: UnitSettings
  marked: string
}>()
const emit = defineEmits<{ open: [id: string] }>()
const levers = useLevers()
const MARKED = 'marked'
const LOOKS = ['holds', 'unknown', 'tight', 'out', MARKED] as const
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
    const way = `M${from[0].toFixed(1)} ${from[1].toFixed(1)}L${to[0].toFixed(1)} ${to[1].toFixed(1)}`
    return { ...gap, from, to, way, text, isTold: gap.check.verdict !== 'holds' || gap.id === marked }
  }),
)
/** Gaps of one look are one path: a lever in the hand moves them all, and each thing that is moved takes its share of the frame. */
const strokes = computed(() =>
  LOOKS.map((look) => {
    const alike = drawn.value.filter(({ id, check }) =>
      look === MARKED ? id === marked : check.verdict === look,
    )
    const dot = ([x, y]: readonly [number, number]) => `M${x.toFixed(1)} ${y.toFixed(1)}h0`
    return {
      look,
      // The colour of what is looked at is that of its verdict.
      verdict: look === MARKED ? alike[0]?.check.verdict : look,
      ways: alike.map(({ way }) => way).join(''),
      ends: alike.map(({ from, to }) => dot(from) + dot(to)).join(''),
    }
  }),
)
/** Where a gap can be clicked: nobody clicks one while a lever is in the hand. */
let resting: readonly { id: string; name: string; way: string }[] = []
const reaches = computed(() => {
  if (!levers.isHeld) resting = drawn.value.map(({ id, name, way }) => ({ id, name, way }))
  return resting
})
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
    <g v-for="stroke in strokes" :key="stroke.look" :class="[stroke.look, stroke.verdict]" class="gaps">
      <path :d="stroke.ways" class="way" />
      <path :d="stroke.ends" class="ends" />
    </g>
    <path
      v-for="gap in reaches"
      :key="gap.id"
      :d="gap.way"
      class="reach"
      :data-testid="`gap-${gap.id}`"
      @click="emit('open', gap.id)"
    >
      <title>{{ gap.name }}</title>
    </path>
    <text v-for="label in labels" :key="label.id" :x="label.x" :y="label.y" :class="label.verdict">
      {{ label.text }}
    </text>
  </g>
</template>

<style scoped>
.gaps {
  color: var(--holds);
}
.gaps.tight,
text.tight {
  color: var(--tight);
}
.gaps.out,
text.out {
  color: var(--out);
}
.gaps.unknown,
text.unknown {
  color: var(--soft);
}
text.holds {
  color: var(--holds);
}
.reach {
  cursor: pointer;
  fill: none;
  stroke: transparent;
  stroke-width: 16;
}
.way {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.6;
}
.out .way,
.tight .way,
.marked .way {
  stroke-width: 3;
}
.ends {
  stroke: currentColor;
  stroke-width: 5.2;
  stroke-linecap: round;
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
