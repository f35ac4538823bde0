<script setup lang="ts">
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'
import { checkLabel, likelihoodText, plusMinusText } from '~~/core/show/text/checkText'
import { grouped } from '~~/core/base/units/format'
import { measureAgainSentence } from '~~/core/show/text/measureAgainText'
import { doubtOf } from '~~/core/answers/uncertainty/doubt'
import { texts } from '~/texts/en'
import { useEvaluation } from '~/stores/evaluation'
import type { FactColumn } from '~/composables/factColumn'
import { useReadingLink } from '~/composables/useReadingLink'
import { useSureness } from '~/stores/sureness'

/** How sure each check is, which readings the doubt comes from, and what to measure again. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: Evaluation }>()
const words = texts.sure
const sureness = useSureness()
const advice = computed(() => useEvaluation().advice)
const rows = computed(() =>
  evaluation.checks
    .filter((check) => check.plusMinus)
    .map((check) => ({ check, doubts: sureness.result ? doubtOf(check, sureness.result) : [] })),
)
type SureRow = (typeof rows.value)[number]
const columns = computed((): FactColumn<SureRow>[] => [
  {
    key: 'check',
    label: words.check,
    is: 'head',
    text: ({ check }) => checkLabel(check, build.lines.length > 1),
  },
  {
    key: 'plusMinus',
    label: words.plusMinus,
    is: 'number',
    text: ({ check }) => plusMinusText(check, build.units),
  },
  {
    key: 'likelihood',
    label: words.likelihood,
    is: 'number',
    text: ({ check }) => chance(check.probability),
  },
  { key: 'most', label: words.most, is: 'wide' },
])
const chance = (share: number | null) => (share === null ? '' : likelihoodText(share))
const linkTo = useReadingLink()
const percent = (share: number) => `${Math.round(share * 100)} %`
</script>

<template>
  <div class="sure">
    <div v-if="sureness.isRunning" class="running" role="status">
      {{ words.running }}
      <progress :value="sureness.progress" max="1" :aria-label="words.running" />
      <UButton size="xs" variant="outline" color="neutral" @click="sureness.stop()">{{ words.stop }}</UButton>
    </div>
    <div v-else class="running">
      <span class="soft">
        <template v-if="sureness.failure">{{ words.failed(sureness.failure) }}</template>
        <template v-else-if="sureness.isStopped">{{ words.stopped }}</template>
        <template v-else-if="!sureness.result">{{ words.waiting }}</template>
        <template v-else-if="sureness.result.samples === 0">{{ words.exact }}</template>
        <template v-else>{{ words.lead(grouped(sureness.result.samples)) }}</template>
      </span>
      <UButton
        v-if="sureness.isStopped || sureness.failure"
        size="xs"
        variant="outline"
        @click="sureness.sample()"
        >{{ words.again }}</UButton
      >
    </div>

    <section v-if="sureness.result && sureness.result.samples > 0" :aria-label="words.measure">
      <h3>{{ words.measure }}</h3>
      <ul v-if="advice.length" class="advice">
        <li v-for="one in advice" :key="one.check.id" data-testid="measure-again">
          <VerdictMark :verdict="one.settles ? 'holds' : 'tight'" :size="14" silent />
          <span>{{ measureAgainSentence(build, one) }}</span>
          <NuxtLink :to="linkTo(one.input.readingId)">{{ words.go }}</NuxtLink>
        </li>
      </ul>
      <p v-else class="soft">{{ words.nothing }}</p>
    </section>

    <section v-if="rows.length" :aria-label="words.where">
      <p class="soft">{{ words.where }}</p>
      <FactTable :columns="columns" :rows="rows" :key-of="({ check }) => check.id" is-cards>
        <template #most="{ row }">
          <NuxtLink
            v-for="doubt in row.doubts"
            :key="doubt.input.readingId + doubt.input.field"
            class="doubt"
            :to="linkTo(doubt.input.readingId)"
          >
            <span class="share" :style="{ width: `${Math.round(doubt.share * 56)}px` }" aria-hidden="true" />
            {{ doubt.input.label }} <span class="figure">{{ percent(doubt.share) }}</span>
          </NuxtLink>
        </template>
      </FactTable>
    </section>
  </div>
</template>

<style scoped>
.sure {
  display: grid;
  gap: 12px;
}
.running {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 28px;
}
progress {
  accent-color: var(--accent);
  width: 180px;
}
h3 {
  font-weight: 600;
}
.advice li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
a {
  color: var(--accent);
  text-decoration: underline;
}
.doubt {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  margin-right: 14px;
  color: var(--ink);
  text-decoration: none;
}
.doubt:hover {
  text-decoration: underline;
}
.share {
  display: inline-block;
  height: 9px;
  min-width: 2px;
  background: var(--accent);
}
@media (max-width: 720px) {
  .doubt {
    min-height: 40px;
  }
}
</style>
