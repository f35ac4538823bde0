<script setup lang="ts">
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
</script>

<template>
  <section aria-labelledby="loads-title" class="loads">
    <h2 id="loads-title">{{ words.result }}</h2>
    <div v-if="weight.answer.known" class="known">
      <table>
        <thead>
          <tr>
            <td></td>
            <th scope="col">{{ words.before }}</th>
            <th scope="col">{{ words.after }}</th>
            <th scope="col">{{ words.change }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in weight.rows" :key="row.key" :data-load="row.key">
            <th scope="row">{{ names[row.key] }}</th>
            <td class="figure">{{ row.before }}</td>
            <td class="figure after">{{ row.after }}</td>
            <td class="figure">{{ row.change }}</td>
          </tr>
        </tbody>
      </table>
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
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 5px 10px 5px 0;
  border-bottom: 1px solid var(--hair);
}
thead th {
  text-align: right;
  font-weight: 500;
  color: var(--soft);
}
tbody th {
  text-align: left;
  white-space: nowrap;
  font-weight: 500;
}
td.figure {
  text-align: right;
}
tr:not([data-load='centre']) td.figure {
  white-space: nowrap;
}
.after {
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
