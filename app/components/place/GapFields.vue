<script setup lang="ts">
import { GAP_KINDS, type Gap } from '~~/core/file/parts/gap'
import type { Build } from '~~/core/file/build/build'
import { gapReading } from '~~/core/measure/points/gapReading'
import { checkSentence, plusMinusText } from '~~/core/show/text/checkText'
import { parseLength } from '~~/core/base/units/parseLength'
import { texts } from '~/texts/en'
import { useEvaluation } from '~/stores/evaluation'
import { usePlace } from '~/stores/place'

/** One gap: read it, change what it is, or delete it. */
const { build, gap } = defineProps<{ build: Build; gap: Gap }>()
const place = usePlace()
const evaluation = useEvaluation()
const words = texts.place.drawer
const DEFAULT_TOOL = 'usual'
const kinds = GAP_KINDS.map((value) => ({ value, label: texts.place.kinds[value] }))
const tools = computed(() => [
  { value: DEFAULT_TOOL, label: words.usualTool },
  ...build.tools
    .filter(({ kind, simulated }) => kind !== 'level' && !simulated)
    .map(({ id, name }) => ({ value: id, label: name })),
])
const opposites = computed(() =>
  build.gaps.flatMap(({ id, name }) => (id === gap.id ? [] : [{ value: id, label: name }])),
)
const last = computed(() => gapReading(build, gap.id)?.reading ?? null)
const lastText = computed(() => {
  if (!last.value) return words.never
  const { values, trial, takenAt } = last.value
  const stood = build.trials.find(({ id }) => id === trial)?.name
  const unit = last.value.unit ?? build.units.length
  return [`${values.join(', ')} ${unit}`, stood, takenAt?.slice(0, 10)].filter(Boolean).join(' · ')
})
const check = computed(() => evaluation.current?.gaps.find((one) => one.gap.id === gap.id)?.check ?? null)
const text = ref('')
const tool = ref(last.value?.tool ?? tools.value[1]?.value ?? DEFAULT_TOOL)
const isOverlap = ref(false)
const fault = ref<string | undefined>()
function keep() {
  const parsed = parseLength(text.value, build.units.length)
  fault.value = parsed.ok ? undefined : parsed.message
  if (!parsed.ok) return
  place.readGap(
    gap.id,
    text.value,
    tool.value === DEFAULT_TOOL ? '' : tool.value,
    isOverlap.value ? 'overlap' : 'free',
  )
  text.value = ''
}
function setCutting(changed: NonNullable<Gap['cutting']>) {
  const { cost, structural } = { ...gap.cutting, ...changed }
  place.changeGap(gap.id, {
    cutting: { ...(cost !== undefined && { cost }), ...(structural !== undefined && { structural }) },
  })
}
</script>

<template>
  <div class="fields" :data-at="gap.id">
    <form class="read" @submit.prevent="keep">
      <h3>{{ words.read }}</h3>
      <p v-if="place.trial" class="soft">{{ words.readIn(place.trial.name) }}</p>
      <div class="two">
        <UFormField :label="words.figure" :error="fault">
          <UInput v-model="text" class="w-full" maxlength="60" autocomplete="off" data-testid="gap-figure">
            <template #trailing
              ><span class="soft">{{ build.units.length }}</span></template
            >
          </UInput>
        </UFormField>
        <ChoiceField :label="words.tool" :value="tool" :items="tools" @change="tool = $event" />
      </div>
      <UCheckbox v-model="isOverlap" :label="words.overlap" />
      <UButton type="submit" :disabled="text.trim() === ''">{{ words.keep }}</UButton>
      <p class="soft">{{ words.last }}: {{ lastText }}</p>
      <p v-if="check" data-testid="gap-sentence">
        <VerdictMark :verdict="check.verdict" :size="14" silent />
        {{ checkSentence(check, build.units) }} {{ plusMinusText(check, build.units) }}
      </p>
    </form>

    <TextField
      :label="words.name"
      :value="gap.name"
      required
      @change="place.changeGap(gap.id, { name: $event })"
    />
    <ChoiceField
      :label="words.kind"
      :value="gap.kind"
      :items="kinds"
      @change="place.changeGap(gap.id, { kind: $event })"
    />
    <DirectionFields :toward="gap.toward" @change="place.changeGap(gap.id, { toward: $event })" />
    <fieldset class="two">
      <legend>{{ words.own }}</legend>
      <FigureField
        :label="words.warnBelow"
        kind="length"
        of="gaps.warnBelow"
        :value="gap.warnBelow"
        @change="place.changeGap(gap.id, { warnBelow: $event })"
      />
      <FigureField
        :label="words.failBelow"
        kind="length"
        of="gaps.failBelow"
        :value="gap.failBelow"
        @change="place.changeGap(gap.id, { failBelow: $event })"
      />
    </fieldset>
    <ChoiceField
      :label="words.opposite"
      :value="gap.opposite"
      :items="opposites"
      :unsaid="words.noOpposite"
      @change="place.changeGap(gap.id, { opposite: $event })"
    />
    <fieldset v-if="gap.kind !== 'ground'" class="cutting">
      <legend>{{ words.cutting }}</legend>
      <FigureField
        :label="words.cutCost"
        of="gaps.cutting.cost"
        :value="gap.cutting?.cost"
        @change="setCutting({ cost: $event })"
      />
      <UCheckbox
        :model-value="gap.cutting?.structural === true"
        :label="words.structural"
        @update:model-value="setCutting({ structural: $event === true })"
      />
      <p v-if="gap.cutting?.structural" class="soft">{{ texts.place.cutCaution }}</p>
    </fieldset>
    <RemoveButton
      :label="words.remove"
      color="error"
      class="remove"
      is-worded
      @click="place.removeGap(gap.id)"
    />
  </div>
</template>

<style scoped>
.fields,
.read {
  display: grid;
  gap: 12px;
}
.read {
  padding: 12px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
  justify-items: start;
}
.read > .two,
.read > p {
  width: 100%;
}
h3,
legend {
  font-weight: 600;
}
.cutting {
  display: grid;
  gap: 8px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
legend {
  margin-bottom: 6px;
}
.remove {
  justify-self: start;
}
@media (max-width: 860px) {
  .fields :deep(input),
  .fields :deep(button) {
    min-height: 48px;
  }
}
</style>
