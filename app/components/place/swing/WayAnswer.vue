<script setup lang="ts">
import { grouped } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useWayIn } from '~/stores/wayIn'

/** Whether it goes in, in one sentence, with what is proved; and the button that looks. */
const wayIn = useWayIn()
const words = texts.wayIn
const { length } = useFormat()
const most = computed(() => wayIn.plan?.liftMm[1] ?? 0)
const verdict = computed(() => {
  if (!wayIn.isFresh || !wayIn.found) return 'unknown'
  if (wayIn.found.way) return 'holds'
  return wayIn.found.noneUpToMm === null ? 'unknown' : 'out'
})
const sentence = computed(() => {
  const { found } = wayIn
  if (!found || !wayIn.isFresh) return ''
  const isAlone = wayIn.plan?.alone !== undefined
  if (found.way)
    return (isAlone ? words.goesInAlone : words.goesIn)(
      found.way.liftMm > 0 ? length(found.way.liftMm) : '',
      length(wayIn.plan?.keepMm ?? 0),
    )
  return found.noneUpToMm === null
    ? words.unsure
    : (isAlone ? words.neverAlone : words.never)(length(most.value))
})
const drawText = computed(() => {
  const { draw, plan } = wayIn
  if (!draw?.known || !plan?.alone) return ''
  const { meets } = draw.value
  if (meets.length === 0) return words.drawFree(length(plan.alone.drawMm))
  return words.drawMeets(meets.map(({ name, afterMm }) => words.drawAfter(name, length(afterMm))).join(', '))
})
const bracket = computed(() => {
  const { found } = wayIn
  if (!found?.way || !wayIn.isFresh || found.way.liftMm === 0) return ''
  const proved = found.noneUpToMm === null ? '' : words.notBelow(length(found.noneUpToMm))
  return `${proved} ${words.tooTight}`.trim()
})
</script>

<template>
  <div class="answer">
    <div aria-live="polite" class="said">
      <p v-if="drawText && wayIn.draw?.known" data-testid="draw-sentence">
        <VerdictMark :verdict="wayIn.draw.value.meets.length ? 'out' : 'holds'" /> {{ drawText }}
      </p>
      <p v-if="wayIn.isSearching" class="figure">
        {{ words.looking(wayIn.progress?.lifts ?? 1, grouped(wayIn.progress?.boxes ?? 0)) }}
      </p>
      <p v-else-if="wayIn.failure" class="out">{{ wayIn.failure }}</p>
      <ul v-else-if="wayIn.setup && !wayIn.setup.known">
        <li v-for="one in wayIn.setup.missing" :key="one.what">
          <VerdictMark verdict="unknown" :size="14" /> {{ one.what }}
        </li>
      </ul>
      <p v-else-if="sentence" class="sentence" data-testid="way-sentence">
        <VerdictMark :verdict="verdict" /> <b>{{ sentence }}</b> {{ bracket }}
      </p>
      <p v-else-if="wayIn.found" class="soft">{{ words.stale }}</p>
    </div>
    <UButton v-if="wayIn.isSearching" color="neutral" variant="outline" @click="wayIn.stop">{{
      words.stop
    }}</UButton>
    <UButton
      v-else
      class="find"
      icon="i-lucide-search"
      :disabled="!wayIn.setup?.known"
      @click="wayIn.search"
      >{{ words.search }}</UButton
    >
  </div>
</template>

<style scoped>
.find {
  flex: none;
}
.answer {
  display: flex;
  gap: 12px 20px;
  align-items: center;
  justify-content: space-between;
  min-height: 48px;
  margin-bottom: 8px;
}
.sentence {
  line-height: 1.4;
}
.out {
  color: var(--out);
}
@media (max-width: 620px) {
  .answer {
    flex-direction: column;
    align-items: stretch;
  }
}
</style>
