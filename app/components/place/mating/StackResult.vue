<script setup lang="ts">
import type { StackScale } from '~~/core/bay/mating/stackScene'
import type { Known } from '~~/core/base/known'
import type { StackAnswer } from '~~/core/bay/mating/matingOf'
import type { Stack } from '~~/core/file/parts/mating'
import { fixed } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useMating } from '~/stores/mating'

/** What is left over of a stack: its figure, its window and how far it may scatter. */
const { stack, answer, scale } = defineProps<{
  stack: Stack
  answer: Known<StackAnswer>
  scale: StackScale | null
}>()
const mating = useMating()
const words = texts.mating
const { length } = useFormat()
const percent = (share: number) => `${(share * 100).toFixed(2)}%`
const range = ([low, high]: readonly [number, number]) => `${length(low)} to ${length(high)}`
const outside = computed(() =>
  answer.known && scale?.window ? answer.value.below + answer.value.above : null,
)
</script>

<template>
  <div class="result">
    <p class="figure-line">
      <VerdictMark :verdict="answer.known ? (answer.value.verdict ?? 'unknown') : 'unknown'" />
      <span class="soft">{{ words.result }}</span>
      <b class="figure big">{{ answer.known ? length(answer.value.nominal) : '?' }}</b>
      <span v-if="answer.known && answer.value.verdict" class="word" :class="answer.value.verdict">{{
        answer.value.verdict
      }}</span>
    </p>
    <div v-if="answer.known && scale" class="scale" aria-hidden="true">
      <span
        v-if="scale.window"
        class="window"
        :style="{ left: percent(scale.window[0]), width: percent(scale.window[1] - scale.window[0]) }"
      />
      <span
        class="worst"
        :style="{ left: percent(scale.worst[0]), width: percent(scale.worst[1] - scale.worst[0]) }"
      />
      <span
        class="likely"
        :style="{ left: percent(scale.likely[0]), width: percent(scale.likely[1] - scale.likely[0]) }"
      />
      <span class="nominal" :style="{ left: percent(scale.nominal) }" />
      <small v-for="mark in scale.marks" :key="mark.mm" class="figure" :style="{ left: percent(mark.at) }">{{
        length(mark.mm)
      }}</small>
    </div>
    <dl v-if="answer.known">
      <div>
        <dt>{{ words.worst }}</dt>
        <dd class="figure">{{ range(answer.value.worst) }}</dd>
      </div>
      <div>
        <dt>{{ words.likely }}</dt>
        <dd class="figure">{{ range([answer.value.quantiles[0], answer.value.quantiles[2]]) }}</dd>
      </div>
      <div v-if="outside !== null && outside > 0.0005">
        <dt class="figure" :class="answer.value.verdict">{{ words.outside(fixed(100 * outside, 1)) }}</dt>
      </div>
    </dl>
    <ul v-else class="missing">
      <li v-for="one in answer.missing" :key="one.what">{{ one.what }}</li>
    </ul>
    <div class="limits">
      <FigureField
        :label="words.least"
        kind="length"
        of="mating.stacks.minMm"
        :value="stack.minMm"
        @change="mating.changeStack(stack.id, { minMm: $event })"
      />
      <FigureField
        :label="words.most"
        kind="length"
        of="mating.stacks.maxMm"
        :value="stack.maxMm"
        @change="mating.changeStack(stack.id, { maxMm: $event })"
      />
    </div>
  </div>
</template>

<style scoped>
.result {
  display: grid;
  grid-template-columns: 220px minmax(180px, 1fr) minmax(230px, auto) 220px;
  gap: 6px 20px;
  align-items: center;
}
.figure-line {
  display: flex;
  gap: 8px;
  align-items: baseline;
  white-space: nowrap;
}
.big {
  font-size: 1.35rem;
}
.word {
  font-weight: 600;
}
.holds {
  color: var(--holds);
}
.tight {
  color: var(--tight);
}
.out {
  color: var(--out);
}
.scale {
  position: relative;
  height: 44px;
}
.scale > span,
.scale > small {
  position: absolute;
}
.window {
  top: 4px;
  height: 22px;
  background: var(--holds-band);
}
.worst {
  top: 14px;
  height: 2px;
  background: var(--ink);
}
.likely {
  top: 11px;
  height: 8px;
  background: var(--accent);
  opacity: 0.75;
}
.nominal {
  top: 6px;
  width: 3px;
  height: 18px;
  margin-left: -1.5px;
  background: var(--ink);
}
small {
  top: 27px;
  transform: translateX(-50%);
  white-space: nowrap;
  color: var(--soft);
}
dl div {
  display: flex;
  gap: 10px;
  justify-content: space-between;
  white-space: nowrap;
}
dt {
  color: var(--soft);
}
.missing {
  grid-column: span 2;
  color: var(--soft);
}
.limits {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
@media (max-width: 1100px) {
  .result {
    grid-template-columns: 1fr 1fr;
  }
}
@media (max-width: 620px) {
  .result {
    grid-template-columns: 1fr;
  }
  .missing {
    grid-column: auto;
  }
}
</style>
