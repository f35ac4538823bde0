<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { positionFacts } from '~~/core/show/told/positionFacts'
import { fixed, formatLength } from '~~/core/base/units/format'
import type { FactColumn } from '~/composables/factColumn'
import { texts } from '~/texts/en'
import { usePlace } from '~/stores/place'
import { useWeight } from '~/stores/weight'

/** Positions side by side; one is chosen, the mounts are made to it. */
const { build } = defineProps<{ build: Build }>()
const place = usePlace()
const weight = useWeight()
const words = texts.place.positions
const positions = computed(() =>
  place.positions.map(({ position, evaluation }) => ({ position, facts: positionFacts(build, evaluation) })),
)
type Column = (typeof positions.value)[number]

const shareText = (id: string) => {
  const share = weight.shares.find((one) => one.id === id)
  return share ? `${fixed(share.percent, 1)} %` : '?'
}
const cutsText = ({ cuts: { count, deepestMm }, cutCost }: Column['facts']) =>
  [
    count === 0 ? texts.place.noCuts : texts.place.cuts(count, formatLength(deepestMm, build.units)),
    ...(cutCost ? [cutCost] : []),
  ].join(' · ')

/** One fact of all positions; without a text its cell is drawn. */
interface Row {
  readonly key: string
  readonly label: string
  readonly text?: (column: Column) => string
}
const rows = computed<Row[]>(() => [
  { key: 'verdict', label: words.verdict },
  { key: 'worst', label: words.worst, text: ({ facts }) => facts.worst },
  { key: 'tightest', label: words.tightest, text: ({ facts }) => facts.tightest },
  { key: 'cuts', label: words.cuts, text: ({ facts }) => cutsText(facts) },
  {
    key: 'reversible',
    label: words.reversible,
    text: ({ facts }) => words.lasting[facts.lasting ?? 'nothing'],
  },
  ...(positions.value.some(({ facts }) => facts.shiftLever)
    ? [{ key: 'shift', label: words.shiftLever, text: ({ facts }: Column) => facts.shiftLever ?? '?' }]
    : []),
  { key: 'crank', label: words.crankHeight, text: ({ facts }) => facts.crankHeight ?? '?' },
  { key: 'joints', label: words.joints, text: ({ facts }) => facts.joints },
  ...(weight.shares.length > 0
    ? [
        {
          key: 'share',
          label: texts.weight.frontShare,
          text: ({ position }: Column) => shareText(position.id),
        },
      ]
    : []),
  ...(positions.value.length > 1 ? [{ key: 'onBoard', label: words.onBoard }] : []),
  { key: 'moved', label: words.moved },
  { key: 'reason', label: words.reason },
  { key: 'made', label: words.made },
  ...(positions.value.length > 1 ? [{ key: 'remove', label: words.remove }] : []),
])
const keyOf = ({ position }: Column) => `at-${position.id}`
const columns = computed<FactColumn<Row>[]>(() => [
  { key: 'fact', label: words.position, isLabelHidden: true, text: ({ label }) => label, is: 'head' },
  ...positions.value.map((column) => ({ key: keyOf(column), label: column.position.name })),
])
</script>

<template>
  <p class="soft lead">{{ words.lead }}</p>
  <FactTable
    :columns="columns"
    :rows="rows"
    :key-of="({ key }) => key"
    :label="words.title"
    class="positions"
  >
    <template v-for="column in positions" :key="`head-${keyOf(column)}`" #[`head-${keyOf(column)}`]>
      <span
        class="head"
        @mouseenter="place.glanced = column.position.settings"
        @mouseleave="place.glanced = null"
        @focusin="place.glanced = column.position.settings"
        @focusout="place.glanced = null"
      >
        <input
          class="name figure"
          :value="column.position.name"
          :aria-label="`${words.name} ${column.position.name}`"
          maxlength="200"
          @change="place.renamePosition(column.position.id, ($event.target as HTMLInputElement).value)"
        />
        <span v-if="column.position.id === build.chosen" class="chosen">{{ words.chosen }}</span>
        <UButton v-else size="sm" variant="outline" @click="place.choosePosition(column.position.id)">{{
          words.choose
        }}</UButton>
      </span>
    </template>
    <template
      v-for="{ position, facts } in positions"
      :key="position.id"
      #[`at-${position.id}`]="{ row: { key, text } }"
    >
      <template v-if="text">{{ text({ position, facts }) }}</template>
      <span v-else-if="key === 'verdict'"><VerdictMark :verdict="facts.verdict" /> {{ facts.verdict }}</span>
      <template v-else-if="key === 'onBoard'">
        <template v-if="position.id === build.chosen">{{ words.stands }}</template>
        <UCheckbox
          v-else
          :model-value="place.pinned.has(position.id)"
          :aria-label="`${words.onBoard}: ${position.name}`"
          @update:model-value="place.pin(position.id, $event === true)"
        />
      </template>
      <template v-else-if="key === 'moved'">
        <template v-if="facts.moved.length === 0">{{ words.asMeasured }}</template>
        <ul v-else>
          <li v-for="one in facts.moved" :key="one">{{ one }}</li>
        </ul>
      </template>
      <input
        v-else-if="key === 'reason'"
        class="reason"
        :value="position.reason ?? ''"
        :aria-label="`${words.reason}: ${position.name}`"
        maxlength="1000"
        @change="place.explainPosition(position.id, ($event.target as HTMLInputElement).value)"
      />
      <template v-else-if="key === 'made'">
        <span v-if="position.made">{{ words.madeAt(position.made.at) }}</span>
        <UButton
          size="sm"
          variant="outline"
          :aria-label="`${position.made ? words.takeBack : words.makeNow}: ${position.name}`"
          @click="place.setMade(position.id, !position.made)"
          >{{ position.made ? words.takeBack : words.makeNow }}</UButton
        >
      </template>
      <RemoveButton
        v-else
        :label="`${words.remove} ${position.name}`"
        @click="place.removePosition(position.id)"
      />
    </template>
  </FactTable>
  <UButton icon="i-lucide-plus" variant="outline" size="sm" class="mt-3" @click="place.addPosition()">{{
    words.add
  }}</UButton>
</template>

<style scoped>
.lead {
  max-width: 70ch;
  margin-bottom: 8px;
}
.positions :deep(table) {
  width: auto;
  font-variant-numeric: tabular-nums;
}
.positions :deep(:is(th, td)) {
  min-width: 170px;
  max-width: 240px;
  line-height: 1.25;
}
.positions :deep(.head) {
  min-width: 110px;
  max-width: 150px;
  white-space: normal;
  color: var(--soft);
}
.head {
  display: flex;
  align-items: center;
  gap: 10px;
}
.name {
  width: 84px;
  min-height: 34px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: transparent;
  color: var(--ink);
  font-size: 1.25rem;
  font-weight: 600;
}
.name:hover,
.name:focus {
  border-color: var(--hair);
  background: var(--card);
}
.chosen {
  color: var(--accent);
  font-weight: 600;
}
.reason {
  width: 100%;
  min-width: 140px;
  padding: 3px 4px;
  background: transparent;
  border-bottom: 1px dashed var(--part-line);
}
</style>
