<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import { crossStrengths, shaftStrengths } from '~~/core/show/parts/strengthOf'
import type { Build } from '~~/core/file/build/build'
import { tubeText } from '~~/core/show/text/tubeText'
import { fixed, grouped } from '~~/core/base/units/format'
import { strength } from '~/texts/strength'
import { partsOfLine } from '~/texts/parts'
import { useFormat } from '~/composables/useFormat'

/** Tubes and crosses of a line against what they have to bear. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: LineEvaluation }>()
const { angle } = useFormat()
const words = strength
const tubes = computed(() => shaftStrengths(evaluation))
const crosses = computed(() => crossStrengths(build, evaluation))
const verdictOf = (quantity: string, index: number) =>
  evaluation.checks.find(
    ({ subject, quantity: of }) => of === quantity && 'index' in subject && subject.index === index,
  )?.verdict ?? null
type Tube = ReturnType<typeof shaftStrengths>[number]
type Cross = ReturnType<typeof crossStrengths>[number]
/** A figure of a tube, once it is known. */
const tubeColumn = (
  key: 'twist' | 'mass' | 'critical',
  text: (figures: Extract<Tube['figures'], { known: true }>['value']) => string,
): FactColumn<Tube> => ({
  key,
  label: words.tubes[key],
  text: ({ figures }) => (figures.known ? text(figures.value) : ''),
  is: 'number',
  isWorked: true,
})
const TUBES: readonly FactColumn<Tube>[] = [
  {
    key: 'shaft',
    label: words.tubes.shaft,
    text: ({ index }) => partsOfLine.names.shaft(index, tubes.value.length),
    is: 'head',
  },
  { key: 'tube', label: words.tubes.tube },
  { key: 'shear', label: words.tubes.shear, is: 'number', isWorked: true },
  tubeColumn('twist', ({ twistDeg }) => `${fixed(twistDeg, 2)}°`),
  tubeColumn('mass', ({ massKg }) => `${fixed(massKg, 2)} kg`),
  tubeColumn('critical', ({ criticalRpm }) => `${grouped(criticalRpm)} rev/min`),
  { key: 'ofCritical', label: words.tubes.ofCritical, is: 'number', isWorked: true },
]
const CROSSES: readonly FactColumn<Cross>[] = [
  { key: 'joint', label: words.crosses.joint, text: ({ index }) => index + 1, is: 'head' },
  { key: 'size', label: words.crosses.size },
  {
    key: 'angle',
    label: words.crosses.angle,
    text: ({ angleDeg }) => (angleDeg === null ? '?' : angle(angleDeg)),
    is: 'number',
  },
  {
    key: 'force',
    label: words.crosses.force,
    text: ({ load }) => (load.known ? `${grouped(load.value.forceN)} N` : ''),
    is: 'number',
    isWorked: true,
  },
  { key: 'shear', label: words.crosses.shear, is: 'number', isWorked: true },
]
const partLink = (part: string) => ({
  path: `/b/${build.id}/parts`,
  query: { line: evaluation.line.id, part },
})
</script>

<template>
  <section :aria-label="words.tubes.title">
    <h2>{{ words.tubes.title }}</h2>
    <p v-if="tubes.length > 1" class="soft">{{ words.tubes.sections }}</p>
    <FactTable
      :label="words.tubes.title"
      :columns="TUBES"
      :rows="tubes"
      :key-of="({ index }) => index"
      :lacks="({ figures }) => (figures.known ? null : figures.missing)"
      test-id="tube-strength"
    >
      <template #tube="{ row }">
        <NuxtLink :to="partLink(`shaft/${row.index}`)">{{
          tubeText(evaluation.line.shafts[row.index]?.tube)
        }}</NuxtLink>
      </template>
      <template #shear="{ row: { index, figures } }">
        <VerdictMark
          v-if="verdictOf('tube-shear', index)"
          :verdict="verdictOf('tube-shear', index) ?? 'unknown'"
        />
        <template v-if="figures.known">
          {{ fixed(figures.value.shearMPa, 0) }} MPa
          <span class="soft">{{ fixed(figures.value.shearShare, 2) }} {{ words.tubes.ofYield }}</span>
        </template>
      </template>
      <template #ofCritical="{ row: { index, figures } }">
        <VerdictMark
          v-if="verdictOf('critical-speed-ratio', index)"
          :verdict="verdictOf('critical-speed-ratio', index) ?? 'unknown'"
        />
        {{ figures.known ? fixed(figures.value.speedShare, 2) : '' }}
      </template>
    </FactTable>
  </section>
  <section v-if="crosses.length" :aria-label="words.crosses.title">
    <h2>{{ words.crosses.title }}</h2>
    <FactTable
      :label="words.crosses.title"
      :columns="CROSSES"
      :rows="crosses"
      :key-of="({ index }) => index"
      :lacks="({ load }) => (load.known ? null : load.missing)"
      test-id="cross-strength"
    >
      <template #size="{ row }">
        <NuxtLink :to="partLink(`joint/${row.index}`)">{{ row.size?.name ?? words.crosses.choose }}</NuxtLink>
      </template>
      <template #shear="{ row: { index, load } }">
        <VerdictMark
          v-if="verdictOf('cross-shear', index)"
          :verdict="verdictOf('cross-shear', index) ?? 'unknown'"
        />
        <template v-if="load.known">
          {{ fixed(load.value.shearMPa, 0) }} MPa
          <span class="soft">{{ fixed(load.value.share, 2) }} {{ words.crosses.share }}</span>
        </template>
      </template>
    </FactTable>
  </section>
</template>
