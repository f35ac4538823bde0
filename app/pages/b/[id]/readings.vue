<script setup lang="ts">
import type { TourStep } from '~~/core/measure/tour/tour'
import { texts } from '~/texts/en'
import { measureAgainSentence } from '~~/core/show/text/measureAgainText'
import { useEvaluation } from '~/stores/evaluation'
import { useReadings } from '~/stores/readings'
import { useWorkbench } from '~/stores/workbench'

const route = useRoute()
const router = useRouter()
const readings = useReadings()
const evaluation = useEvaluation()
const workbench = useWorkbench()
const words = texts.readings
const mistakeWords = texts.measuring.mistakes
const hasList = computed(() => route.query.list !== undefined)

/** The step in the address, so that a reload or the back key returns to it; else the first one open. */
const step = computed<TourStep | null>(
  () =>
    readings.steps.find((one) => one.id === route.query.step) ??
    readings.next(null) ??
    readings.steps[0] ??
    null,
)
const index = computed(() => readings.steps.findIndex((one) => one.id === step.value?.id))

function choose(next: TourStep) {
  void router.push({ query: { step: next.id } })
}
function goOn(fromId: string) {
  const next = readings.next(fromId)
  if (next) choose(next)
  else void router.push({ query: { ...route.query, list: '1' } })
}
const group = computed(() => (step.value ? words.groups[step.value.group] : ''))
const maySkipGroup = computed(
  () => step.value !== null && !step.value.isRead && readings.maySkipGroup(step.value.group),
)
function passGroup() {
  const next = step.value ? readings.beyond(step.value.group) : null
  if (next) choose(next)
  else void router.push({ query: { ...route.query, list: '1' } })
}
/** The tour came to the end of what is needed: said once, and again in the list. */
const isAllRead = computed(() => readings.openCount === 0)
/** Gaps are read long after all else: their picture says more than what could be surer. */
const isGap = computed(() => step.value?.group === 'gaps')
const advice = computed(() => evaluation.advice.slice(0, 2))
</script>

<template>
  <MeasureNav :class="{ 'wide-only': !hasList }" />
  <div class="readings">
    <div v-if="step" class="capture-side" :class="{ away: hasList, all: isAllRead && !isGap }">
      <div class="progress">
        <p>
          <NuxtLink class="soft" :to="`/b/${route.params.id}/setups`">{{ readings.setup?.name }}</NuxtLink>
          <span class="soft"> · </span>
          <span :class="step.optional ? 'soft' : 'needed'" data-testid="need">{{
            step.optional ? words.optional : words.needed
          }}</span>
        </p>
        <p class="soft figure">
          <NuxtLink class="narrow-link" :to="{ query: { ...route.query, list: '1' } }">{{
            words.list
          }}</NuxtLink>
          {{ words.progress(index + 1, readings.steps.length) }}
        </p>
        <div class="segments" aria-hidden="true">
          <span
            v-for="one in readings.steps"
            :key="one.id"
            :class="{ done: one.reading, here: one.id === step.id, must: !one.optional }"
          />
        </div>
      </div>
      <p v-if="step.group === 'attitude'" class="caution narrow-only">
        <VerdictMark verdict="tight" :size="14" silent /> {{ texts.cautions.under }}
      </p>
      <section v-if="isAllRead" class="all-read" aria-live="polite" data-testid="all-read">
        <p class="all-done">
          <VerdictMark verdict="holds" silent /> {{ words.done }}
          <UButton size="sm" :to="`/b/${route.params.id}/line`">{{ words.toLine }}</UButton>
        </p>
        <template v-if="advice.length && workbench.build && !isGap">
          <p class="soft">{{ words.surer }}</p>
          <ul>
            <li v-for="one in advice" :key="one.check.id">
              {{ measureAgainSentence(workbench.build, one) }}
            </li>
          </ul>
        </template>
      </section>
      <button v-if="maySkipGroup" type="button" class="pass" @click="passGroup">
        {{ words.skipGroup(group) }}
      </button>
      <ReadingCapture :step="step" @next="goOn" />
    </div>
    <div class="list-side" :class="{ away: !hasList }">
      <UButton
        class="narrow-only"
        variant="outline"
        block
        icon="i-lucide-arrow-left"
        :to="{ query: { step: step?.id } }"
      >
        {{ words.capture }}
      </UButton>
      <p v-if="readings.openCount === 0" class="all-done">
        <VerdictMark verdict="holds" silent /> {{ words.done }}
        <UButton size="sm" :to="`/b/${route.params.id}/line`">{{ words.toLine }}</UButton>
      </p>
      <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ texts.cautions.under }}</p>
      <section
        v-if="readings.mistakes.length"
        class="mistakes"
        :aria-label="mistakeWords.title(readings.mistakes.length)"
      >
        <h2>{{ mistakeWords.title(readings.mistakes.length) }}</h2>
        <MistakeNote
          v-for="mistake in readings.mistakes"
          :key="mistake.kind + mistake.readingIds[0]"
          :mistake="mistake"
        />
        <p class="soft small">{{ mistakeWords.note }}</p>
      </section>
      <CsvButtons />
      <ReadingList :current="step?.id ?? ''" @choose="choose" />
    </div>
  </div>
</template>

<style scoped>
.readings {
  display: grid;
  grid-template-columns: minmax(340px, 430px) minmax(0, 1fr);
  gap: 36px;
  padding: 18px 24px 24px;
}
.progress {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px;
  margin-bottom: 12px;
}
.segments {
  grid-column: 1 / -1;
  display: flex;
  gap: 3px;
}
.segments span {
  flex: 1;
  height: 6px;
  background: var(--part);
}
.segments .must {
  height: 8px;
  box-shadow: inset 0 -2px var(--soft);
}
.all-read {
  margin-bottom: 10px;
  padding: 8px 12px;
  border: 1.5px solid var(--holds);
  border-radius: 4px;
  font-size: 0.9375rem;
  line-height: 1.3;
}
.all-read .all-done {
  margin-bottom: 4px;
}
.needed {
  font-weight: 600;
}
.pass {
  color: var(--accent);
  text-decoration: underline;
  cursor: pointer;
}
.segments .done {
  background: var(--part-line);
}
.segments .here {
  background: var(--accent);
}
.caution {
  display: flex;
  gap: 8px;
  align-items: baseline;
  margin-bottom: 12px;
  font-size: 0.9375rem;
  line-height: 1.25;
  color: var(--soft);
}
.all-done {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-bottom: 12px;
  font-weight: 500;
}
.mistakes {
  display: grid;
  gap: 8px;
  margin-bottom: 16px;
}
.mistakes h2 {
  font-weight: 600;
}
.small {
  font-size: 0.875rem;
}
.narrow-only,
.narrow-link {
  display: none;
}
@media (max-width: 860px) {
  .readings {
    display: block;
    padding: 8px 14px;
  }
  .away {
    display: none;
  }
  .wide-only {
    display: none;
  }
  .narrow-only {
    display: flex;
    min-height: 48px;
    margin-bottom: 12px;
  }
  .all :deep(.hint),
  .all :deep(.scene) {
    display: none;
  }
  .all-read {
    margin-bottom: 4px;
    padding: 4px 10px;
  }
  .caution.narrow-only {
    min-height: 0;
    margin-bottom: 4px;
    font-size: 0.8125rem;
  }
  .narrow-link {
    display: inline-block;
    padding: 12px 10px;
    margin: -12px 0;
    text-decoration: underline;
    color: var(--accent);
  }
  .progress {
    margin-bottom: 6px;
  }
  .pass {
    min-height: 48px;
    margin: -10px 0;
  }
}
</style>
