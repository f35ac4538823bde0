<script setup lang="ts">
import { STEP_SUBJECTS, type StepSubject } from '~~/core/file/kinds/tickKinds'
import { hourText } from '~~/core/show/text/plateText'
import { stepKey } from '~~/core/show/text/workStep'
import { steps as words } from '~/texts/steps'
import { usePhotos } from '~/stores/photos'
import { useWorkSteps } from '~/stores/workSteps'
import { useWorkbench } from '~/stores/workbench'

/** Under the vehicle: one step a screen, its figure as large as it goes. */
const work = useWorkSteps()
const workbench = useWorkbench()
const route = useRoute()
const asked = computed((): StepSubject | undefined => STEP_SUBJECTS.find((one) => one === route.query.of))
watch(
  () => [asked.value, route.query.thing] as const,
  ([of, thing]) => {
    if (of && typeof thing === 'string') work.look(of, thing)
  },
  { immediate: true },
)
const works = computed(() =>
  work.works.map(({ of, thing, title }) => ({
    value: `${of}/${thing}`,
    label: `${words.kinds[of]}: ${title}`,
  })),
)
function choose(value: string) {
  const one = work.works.find(({ of, thing }) => `${of}/${thing}` === value)
  if (one) work.look(one.of, one.thing)
}
const foundWords = computed(() => {
  const { found, hour } = work.step?.tick ?? {}
  if (!found) return ''
  return `, ${words.wasFound[found]}${hour === undefined ? '' : words.toward(hourText(hour))}`
})
const photos = usePhotos()
const picture = computed(() => (photos.shown?.id === work.step?.photo ? photos.shown?.url : undefined))
watch(
  () => work.step?.photo ?? null,
  (id) => photos.show(id),
  { immediate: true },
)
onBeforeUnmount(() => photos.hide())
async function keepPhoto(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  if (file) await work.tickWithPhoto(file)
  input.value = ''
}
const canSpeak = computed(() => import.meta.client && 'speechSynthesis' in window)
function speak() {
  const { name = '', figure = '', note = '' } = work.step ?? {}
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(`${name}. ${figure}. ${note}`))
}
</script>

<template>
  <div v-if="workbench.build" class="steps">
    <h1 class="sr-only">{{ words.title }}</h1>
    <template v-if="work.work && work.step">
      <ChoiceField
        :label="words.title"
        :value="`${work.work.of}/${work.work.thing}`"
        :items="works"
        @change="choose($event)"
      />
      <p class="soft where">
        <span data-testid="step-where">{{ words.of(work.index + 1, work.steps.length) }}</span>
        <span>{{ words.progress(work.done, work.steps.length) }}</span>
      </p>
      <div class="bars" aria-hidden="true">
        <span
          v-for="(one, i) in work.steps"
          :key="stepKey(one)"
          :class="{ done: one.doneAt, now: i === work.index }"
        />
      </div>
      <section class="step" aria-live="polite" data-testid="step">
        <h2>{{ work.step.name }}</h2>
        <p v-if="work.step.figure" class="big figure">{{ work.step.figure }}</p>
        <p v-if="work.step.note" class="note">{{ work.step.note }}</p>
        <p v-if="work.step.doneAt" class="soft is-done">
          <VerdictMark :verdict="work.step.tick?.found === 'off' ? 'out' : 'holds'" :size="16" />
          {{ words.isDone(work.step.doneAt) }}{{ foundWords }}
        </p>
        <img
          v-if="picture"
          :src="picture"
          :alt="words.photoOf(work.step.name)"
          class="photo"
          data-testid="step-photo"
        />
        <UButton
          v-if="work.step.isRead"
          size="xl"
          variant="outline"
          icon="i-lucide-ruler"
          :to="{ path: `/b/${workbench.build.id}/welds`, query: { weld: work.work.thing } }"
          >{{ words.typeIt }}</UButton
        >
        <HoleFinding v-if="work.step.isHole && !work.step.doneAt" @found="work.tick($event)" />
      </section>
      <p class="caution">{{ words.cautions[work.work.of] }}</p>
      <div class="does">
        <UButton size="xl" variant="outline" :disabled="work.index === 0" @click="work.go(-1)">{{
          words.back
        }}</UButton>
        <UButton
          v-if="!work.step.doneAt"
          size="xl"
          icon="i-lucide-check"
          :variant="work.step.isHole ? 'outline' : 'solid'"
          @click="work.tick()"
          >{{ words.done }}</UButton
        >
        <UButton v-else size="xl" variant="outline" @click="work.takeBack()">{{ words.takeBack }}</UButton>
        <UButton
          size="xl"
          variant="outline"
          :disabled="work.index === work.steps.length - 1"
          @click="work.go(1)"
          >{{ words.next }}</UButton
        >
      </div>
      <div class="also">
        <label v-if="!work.step.photo" class="take">
          <UIcon name="i-lucide-camera" /> {{ words.photo }}
          <input
            type="file"
            accept="image/*"
            capture="environment"
            class="sr-only"
            @change="keepPhoto($event)"
          />
        </label>
        <UButton v-if="canSpeak" variant="link" @click="speak()">{{ words.readAloud }}</UButton>
      </div>
      <p v-if="photos.failure" class="out">{{ photos.failure }}</p>
      <p v-if="work.done === work.steps.length" class="all">{{ words.all }}</p>
    </template>
    <p v-else>{{ words.none }}</p>
  </div>
</template>

<style scoped>
.steps {
  display: grid;
  gap: 12px;
  max-width: 720px;
  padding: 16px 24px 48px;
}
.where {
  display: flex;
  justify-content: space-between;
}
.bars {
  display: flex;
  gap: 3px;
}
.bars span {
  flex: 1;
  height: 8px;
  border-radius: 2px;
  background: var(--hair);
}
.bars .done {
  background: var(--ink);
}
.bars .now {
  background: var(--accent);
}
.step {
  display: grid;
  gap: 8px;
  min-height: 260px;
  align-content: center;
}
h2 {
  font-weight: 600;
  font-size: 1.5rem;
}
.big {
  font-size: clamp(3.5rem, 17vw, 6.5rem);
  line-height: 1;
  white-space: nowrap;
}
.note {
  font-size: 1.25rem;
}
.is-done {
  display: flex;
  gap: 8px;
  align-items: center;
}
.caution {
  padding: 6px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
.does {
  display: grid;
  grid-template-columns: 1fr 1.6fr 1fr;
  gap: 8px;
}
.does :deep(button) {
  justify-content: center;
  min-height: 60px;
}
.photo {
  max-width: 100%;
  max-height: 260px;
  border-radius: 4px;
}
.also {
  display: flex;
  gap: 16px;
  align-items: center;
}
.take {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
  color: var(--accent);
  font-weight: 600;
  cursor: pointer;
}
.take:focus-within {
  outline: 2px solid var(--accent);
  outline-offset: 2px;
}
.out {
  color: var(--out);
}
.all {
  font-weight: 600;
}
@media (max-width: 640px) {
  .steps {
    padding-inline: 14px;
  }
}
</style>
