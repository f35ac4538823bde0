<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { Pattern } from '~~/core/vehicle/halfshaft/pattern'
import type { Build } from '~~/core/file/build/build'
import type { DonorPattern } from '~~/core/file/parts/donorPattern'
import { formatBothUnits } from '~~/core/base/units/format'
import { halfshaftTexts } from '~/texts/halfshafts'

/** The page that goes to the machinist with the clamped pattern. */
const { build, pattern } = defineProps<{ build: Build; read: DonorPattern; pattern: Pattern }>()
const words = halfshaftTexts
const both = (mm: number) => formatBothUnits(mm, build.units.inchFraction)
const FACTS = ['overlap', 'stroke', 'toBottom', 'toPulled'] as const
const COLUMNS: readonly FactColumn<(typeof FACTS)[number]>[] = [
  { key: 'fact', text: (fact) => words.facts[fact] },
  { key: 'size', text: (fact) => both(pattern[`${fact}Mm`]), is: 'figure' },
]
</script>

<template>
  <article class="machinist" data-testid="machinist-sheet">
    <h1>{{ words.sheet.title }}: {{ read.name }}</h1>
    <p>{{ words.sheet.from(build.name) }}</p>
    <p class="stamp">{{ words.sheet.pattern }}</p>
    <p class="length">{{ words.result }}: {{ both(pattern.shaftMm) }}, {{ words.resultIs }}</p>
    <PatternPicture :read="read" :pattern="pattern" />
    <FactTable is-dense class="facts" :columns="COLUMNS" :rows="FACTS" :key-of="(fact) => fact" />
    <p>{{ words.sheet.made }}</p>
    <p>{{ words.sheet.ask }}</p>
    <p class="soft">{{ words.caution }}</p>
  </article>
</template>

<style scoped>
.machinist {
  display: grid;
  gap: 10px;
  justify-items: start;
}
h1 {
  font-size: 1.375rem;
  font-weight: 600;
}
.stamp {
  padding: 4px 14px;
  border: 2.5px solid var(--out);
  color: var(--out);
  font-weight: 600;
  text-transform: uppercase;
}
.length {
  font-size: 1.125rem;
  font-weight: 600;
}
</style>
