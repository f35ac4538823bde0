<script setup lang="ts">
import { GATES } from '~~/core/file/kinds/gateKinds'
import type { GateDay } from '~~/core/jobs/gates/gateDays'
import { GATE_NAMES } from '~~/core/show/text/gateText'
import { shortDay } from '~~/core/show/text/dayText'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { tasks as words } from '~/texts/tasks'

/** The gates that are still to be passed, on the ruler of time: a diamond each, with its number. */
const { marks, days, dayOf } = defineProps<{
  marks: readonly GateDay[]
  days: number
  dayOf: (day: number) => string
}>()
const route = useRoute()
const lane = useTemplateRef<HTMLElement>('lane')
const width = useBoxWidth(lane, 400)
/** From one diamond to the next, in px. */
const APART_PX = 27
/** Each at its day; where they would lie over each other, side by side. */
const shown = computed(() => {
  let [left, right] = [-Infinity, width.value - APART_PX / 2]
  const places = marks.map(({ day }) => (left = Math.max(left + APART_PX, ((day + 1) / days) * width.value)))
  for (let i = places.length - 1; i >= 0; i--, right -= APART_PX) places[i] = Math.min(places[i] ?? 0, right)
  return marks.map((mark, i) => ({
    ...mark,
    number: GATES.indexOf(mark.gate) + 1,
    leftPx: places[i] ?? 0,
    text: words.gateOn(GATES.indexOf(mark.gate) + 1, GATE_NAMES[mark.gate], shortDay(dayOf(mark.day))),
  }))
})
</script>

<template>
  <div class="gates" data-testid="gate-marks">
    <span class="label">{{ words.nav.gates }}</span>
    <div ref="lane" class="lane">
      <NuxtLink
        v-for="mark in shown"
        :key="mark.gate"
        :to="`/b/${String(route.params.id)}/gates`"
        :aria-label="mark.text"
        :title="mark.text"
        :style="{ left: `${mark.leftPx - 10}px` }"
        ><span>{{ mark.number }}</span></NuxtLink
      >
    </div>
  </div>
</template>

<style scoped>
.gates {
  display: grid;
  grid-template-columns: var(--names) minmax(0, 1fr);
  height: 34px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
}
.label {
  padding-left: 14px;
  font-family: var(--font-figure);
  font-weight: 600;
}
.lane {
  position: relative;
  height: 100%;
}
a {
  position: absolute;
  top: 7px;
  display: grid;
  place-items: center;
  width: 20px;
  height: 20px;
  border: 2px solid var(--ink);
  background: var(--card);
  rotate: 45deg;
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 0.75rem;
  line-height: 1;
  color: var(--ink);
}
a span {
  rotate: -45deg;
}
</style>
