<script setup lang="ts">
import { TOOL_KINDS, type Tool } from '~~/core/file/parts/tool'
import { toolScatter } from '~~/core/measure/figures/scatter'
import { flipTestResult } from '~~/core/measure/figures/toolError'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useSetups } from '~/stores/setups'
import { useWorkbench } from '~/stores/workbench'

/** One tool of the drawer: what it can tell, what it does with its zero, and its last check. */
const { tool } = defineProps<{ tool: Tool }>()
const workbench = useWorkbench()
const setups = useSetups()
const { angle, length } = useFormat()
const words = texts.measuring.tools
const isTesting = ref(false)
const isLevel = computed(() => tool.kind === 'level')
const unit = computed(() => (isLevel.value ? '°' : ''))
const kind = computed(() => (isLevel.value ? ('plain' as const) : ('length' as const)))
const uses = computed(
  () => workbench.build?.readings.filter((one) => 'tool' in one && one.tool === tool.id).length ?? 0,
)
const kinds = TOOL_KINDS.map((value) => ({ value, label: words.kinds[value] }))
const habits = Object.entries(words.zeroHabits).map(([value, label]) => ({ value, label }))
/** What is usual while nothing was repeated, then what the repeats show. */
const scatterHelp = computed(() => {
  const found = workbench.build ? toolScatter(workbench.build, tool) : null
  if (!found) return ''
  const figure = isLevel.value ? angle(found.deviation) : length(found.deviation)
  return found.freedom > 0 ? words.learntScatter(figure, found.freedom) : words.usualScatter(figure)
})
const lastTest = computed(() => {
  const test = tool.flipTests?.at(-1)
  const result = test ? flipTestResult(test) : null
  if (!test || !result?.ok) return words.flipNone
  const date = new Date(test.at).toLocaleDateString([], { dateStyle: 'medium' })
  if (Math.abs(result.zeroErrorDeg) < 0.005) return words.lastGood(date)
  const end = result.zeroErrorDeg > 0 ? words.flipRight : words.flipLeft
  return words.lastTest(date, angle(Math.abs(result.zeroErrorDeg)), end)
})
const change = (changed: Partial<Tool>) => setups.changeTool(tool.id, changed)
</script>

<template>
  <article class="tool" :data-field="`tools/${tool.id}`" :aria-label="tool.name">
    <header>
      <p class="figure name">{{ tool.name }}</p>
      <span class="soft">{{ words.used(uses) }}{{ tool.simulated ? `, ${words.simulated}` : '' }}</span>
      <RemoveButton
        v-if="uses === 0"
        :label="`${words.remove}: ${tool.name}`"
        @click="setups.removeTool(tool.id)"
      />
    </header>
    <div class="fields">
      <TextField :label="words.name" :value="tool.name" required @change="change({ name: $event })" />
      <ChoiceField
        :label="words.kind"
        :value="tool.kind"
        :items="kinds"
        :disabled="uses > 0"
        @change="change({ kind: $event })"
      />
      <FigureField
        :label="words.resolution"
        of="tools.resolution"
        :value="tool.resolution"
        :kind="kind"
        :unit="unit"
        @change="change({ resolution: $event })"
      />
      <FigureField
        :label="words.accuracy"
        of="tools.accuracy"
        :value="tool.accuracy"
        :kind="kind"
        :unit="unit"
        @change="change({ accuracy: $event })"
      />
      <FigureField
        :label="words.handScatter"
        of="tools.handScatter"
        :value="tool.handScatter"
        :kind="kind"
        :unit="unit"
        :help="scatterHelp"
        @change="change({ handScatter: $event })"
      />
      <ChoiceField
        v-if="isLevel"
        :label="words.zeroHabit"
        :value="tool.zeroHabit ?? 'gravity'"
        :items="habits"
        @change="change({ zeroHabit: $event })"
      />
    </div>
    <template v-if="isLevel">
      <p data-testid="last-test">{{ lastTest }}</p>
      <FlipTestGuide v-if="isTesting" :tool="tool" @done="isTesting = false" />
      <UButton v-else variant="outline" size="sm" class="start" @click="isTesting = true">{{
        tool.flipTests?.length ? words.flipAgain : words.flipStart
      }}</UButton>
    </template>
  </article>
</template>

<style scoped>
.tool {
  display: grid;
  gap: 12px;
  align-content: start;
  padding: 14px 16px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
  line-height: 1.35;
}
header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 10px;
}
.name {
  font-size: 1.125rem;
}
.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px 14px;
}
.start {
  justify-self: start;
}
@media (max-width: 480px) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
