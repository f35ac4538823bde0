<script setup lang="ts">
import type { Known } from '~~/core/base/known'
import { clockText, type RoundAnswer } from '~~/core/bay/mating/matingOf'
import { dialFacts } from '~~/core/show/text/dialFacts'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'

/** What a dial round says, and what to do about it. */
const { answer } = defineProps<{ answer: Known<RoundAnswer> }>()
const words = texts.mating
const { units } = useFormat()
const facts = computed(() => (answer.known ? dialFacts(answer.value, units.value) : null))
/** Where the bore stands off, or the face stands furthest back; null for what runs true. */
const clockDeg = computed(() => {
  if (!answer.known) return null
  const { bore, face } = answer.value
  return bore ? bore.centre.clockDeg : (face?.highClockDeg ?? null)
})
</script>

<template>
  <div v-if="answer.known && facts" class="answer">
    <p class="main">
      <VerdictMark :verdict="answer.value.verdict ?? 'unknown'" />
      <b class="figure">{{
        clockDeg === null
          ? words.runsTrue
          : answer.value.bore
            ? words.offset(facts.offset, clockText(clockDeg))
            : words.tilt(facts.tilt, clockText(clockDeg))
      }}</b>
    </p>
    <p class="soft figure">
      {{ words.totalReading(facts.total)
      }}<template v-if="answer.value.verdict">, {{ answer.value.verdict }}</template>
    </p>
    <p v-if="answer.value.dowel">
      {{
        answer.value.dowel.moveClockDeg !== null
          ? words.dowel(facts.dowel, clockText(answer.value.dowel.moveClockDeg), facts.left)
          : words.noDowel(facts.left)
      }}
    </p>
    <p v-if="answer.value.face && answer.value.face.shimClockDeg !== null">
      {{ words.shim(clockText(answer.value.face.shimClockDeg)) }} {{ words.axis(facts.fall, facts.plan) }}
    </p>
    <p v-if="facts.closure" class="warn">{{ words.closure(facts.closure) }}</p>
    <p v-if="facts.oval" class="warn">{{ words.oval(facts.oval) }}</p>
  </div>
  <ul v-else-if="!answer.known" class="missing">
    <li v-for="one in answer.missing" :key="one.what">
      <VerdictMark verdict="unknown" :size="14" /> {{ one.what }}
    </li>
  </ul>
</template>

<style scoped>
.answer {
  display: grid;
  gap: 4px;
  line-height: 1.4;
}
.main {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.warn {
  color: var(--tight);
}
.missing li {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
</style>
