<script setup lang="ts">
import { tautCentre, linkChoices } from '~~/core/sprockets/linkChoices'
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'

/** New chains by their links, each with the exact distance of the shafts; and why one of too few links goes round no sprockets. */
const { now } = defineProps<{ now: ChainEvaluation }>()
const { length } = useFormat()
const words = chainTexts.chain
/** Exact centres of the counts about what is needed; with guide wheels the shafts' distance alone closes nothing. */
const choices = computed(() => {
  const { sprockets, pitchMm, halfLink } = now.chain
  const [first, second] = sprockets
  if (!first || !second || sprockets.length > 2 || !now.loop.known || !now.centreMm.known) return []
  const drive = { teeth: [first.teeth, second.teeth] as const, pitchMm, centreMm: now.centreMm.value }
  return linkChoices(drive, now.loop.value.linksNeeded, halfLink).map(
    ({ links: count, centreMm, furtherMm }) => ({
      links: count,
      text: words.choice(length(centreMm), wayText(furtherMm)),
    }),
  )
})
const wayText = (mm: number): string =>
  Math.abs(mm) < 0.05 ? words.asNow : mm > 0 ? words.further(length(mm)) : words.nearer(length(-mm))
/** Why a chain of so few links goes round no sprockets. */
const refusal = computed(() => {
  const { sprockets, pitchMm, links: count } = now.chain
  const [first, second] = sprockets
  if (!first || !second || sprockets.length > 2 || count === undefined) return ''
  const centre = tautCentre({ teeth: [first.teeth, second.teeth], pitchMm }, count)
  return centre.known ? '' : centre.missing.map(({ what }) => what).join('; ')
})
</script>

<template>
  <div v-if="refusal || choices.length" class="choices">
    <p v-if="refusal" class="fault" role="alert">{{ refusal }}</p>
    <template v-if="choices.length">
      <h3>{{ words.choices }}</h3>
      <dl data-testid="link-choices">
        <template v-for="choice in choices" :key="choice.links">
          <dt>{{ choice.links }}</dt>
          <dd>{{ choice.text }}</dd>
        </template>
      </dl>
    </template>
  </div>
</template>

<style scoped>
.choices {
  display: grid;
  gap: 6px;
}
.fault {
  color: var(--out);
}
</style>
