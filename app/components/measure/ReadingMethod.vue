<script setup lang="ts">
import { READING_KINDS, wordsOf } from '~~/core/file/build/readingKinds'
import type { ReadingKind } from '~~/core/file/build/reading'
import type { TourStep } from '~~/core/measure/tour/tour'
import { kindOfStep, type ReadingDraft } from '~/stores/readingDraft'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** How the reading is taken, where there is more than one way. */
const { step, draft } = defineProps<{ step: TourStep; draft: ReadingDraft }>()
const emit = defineEmits<{ set: [part: Partial<ReadingDraft>] }>()
const words = texts.readings

interface Choice {
  readonly key: keyof ReadingDraft
  readonly options: readonly (readonly [string, string])[]
}
/** What the answers to each question beside the figure are called. */
const OPTIONS = {
  by: [
    ['square', words.bySquare],
    ['plumb', words.byPlumb],
  ],
  zero: [
    ['gravity', words.zeroGravity],
    ['chassis', words.zeroChassis],
  ],
  from: [
    ['level', words.fromLevel],
    ['plumb', words.fromPlumb],
  ],
} as const
const METHOD: Choice = {
  key: 'method',
  options: [
    ['along', words.along],
    ['face', words.face],
  ],
}
const workbench = useWorkbench()
/** Texts that are asked beside the figure. */
const beside = computed(() => READING_KINDS[step.quantity].texts ?? {})
const isAngle = computed(() => READING_KINDS[step.quantity].unit === 'deg')
const tools = computed(() =>
  (workbench.build?.tools ?? []).filter(
    (tool) => (tool.kind === 'level') === isAngle.value && !tool.simulated,
  ),
)
const tool = computed(() => tools.value.find((one) => one.id === draft.toolId) ?? tools.value[0])
/** All readings of a level share its zero error, with the sign of the side its display looked to. */
const displayChoice = (kind: ReadingKind): Choice => ({
  key: 'display',
  options: wordsOf(kind, 'display', step.isAcross).map((side) => [
    side,
    `${words.displayFaces} ${words.displays[side as keyof typeof words.displays]}`,
  ]),
})
const choices = computed<Choice[]>(() => {
  const kind = kindOfStep(step, draft)
  const isAsked = (key: string) => key in READING_KINDS[kind].words
  return [
    ...(step.quantity === 'axis-level' ? [METHOD] : []),
    ...(['from', 'by', 'zero'] as const)
      .filter(isAsked)
      .map((key): Choice => ({ key, options: OPTIONS[key] })),
    ...(isAsked('display') ? [displayChoice(kind)] : []),
  ]
})
const choiceName = (key: Choice['key']): string =>
  key in words.choiceOf ? words.choiceOf[key as keyof typeof words.choiceOf] : ''
const summary = computed(() => {
  const said = choices.value.flatMap(({ key, options }) =>
    options.filter(([value]) => draft[key] === value).map(([, label]) => label),
  )
  const taken = tools.value.length > 1 && tool.value ? [tool.value.name] : []
  const isUnsaid = draft.display === '' && choices.value.some(({ key }) => key === 'display')
  const unsaid = isUnsaid ? [words.displayUnsaid] : []
  return [...said, ...unsaid, ...taken, draft.provisional ? words.provisionalShort : words.firm].join(' · ')
})
</script>

<template>
  <FoldedPart class="method">
    <template #title>
      <span class="soft">{{ words.how }}:</span> {{ summary }}
    </template>
    <WordChoice
      v-for="choice in choices"
      :key="choice.key"
      class="pair"
      :label="choiceName(choice.key)"
      :options="choice.options"
      :value="String(draft[choice.key])"
      @choose="emit('set', { [choice.key]: $event })"
    />
    <div v-if="draft.by === 'plumb' && 'aboveCentreline' in beside" class="above">
      <UFormField :label="words.above">
        <UInput
          :model-value="draft.aboveText"
          @update:model-value="emit('set', { aboveText: String($event) })"
        />
      </UFormField>
      <UCheckbox
        :model-value="draft.aboveWay === 'below'"
        :label="words.below"
        @update:model-value="emit('set', { aboveWay: $event === true ? 'below' : 'above' })"
      />
    </div>
    <UFormField v-if="'radius' in beside" :label="words.faceRadius" :help="words.faceRadiusHelp">
      <UInput
        :model-value="draft.radius"
        maxlength="60"
        data-testid="face-radius"
        @update:model-value="emit('set', { radius: String($event) })"
      />
    </UFormField>
    <UFormField v-if="tools.length > 1" :label="words.tool">
      <USelect
        :model-value="tool?.id"
        :items="tools.map((one) => ({ label: one.name, value: one.id }))"
        class="w-full"
        @update:model-value="emit('set', { toolId: $event })"
      />
    </UFormField>
    <UCheckbox
      :model-value="draft.provisional"
      :label="words.provisional"
      @update:model-value="emit('set', { provisional: $event === true })"
    />
  </FoldedPart>
</template>

<style scoped>
.method {
  font-size: 0.9375rem;
}
.pair {
  margin: 6px 0;
}
.above {
  display: flex;
  align-items: end;
  gap: 12px;
}
@media (max-width: 860px) {
  .method {
    line-height: 1.2;
  }
}
</style>
