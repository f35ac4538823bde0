<script setup lang="ts">
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import { chainRatio } from '~~/core/vehicle/strength/chainDuty'
import { fixed } from '~~/core/base/units/format'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'

/** What a chain does that a hand pulls: how far its far end turns, and the play that its slack leaves. */
const { now, duty } = defineProps<{ now: ChainEvaluation; duty: 'steering' | 'shift' }>()
const { angle, length } = useFormat()
const words = computed(() => chainTexts.byHand[duty])
const ratio = computed(() => chainRatio(now.chain))
const turns = computed(() => {
  const { wheelTurns } = now.chain
  return wheelTurns === undefined
    ? words.value.untold
    : words.value.turns(fixed(wheelTurns, 2), fixed(wheelTurns / ratio.value, 2))
})
const play = computed(() => now.checks.find(({ quantity }) => quantity === 'chain-backlash'))
</script>

<template>
  <section class="plain-card" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <dl>
      <dt>{{ words.ratio }}</dt>
      <dd>{{ fixed(ratio, 2) }}</dd>
      <dt>{{ words.whole }}</dt>
      <dd data-testid="hand-turns">{{ turns }}</dd>
      <template v-if="play?.value != null && now.slack.known">
        <dt>{{ words.play }}</dt>
        <dd data-testid="hand-play">
          {{ angle(play.value) }}
          <span class="soft">{{ chainTexts.byHand.from(length(now.slack.value.excessMm)) }}</span>
        </dd>
      </template>
    </dl>
    <p v-if="duty === 'steering'" class="caution">{{ chainTexts.cautions.steering }}</p>
  </section>
</template>

<style scoped>
.caution {
  padding: 8px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
</style>
