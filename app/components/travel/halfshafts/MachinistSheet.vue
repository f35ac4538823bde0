<script setup lang="ts">
import type { Pattern } from '~~/core/vehicle/halfshaft/pattern'
import type { Build } from '~~/core/file/build/build'
import type { DonorPattern } from '~~/core/file/parts/donorPattern'
import { formatBothUnits } from '~~/core/base/units/format'
import { halfshaftTexts } from '~/texts/halfshafts'

/** The page that goes to the machinist with the clamped pattern. */
const { build } = defineProps<{ build: Build; read: DonorPattern; pattern: Pattern }>()
const words = halfshaftTexts
const both = (mm: number) => formatBothUnits(mm, build.units.inchFraction)
</script>

<template>
  <article class="machinist" data-testid="machinist-sheet">
    <h1>{{ words.sheet.title }}: {{ read.name }}</h1>
    <p>{{ words.sheet.from(build.name) }}</p>
    <p class="stamp">{{ words.sheet.pattern }}</p>
    <p class="length">{{ words.result }}: {{ both(pattern.shaftMm) }}, {{ words.resultIs }}</p>
    <PatternPicture :read="read" :pattern="pattern" />
    <table>
      <tbody>
        <tr>
          <td>{{ words.facts.overlap }}</td>
          <td>{{ both(pattern.overlapMm) }}</td>
        </tr>
        <tr>
          <td>{{ words.facts.stroke }}</td>
          <td>{{ both(pattern.strokeMm) }}</td>
        </tr>
        <tr>
          <td>{{ words.facts.toBottom }}</td>
          <td>{{ both(pattern.toBottomMm) }}</td>
        </tr>
        <tr>
          <td>{{ words.facts.toPulled }}</td>
          <td>{{ both(pattern.toPulledMm) }}</td>
        </tr>
      </tbody>
    </table>
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
td {
  padding: 2px 18px 2px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
