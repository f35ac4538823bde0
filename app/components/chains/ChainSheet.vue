<script setup lang="ts">
import { chosenPosition } from '~~/core/model/evaluateBuild'
import type { Check } from '~~/core/check/check'
import type { FactColumn } from '~/composables/factColumn'
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import type { Build } from '~~/core/file/build/build'
import { sprocketName } from '~~/core/file/parts/chainLine'
import { checkLabel, checkValueText, marginText, plusMinusText } from '~~/core/show/text/checkText'
import { chainOrder } from '~~/core/show/told/chainOrder'
import { linksText, offsetText, spacerText } from '~~/core/show/told/chainText'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'

/** The sheet for the bench: what to set, in which order, with which figures. */
const { build, now } = defineProps<{ build: Build; now: ChainEvaluation }>()
const { units, length } = useFormat()
const words = chainTexts
const position = computed(() => chosenPosition(build)?.name ?? '')
const order = computed(() => chainOrder(build, now))
const parts = computed(() => [
  [words.chain.pitch, `${Number(now.chain.pitchMm.toFixed(3))} mm`],
  [
    words.chain.links,
    now.chain.links === undefined
      ? now.linksToOrder.known
        ? linksText(now.linksToOrder.value)
        : '?'
      : linksText(now.chain.links),
  ],
  ...now.chain.sprockets.map((sprocket): [string, string] => [
    sprocketName(sprocket),
    `${sprocket.teeth} ${words.sprockets.teeth.toLowerCase()}`,
  ]),
  ...(now.centreMm.known ? [[words.slack.centre, length(now.centreMm.value)]] : []),
])
const columns = computed((): FactColumn<Check>[] => [
  { key: 'check', text: (check) => checkLabel(check, 'within'), is: 'head' },
  {
    key: 'value',
    text: (check) =>
      `${checkValueText(check, check.value, units.value)} ${plusMinusText(check, units.value)}`,
    is: 'figure',
  },
  { key: 'margin', text: (check) => marginText(check, units.value) },
])
const isSure = computed(() => now.checks.some(({ plusMinus }) => plusMinus !== null))
const lines = computed(() =>
  now.aligned.map((one) => ({
    id: one.sprocket.id,
    text: `${sprocketName(one.sprocket)}: ${offsetText(now, one, units.value)}. ${spacerText(now, one, units.value) ?? ''}`,
  })),
)
</script>

<template>
  <article class="sheet">
    <h1>{{ words.sheet.title }}: {{ now.chain.name }}</h1>
    <p>{{ words.sheet.for(build.name, position) }}</p>
    <p class="caution">{{ words.sheet.clear }}</p>
    <p v-if="now.chain.duty === 'steering'" class="caution">{{ words.cautions.steering }}</p>
    <dl>
      <template v-for="[name, value] in parts" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ value }}</dd>
      </template>
    </dl>
    <h2>{{ words.order.title }}</h2>
    <p v-if="order.wrongWayRound">{{ order.wrongWayRound }}</p>
    <ol>
      <li v-for="step in order.steps" :key="step.key">
        <span class="box" aria-hidden="true" /> {{ step.text }}
      </li>
    </ol>
    <h2>{{ words.line.title }}</h2>
    <ul>
      <li v-for="line in lines" :key="line.id">{{ line.text }}</li>
    </ul>
    <h2>{{ words.checks }}</h2>
    <FactTable is-dense :columns="columns" :rows="now.checks" :key-of="({ id }) => id" />
    <p class="soft">{{ isSure ? words.sheet.measured : words.sheet.unsure }}</p>
  </article>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 10px;
  font-size: 0.9375rem;
}
h1 {
  font-size: 1.375rem;
  font-weight: 600;
}
h2 {
  font-weight: 600;
  margin-top: 6px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr auto 1fr;
  gap: 2px 16px;
}
ol {
  display: grid;
  gap: 6px;
}
ol li {
  display: grid;
  grid-template-columns: 18px 1fr;
  gap: 8px;
}
.box {
  width: 13px;
  height: 13px;
  margin-top: 4px;
  border: 1.5px solid currentColor;
}
.caution {
  padding: 6px 10px;
  border-left: 3px solid currentColor;
}
</style>
