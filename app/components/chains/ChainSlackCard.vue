<script setup lang="ts">
import type { AdjusterPlace } from '~~/core/sprockets/adjuster'
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import type { Build } from '~~/core/file/build/build'
import { USUAL_WORN_PERCENT } from '~~/core/file/parts/chainLine'
import { adjusterText, percentText, slotEndText } from '~~/core/show/told/chainText'
import { leverAmount } from '~~/core/show/told/leverText'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'
import { useLevers } from '~/stores/levers'

/** How far a chain hangs against what is wanted, and the way of what tightens it. */
const { build, now } = defineProps<{ build: Build; now: ChainEvaluation }>()
const levers = useLevers()
const { length, units } = useFormat()
const words = chainTexts.slack
/** The chain's place in the published result. */
const at = computed(() => `chains[${(build.chains ?? []).findIndex(({ id }) => id === now.chain.id)}]`)
const travelWords = chainTexts.travel
const waits = computed(() => (now.slack.known ? '' : now.slack.missing.map(({ what }) => what).join('; ')))
const facts = computed(() => {
  const { slack, neededMm, centreMm } = now
  const by = slack.known ? (slack.value.by === 'links' ? words.byLinks : words.byReading) : ''
  return [
    ...(slack.known
      ? [
          [words.excess, length(slack.value.excessMm), ''],
          [words.has, length(slack.value.lengthMm), by],
        ]
      : []),
    ...(neededMm.known ? [[words.needs, length(neededMm.value), '']] : []),
    ...(centreMm.known ? [[words.centre, length(centreMm.value), '']] : []),
  ] as [string, string, string][]
})
const adjuster = computed(() => (now.adjuster?.known ? now.adjuster.value : null))
const places = computed(() => {
  const found = adjuster.value
  if (!found) return []
  const row = (key: string, name: string, place: AdjusterPlace) => ({
    key,
    name,
    text: adjusterText(found, place, units.value),
    end: slotEndText(found, place, units.value) ?? '',
  })
  const worn = percentText(now.chain.wornPercent ?? USUAL_WORN_PERCENT)
  return [
    row('right', words.right, found.right),
    row('taut', words.taut, found.taut),
    ...(found.fresh.known ? [row('fresh', words.fresh, found.fresh.value)] : []),
    ...(found.worn.known ? [row('worn', words.worn(worn), found.worn.value)] : []),
  ]
})
/** Where the right slack is, to the step of the lever. */
const wanted = computed(() => {
  const found = adjuster.value
  if (!found || !('at' in found.right)) return null
  const { step } = found.lever
  const amount = Math.round(Math.round(found.right.at / step) * step * 1e6) / 1e6
  return Math.abs(amount - found.standsMm) < step / 2 ? null : amount
})
function set(amount: number) {
  if (!adjuster.value) return
  levers.hold(adjuster.value.lever.id, amount)
  levers.release('Set the slack')
}
</script>

<template>
  <section class="plain-card" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p class="soft">{{ words.help }}</p>
    <p v-if="waits" role="status">{{ chainTexts.pull.waits(waits) }}</p>
    <p v-else-if="now.slack.known" class="slack">
      <span
        >{{ words.now }}
        <strong data-testid="slack-now">
          <template v-if="now.slack.value.playMm === null">{{
            chainTexts.side.tooShort(length(-now.slack.value.excessMm))
          }}</template>
          <AskedFigure
            v-else
            :name="`${at}.slack.playMm`"
            :title="words.now"
            :value="length(now.slack.value.playMm)"
          /> </strong
      ></span>
      <span v-if="now.slack.value.wantedMm" class="soft" data-testid="slack-wanted">{{
        chainTexts.side.wanted(length(now.slack.value.wantedMm[0]), length(now.slack.value.wantedMm[1]))
      }}</span>
    </p>
    <template v-if="adjuster">
      <AdjusterBar :build="build" :adjuster="adjuster" />
      <dl>
        <template v-for="{ key, name, text, end } in places" :key="name">
          <dt>{{ name }}</dt>
          <dd>
            <AskedFigure v-if="end" :name="`${at}.adjuster.${key}Mm`" :title="name" :value="text" />
            <template v-else>{{ text }}</template> <span class="soft end">{{ end }}</span>
          </dd>
        </template>
        <template v-if="adjuster.leftMm.known && !Number.isNaN(adjuster.leftMm.value)">
          <dt>{{ words.left }}</dt>
          <dd>
            <AskedFigure
              :name="`${at}.adjuster.leftMm`"
              :title="words.left"
              :value="length(adjuster.leftMm.value)"
            />
          </dd>
        </template>
      </dl>
      <UButton
        v-if="wanted !== null"
        class="does"
        size="sm"
        variant="outline"
        icon="i-lucide-check"
        @click="set(wanted)"
        >{{ words.set(leverAmount(adjuster.lever, wanted, units)) }}</UButton
      >
    </template>
    <p v-else-if="!now.adjuster" class="soft">{{ words.none }}</p>
    <template v-if="now.travel">
      <h3>{{ travelWords.title }}</h3>
      <dl>
        <dt>{{ travelWords.tightest }}</dt>
        <dd data-testid="chain-tightest">{{ travelWords.at(now.travel.tightest.place) }}</dd>
        <dt>{{ travelWords.slackest }}</dt>
        <dd>{{ travelWords.at(now.travel.slackest.place) }}</dd>
        <dt>{{ travelWords.swing }}</dt>
        <dd>{{ length(now.travel.tightest.neededMm - now.travel.slackest.neededMm) }}</dd>
      </dl>
      <p class="soft">{{ travelWords.hint }}</p>
    </template>
    <dl class="rest">
      <template v-for="[name, value, by] in facts" :key="name">
        <dt>{{ name }}</dt>
        <dd>
          {{ value }} <span class="soft">{{ by }}</span>
        </dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
.does {
  justify-self: start;
}
.slack {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 14px;
}
strong {
  font-family: var(--font-figure);
  font-size: 1.375rem;
  font-weight: 600;
  font-variant-numeric: tabular-nums;
}
.end {
  display: block;
  font-size: 0.875rem;
}
.rest {
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
</style>
