<script setup lang="ts">
import { formatLength } from '~~/core/base/units/format'
import type { UnitSettings } from '~~/core/base/units/unitSettings'
import { sectionName } from '~~/core/show/text/sectionText'
import type { SawnBar } from '~~/core/jobs/cuts/cutPlan'
import { cuts as words } from '~/texts/cuts'

/** A bar to scale with its saw marks. */
const { sawn, units, longestMm } = defineProps<{ sawn: SawnBar; units: UnitSettings; longestMm: number }>()
const share = (mm: number) => `${(mm / longestMm) * 100}%`
const length = (mm: number) => formatLength(mm, units)
</script>

<template>
  <figure
    class="strip"
    :aria-label="words.picture(sawn.bar.name, sectionName(sawn.bar))"
    data-testid="bar-strip"
  >
    <figcaption>
      <span class="name">{{ sawn.bar.name }}, {{ length(sawn.bar.lengthMm) }}</span>
      <span class="soft">{{ words.rest }} {{ length(sawn.restMm) }}</span>
    </figcaption>
    <div class="bar" :style="{ width: share(sawn.bar.lengthMm) }">
      <span
        v-for="(one, k) in sawn.pieces"
        :key="k"
        class="piece"
        :style="{
          left: `${(one.fromMm / sawn.bar.lengthMm) * 100}%`,
          width: `${((one.toMm - one.fromMm) / sawn.bar.lengthMm) * 100}%`,
        }"
        :title="one.piece.name"
        >{{ one.piece.name }}</span
      >
    </div>
    <ol class="marks figure" :aria-label="words.marks">
      <li v-for="(one, k) in sawn.pieces" :key="k">
        <span class="at">{{ length(one.toMm) }}</span> {{ one.piece.name }},
        {{ length(one.toMm - one.fromMm) }}
      </li>
    </ol>
  </figure>
</template>

<style scoped>
.strip {
  display: grid;
  gap: 4px;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
.name {
  font-weight: 600;
}
.bar {
  position: relative;
  height: 34px;
  background: repeating-linear-gradient(135deg, var(--part) 0 6px, var(--card) 6px 11px);
  border: 1.5px solid var(--part-line);
  border-radius: 2px;
}
.piece {
  position: absolute;
  top: 0;
  bottom: 0;
  overflow: hidden;
  padding: 0 5px;
  background: var(--ruler);
  border-right: 2px solid var(--out);
  border-left: 1px solid var(--part-line);
  color: var(--ruler-ink);
  font-family: var(--font-figure);
  font-size: 0.8125rem;
  font-weight: 600;
  line-height: 31px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.marks {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  font-size: 0.9375rem;
}
.at {
  font-weight: 600;
}
</style>
