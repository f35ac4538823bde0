<script setup lang="ts">
import { PART_SPREADS, type PartSpread, type Stack, type StackPart } from '~~/core/file/parts/mating'
import { fixed } from '~~/core/base/units/format'
import type { FactColumn } from '~/composables/factColumn'
import { texts } from '~/texts/en'
import { useMating } from '~/stores/mating'

/** The parts of a stack as a table: what each counts, its size and its tolerance. */
const { stack, shares } = defineProps<{ stack: Stack; shares: readonly number[] }>()
const mating = useMating()
const words = texts.mating
const spreads = PART_SPREADS.map((value) => ({ value, label: words.spreads[value] }))
const senses = [
  { value: 'adds', label: words.adds },
  { value: 'takes', label: words.takes },
]
const COLUMNS: readonly FactColumn<StackPart>[] = [
  { key: 'part', label: words.part, isLabelHidden: true, is: 'wide' },
  { key: 'counts', label: words.counts },
  { key: 'size', label: words.size },
  { key: 'plus', label: words.plus },
  { key: 'minus', label: words.minus },
  { key: 'spread', label: words.spread },
  { key: 'bin', label: words.remove, isLabelHidden: true },
]
const SIZES = [
  { key: 'nominalMm', slot: 'size', place: 'mating.stacks.parts.nominalMm' },
  { key: 'plusMm', slot: 'plus', place: 'mating.stacks.parts.plusMm' },
  { key: 'minusMm', slot: 'minus', place: 'mating.stacks.parts.minusMm' },
] as const
const shareOf = (part: StackPart) => shares[stack.parts.indexOf(part)] ?? 0
function rename(part: StackPart, name: string) {
  if (name.trim() !== '') mating.changePart(stack.id, part.id, { name: name.trim().slice(0, 200) })
}
</script>

<template>
  <FactTable :columns="COLUMNS" :rows="stack.parts" :key-of="({ id }) => id" :label="stack.name" is-cards>
    <template #part="{ row: part }">
      <input
        class="text"
        :value="part.name"
        :aria-label="words.part"
        maxlength="200"
        @change="rename(part, ($event.target as HTMLInputElement).value)"
      />
      <small v-if="shareOf(part) >= 0.1" class="soft figure">{{
        words.share(fixed(100 * shareOf(part), 0))
      }}</small>
    </template>
    <template #counts="{ row: part }">
      <USelect
        :model-value="part.counts"
        :items="senses"
        class="sense"
        :aria-label="`${words.counts}: ${part.name}`"
        @update:model-value="mating.changePart(stack.id, part.id, { counts: $event as StackPart['counts'] })"
      />
    </template>
    <template v-for="{ key, slot, place } in SIZES" :key="key" #[slot]="{ row: part }">
      <FigureInput
        :label="`${words[slot]}: ${part.name}`"
        :of="place"
        :value="part[key]"
        @change="mating.changePart(stack.id, part.id, { [key]: $event })"
      />
    </template>
    <template #spread="{ row: part }">
      <USelect
        :model-value="part.spread ?? 'normal'"
        :items="spreads"
        class="spread"
        :aria-label="`${words.spread}: ${part.name}`"
        @update:model-value="mating.changePart(stack.id, part.id, { spread: $event as PartSpread })"
      />
    </template>
    <template #bin="{ row: part }">
      <RemoveButton
        class="bin"
        :label="words.removePart(part.name)"
        @click="mating.removePart(stack.id, part.id)"
      />
    </template>
  </FactTable>
  <UButton icon="i-lucide-plus" variant="ghost" size="sm" @click="mating.addPart(stack.id)">{{
    words.addPart
  }}</UButton>
</template>

<style scoped>
.text {
  width: 100%;
  min-width: 280px;
  padding: 4px;
  margin-left: -4px;
  background: transparent;
  border-bottom: 1px dashed transparent;
}
.text:hover,
.text:focus {
  border-color: var(--part-line);
}
.sense {
  min-width: 106px;
}
.spread {
  min-width: 176px;
}
small {
  display: block;
}
@media (max-width: 720px) {
  .text {
    width: calc(100% - 48px);
    min-width: 0;
  }
  .bin {
    position: absolute;
    top: 2px;
    right: 0;
  }
  .sense,
  .spread {
    width: 100%;
    min-width: 0;
  }
}
</style>
