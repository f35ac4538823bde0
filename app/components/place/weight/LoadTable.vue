<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { LoadRow } from '~~/core/show/text/loadRows'
import { fixed } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useWeight } from '~/stores/weight'

/** Loads before and after, and the share in front of each position. */
const weight = useWeight()
const words = texts.weight
const names: Record<LoadRow['key'], string> = {
  total: words.total,
  front: words.front,
  rear: words.rear,
  frontShare: words.frontShare,
  leftShare: words.leftShare,
  centre: words.centre,
}
const COLUMNS: readonly FactColumn<LoadRow>[] = [
  { key: 'load', text: ({ key }) => names[key], is: 'head' },
  { key: 'before', label: words.before, text: ({ before }) => before, is: 'number' },
  { key: 'after', label: words.after, text: ({ after }) => after, is: 'number' },
  { key: 'change', label: words.change, text: ({ change }) => change, is: 'number' },
]
</script>

<template>
  <section aria-labelledby="loads-title" class="loads">
    <h2 id="loads-title">{{ words.result }}</h2>
    <div v-if="weight.answer.known" class="known">
      <FactTable
        :columns="COLUMNS"
        :rows="weight.rows"
        :key-of="({ key }) => key"
        :look="({ key }) => ({ 'data-load': key })"
      />
      <p class="soft">{{ words.atSetting }}</p>
      <dl v-if="weight.shares.length > 1">
        <dt>{{ words.perPosition }}</dt>
        <dd v-for="one in weight.shares" :key="one.id" class="figure">
          {{ one.name }} {{ fixed(one.percent, 1) }} %
        </dd>
      </dl>
    </div>
    <ul v-else class="missing">
      <li v-for="one in weight.answer.missing" :key="one.what">
        <VerdictMark verdict="unknown" :size="14" /> <MissingWords :missing="[one]" />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.loads {
  padding: 12px 16px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
h2 {
  font-size: 1.1rem;
  font-weight: 600;
}
/* The centre of gravity is told in words that may break. */
:deep([data-load='centre'] .number) {
  white-space: normal;
}
:deep(td:nth-child(3)) {
  font-weight: 600;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-top: 6px;
}
dt {
  color: var(--soft);
}
.missing li {
  display: flex;
  gap: 8px;
  align-items: baseline;
  margin-top: 4px;
}
</style>
