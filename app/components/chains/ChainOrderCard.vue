<script setup lang="ts">
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import type { Build } from '~~/core/file/build/build'
import { chainOrder } from '~~/core/show/told/chainOrder'
import { chainTexts } from '~/texts/chains'

/** The order of work at a chain, and a word where it was begun at the wrong end. */
const { build, now } = defineProps<{ build: Build; now: ChainEvaluation }>()
const words = chainTexts.order
const order = computed(() => chainOrder(build, now))
const MARKS = { done: 'holds', open: 'tight', unknown: 'unknown' } as const
</script>

<template>
  <section class="plain-card" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p v-if="order.wrongWayRound" class="wrong" role="status" data-testid="wrong-way-round">
      <VerdictMark verdict="out" silent /> {{ order.wrongWayRound }}
    </p>
    <ol>
      <li v-for="step in order.steps" :key="step.key">
        <VerdictMark :verdict="MARKS[step.state]" silent />
        <span
          >{{ step.text }} <small class="soft">{{ words.states[step.state] }}</small></span
        >
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  display: grid;
  gap: 8px;
}
li,
.wrong {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr);
  gap: 8px;
}
.wrong {
  padding: 8px 10px;
  border-left: 3px solid var(--out);
  background: var(--wash);
}
</style>
