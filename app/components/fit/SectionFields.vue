<script setup lang="ts">
import {
  SECTION_KINDS,
  type BarEntry,
  type CutPieceEntry,
  type SectionKind,
} from '~~/core/file/kinds/barKinds'
import { cuts as words } from '~/texts/cuts'
import { useCuts } from '~/stores/cuts'

/** A bar, or a piece of the builder's own. */
const { list, entry } = defineProps<
  { list: 'bars'; entry: BarEntry } | { list: 'cutPieces'; entry: CutPieceEntry }
>()
const cuts = useCuts()
const kinds = (Object.keys(SECTION_KINDS) as SectionKind[]).map((value) => ({
  value,
  label: words.sections[value],
}))
const LABELS = { widthMm: words.fields.widthMm, wallMm: words.fields.wallMm }
const heightLabels: Readonly<Record<SectionKind, string>> = {
  flat: words.fields.thickness,
  box: words.fields.heightMm,
  round: words.fields.diameter,
}
const sizes = computed(() =>
  SECTION_KINDS[entry.section].map((key) => ({
    key,
    label: key === 'heightMm' ? heightLabels[entry.section] : LABELS[key],
  })),
)
const change = (changed: Record<string, unknown>) => cuts.change(list, entry.id, changed)
</script>

<template>
  <fieldset class="fields" :data-testid="list">
    <legend class="sr-only">{{ entry.name }}</legend>
    <TextField :label="words.fields.name" :value="entry.name" required @change="change({ name: $event })" />
    <ChoiceField
      :label="words.fields.section"
      :value="entry.section"
      :items="kinds"
      @change="cuts.changeSection(list, entry.id, $event)"
    />
    <FigureField
      v-for="size in sizes"
      :key="size.key"
      :label="size.label"
      kind="length"
      :of="`${list}.${size.key}`"
      :value="entry[size.key]"
      @change="change({ [size.key]: $event })"
    />
    <FigureField
      :label="words.fields.lengthMm"
      kind="length"
      :of="`${list}.lengthMm`"
      :required="list === 'bars'"
      :value="entry.lengthMm"
      @change="change({ lengthMm: $event })"
    />
    <FigureField
      :label="words.fields.count"
      :of="`${list}.count`"
      :required="list === 'cutPieces'"
      :help="list === 'bars' ? words.fields.countHelp : ''"
      :value="entry.count"
      @change="change({ count: $event })"
    />
    <FigureField
      v-if="list === 'bars'"
      :label="words.fields.cost"
      of="bars.cost"
      :help="words.fields.costHelp"
      :value="entry.cost"
      @change="change({ cost: $event })"
    />
    <RemoveButton :label="words.remove(entry.name)" @click="cuts.remove(list, entry.id)" />
  </fieldset>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 8px;
  align-items: end;
  padding-bottom: 12px;
  border-bottom: 1px solid var(--hair);
}
</style>
