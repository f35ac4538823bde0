<script setup lang="ts">
import type { TourStep } from '~~/core/measure/tour/tour'
import { rawTexts } from '~~/core/measure/figures/rawTexts'
import { texts } from '~/texts/en'
import { stepWords } from '~~/core/show/told/stepText'
import { useReadingDraft } from '~/composables/useReadingDraft'
import { useWakeLockWhileMeasuring } from '~/composables/useWakeLockWhileMeasuring'
import { SIMULATED_TOOLS, useInstrument } from '~/stores/instrument'
import { useReadings } from '~/stores/readings'
import { useWorkbench } from '~/stores/workbench'

const { step } = defineProps<{ step: TourStep }>()
/** `next` carries the step it comes from: keeping a reading may already have moved the tour on. */
const emit = defineEmits<{ next: [fromId: string] }>()
const workbench = useWorkbench()
const readings = useReadings()
const instrument = useInstrument()
const { draft, set, forget } = useReadingDraft(
  () => workbench.build?.id ?? '',
  () => step,
  readings.freshDraft,
)
const field = useTemplateRef<HTMLInputElement>('field')
const words = computed(() => stepWords(step, draft.value.method))
const unitSign = computed(() =>
  words.value.unit === 'angle' ? '°' : (workbench.build?.units.length ?? 'mm'),
)
const echo = computed(() => readings.echo(step, draft.value))
const before = computed(() => step.reading && rawTexts(step.reading))
const isTyped = computed(() => draft.value.text.trim() !== '')
/** A repeat joins a reading taken the same way; anything else is a new reading. */
const repeated = computed(() => (step.reading && 'values' in step.reading ? step.reading : null))
/** What looks wrong about what is typed, or about the reading that stands. */
const mistakes = computed(() =>
  isTyped.value
    ? readings.draftMistakes(step, draft.value)
    : readings.mistakes.filter((one) => step.reading !== null && one.readingIds.includes(step.reading.id)),
)
const crowded = computed(() => instrument.isConnected || mistakes.value.length > 0)
const needsWay = computed(() => isTyped.value && draft.value.way === '' && words.value.ways.length > 0)

watch(
  () => step.id,
  () => {
    void nextTick(() => field.value?.focus({ preventScroll: true }))
    // The tool goes along: it lies on the next thing now.
    if (instrument.isConnected) void instrument.connect(step)
  },
)
onUnmounted(() => instrument.close())
useWakeLockWhileMeasuring()
onMounted(() => field.value?.focus({ preventScroll: true }))

/** Next was asked for with something that cannot be understood: it is said, and stays to be mended. */
const isRefused = ref(false)
watch(
  () => [step.id, draft.value.text],
  () => (isRefused.value = false),
)

function keep() {
  const from = step.id
  if (!readings.isUnderstood(step, draft.value)) {
    isRefused.value = true
    field.value?.focus({ preventScroll: true })
    return
  }
  if (isTyped.value) {
    readings.keep(step, draft.value)
    forget()
  }
  emit('next', from)
}
/** One key: connects the tool that fits, or takes over what it shows. */
function fromTool() {
  if (!instrument.isConnected) return void instrument.connect(step)
  if (instrument.text === null || instrument.kind === null) return
  set({ text: instrument.text, provisional: true, toolId: SIMULATED_TOOLS[instrument.kind].id })
}
function repeat() {
  if (!repeated.value || !isTyped.value) return
  if (!readings.isUnderstood(step, draft.value)) return void (isRefused.value = true)
  readings.repeat(repeated.value, draft.value.text.trim())
  forget()
}
</script>

<template>
  <section class="capture" :aria-label="words.title">
    <h1>{{ words.title }}</h1>
    <p class="soft hint" :class="{ crowded }"><TermText :text="words.hint" /></p>
    <ToolPicture :step="step" :method="draft.method" :class="{ crowded: mistakes.length > 0 }" />

    <ReadingMethod :step="step" :draft="draft" @set="set" />

    <InstrumentStrip />
    <div class="display" :class="{ wrong: echo && !echo.ok && !needsWay }">
      <input
        ref="field"
        class="figure digits"
        :value="draft.text"
        :aria-label="`${words.title}, ${texts.readings.typing}`"
        inputmode="none"
        autocomplete="off"
        spellcheck="false"
        maxlength="60"
        placeholder="–"
        data-testid="digits"
        @input="set({ text: ($event.target as HTMLInputElement).value })"
        @keydown.enter.prevent="keep"
        @keydown.up.prevent="set({ way: words.ways[0]?.[0] ?? '' })"
        @keydown.down.prevent="set({ way: words.ways[1]?.[0] ?? '' })"
        @keydown.t.exact.prevent="fromTool"
        @keydown.h.exact.prevent="instrument.isConnected && instrument.hold()"
      />
      <span class="figure unit">{{ unitSign }}</span>
      <p v-if="before" class="before">
        <span class="soft">{{ texts.readings.previous }}</span>
        <span class="figure" data-testid="before">{{ before.join(' · ') }}</span>
      </p>
    </div>

    <WayChoice
      v-if="words.ways.length > 0"
      :step="step"
      :words="words"
      :method="draft.method"
      :way="draft.way"
      :wanted="needsWay"
      @choose="set({ way: $event })"
    />

    <p class="echo" :class="{ wrong: echo && !echo.ok }" aria-live="polite" data-testid="echo">
      {{ echo ? echo.text : texts.readings.typing }}
      <strong v-if="isRefused" role="alert">{{ texts.readings.refused }}</strong>
    </p>
    <CopyOver v-if="!isTyped" :step="step" />
    <MistakeNote
      v-for="mistake in mistakes"
      :key="mistake.kind"
      :mistake="mistake"
      :still="isTyped"
      :class="{ kept: !isTyped }"
    />
    <div class="wide-keys">
      <UButton size="lg" @click="keep">{{ isTyped ? texts.readings.next : texts.readings.skip }}</UButton>
      <UButton v-if="repeated" size="lg" variant="outline" :disabled="!isTyped" @click="repeat">{{
        texts.readings.add
      }}</UButton>
      <UButton size="lg" variant="ghost" icon="i-lucide-radio" @click="fromTool">{{
        texts.measuring.instrument.fromTool
      }}</UButton>
      <span class="soft keys-hint">{{ texts.readings.enter }}</span>
    </div>
    <KeyPad
      class="keys"
      :unit="words.unit"
      :minutes="workbench.build?.units.angle === 'minutes'"
      :can-repeat="isTyped && repeated !== null"
      @type="set({ text: draft.text + $event })"
      @erase="set({ text: draft.text.slice(0, -1) })"
      @next="keep"
      @repeat="repeat"
      @skip="emit('next', step.id)"
      @tool="fromTool"
    />
  </section>
</template>

<style scoped>
.capture {
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 430px;
}
h1 {
  font-size: 1.5rem;
  font-weight: 600;
  line-height: 1.15;
}
.hint {
  line-height: 1.3;
}
.display {
  position: relative;
  display: flex;
  align-items: baseline;
  border-bottom: 3px solid var(--accent);
}
.display.wrong {
  border-color: var(--out);
}
.display:focus-within {
  border-bottom-width: 5px;
  background: var(--card);
}
.digits {
  width: 100%;
  min-width: 0;
  border: 0;
  background: none;
  outline: none;
  font-size: clamp(2.75rem, 15vw, 4.25rem);
  line-height: 1.1;
  letter-spacing: -0.01em;
}
.digits::placeholder {
  color: var(--hair);
}
.unit {
  font-size: 1.5rem;
  color: var(--soft);
}
.before {
  position: absolute;
  right: 0;
  top: 2px;
  display: flex;
  gap: 6px;
}
.echo {
  min-height: 2.6em;
  font-size: 1.0625rem;
  line-height: 1.3;
}
.echo.wrong {
  color: var(--out);
}
.wide-keys {
  display: flex;
  align-items: center;
  gap: 10px;
}
/* The list beside it says the same of what is kept already. */
.kept {
  display: none;
}
.keys-hint {
  font-size: 0.9375rem;
  line-height: 1.2;
}
.keys {
  display: none;
}
@media (max-width: 860px) {
  .capture {
    max-width: none;
    gap: 6px;
  }
  h1 {
    font-size: 1.25rem;
  }
  .hint {
    font-size: 0.9375rem;
  }
  /* The live tool needs the room of the hint, so that the keys stay under the thumb. */
  .crowded {
    display: none;
  }
  .digits {
    font-size: 3.75rem;
    line-height: 1;
  }
  .capture :deep(.scene) {
    height: 80px;
  }
  .echo {
    min-height: 2.3em;
    font-size: 1rem;
  }
  .kept {
    display: grid;
  }
  .wide-keys {
    display: none;
  }
  .keys {
    display: grid;
  }
}
</style>
