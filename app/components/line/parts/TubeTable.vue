<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import { tubesThatDo, type TubeChoice } from '~~/core/show/parts/tubesThatDo'
import type { Build } from '~~/core/file/build/build'
import { tubeOf } from '~~/core/file/parts/stock'
import { fixed, grouped } from '~~/core/base/units/format'
import { partsOfLine } from '~/texts/parts'
import { useFormat } from '~/composables/useFormat'
import { useParts } from '~/stores/parts'

/** The tubes of the stock against what a shaft has to bear, lightest first; one click takes one. */
const { build, evaluation, shaft, name } = defineProps<{
  build: Build
  evaluation: LineEvaluation
  shaft: number
  name: string
}>()
const parts = useParts()
const { length } = useFormat()
const words = partsOfLine.tubes
const choices = computed(() => tubesThatDo(build, evaluation, shaft))
const COLUMNS: readonly FactColumn<TubeChoice>[] = [
  { key: 'tube', is: 'head' },
  { key: 'mass', text: ({ massKg }) => `${fixed(massKg, 2)} kg`, is: 'figure' },
  { key: 'critical', is: 'figure' },
  { key: 'shear', is: 'figure' },
  { key: 'take' },
]
const lookOf = ({ isTaken, entry }: TubeChoice) => ({
  class: { taken: isTaken, nearest: choices.value.known && entry.id === choices.value.value.nearest },
})
const duty = computed(() => {
  if (!choices.value.known) return ''
  const { torqueNm, speedRpm, lengthMm } = choices.value.value.duty
  return words.duty(grouped(torqueNm), grouped(speedRpm), length(lengthMm))
})
</script>

<template>
  <section :aria-label="words.title(name)" data-testid="tubes">
    <div class="head">
      <h3>{{ words.title(name) }}</h3>
      <p class="soft">{{ duty }}</p>
    </div>
    <p v-if="!choices.known" class="soft">
      {{ words.waits(choices.missing.map(({ what }) => what).join('; ')) }}
    </p>
    <template v-else>
      <p v-if="choices.value.nearest" class="none">{{ words.none }}</p>
      <FactTable
        class="tubes"
        :columns="COLUMNS"
        :rows="choices.value.rows"
        :key-of="({ entry }) => entry.id"
        :look="lookOf"
      >
        <template #tube="{ row }"><VerdictMark :verdict="row.verdict" /> {{ row.name }}</template>
        <template #critical="{ row }">
          {{ fixed(row.speedShare, 2) }} <span class="soft">{{ words.critical }}</span>
        </template>
        <template #shear="{ row }">
          {{ fixed(row.shearShare, 2) }} <span class="soft">{{ words.shear }}</span>
        </template>
        <template #take="{ row }">
          <span v-if="row.isTaken" class="soft">{{ words.yours }}</span>
          <UButton
            v-else
            size="xs"
            variant="outline"
            :aria-label="words.takeTube(row.name)"
            @click="parts.changeShaft(evaluation.line.id, shaft, { tube: tubeOf(row.entry) })"
            >{{ words.take }}</UButton
          >
        </template>
      </FactTable>
      <div class="widest">
        <FigureField
          :label="words.wide"
          kind="length"
          of="lines.shafts.mostOuterMm"
          :value="evaluation.line.shafts[shaft]?.mostOuterMm"
          :help="words.wideHelp"
          @change="parts.changeShaft(evaluation.line.id, shaft, { mostOuterMm: $event })"
        />
      </div>
    </template>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 16px;
}
h3 {
  font-weight: 600;
}
.tubes {
  margin-top: 6px;
}
.tubes :deep(tbody th) {
  font-weight: 600;
}
/* On a phone five columns stand side by side only where words may break. */
.tubes :deep(.figure) {
  white-space: normal;
}
.tubes :deep(td:last-child) {
  text-align: right;
  padding-right: 0;
}
:deep(.taken) {
  background: var(--wash);
}
:deep(.nearest th) {
  text-decoration: underline;
}
.none {
  margin-top: 4px;
  color: var(--out);
}
.widest {
  max-width: 220px;
  margin-top: 10px;
}
</style>
