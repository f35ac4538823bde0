<script setup lang="ts" generic="Row">
import type { Missing } from '~~/core/base/known'
import type { FactColumn } from '~/composables/factColumn'
import { strength as texts } from '~/texts/strength'

/** A table of facts, one row a thing. A column says its text, or the slot of its key draws it. */
const { columns, rows, keyOf, label, isCards, lacks } = defineProps<{
  columns: readonly FactColumn<Row>[]
  rows: readonly Row[]
  keyOf: (row: Row) => string | number
  /** What it is called where it may be wider than its place; it then scrolls by itself, by key too. */
  label?: string
  /** Of a row: classes, data attributes. */
  look?: (row: Row) => Readonly<Record<string, unknown>>
  testId?: string
  /** Many rows on paper. */
  isDense?: boolean
  /** On a phone each row is a card of its own, with its labels in it. */
  isCards?: boolean
  /** What a row's figures wait for; null where they are there. */
  lacks?: (row: Row) => readonly Missing[] | null
}>()
/** `head-` and a column's key: what stands over it instead of its label. */
defineSlots<Record<string, (of: { row: Row }) => unknown>>()

const isHeaded = computed(() => columns.some((column) => column.label !== undefined))
const holder = computed(() => (label ? { tabindex: 0, role: 'group', 'aria-label': label } : {}))
/** Where something is missing for the figures of a row, one cell says so instead of all of them. */
const cellsOf = (row: Row) => (missingOf(row) ? columns.filter(({ isWorked }) => !isWorked) : columns)
const missingOf = (row: Row) => lacks?.(row) ?? null
</script>

<template>
  <div class="fact-table" :class="{ dense: isDense, cards: isCards }" v-bind="holder">
    <table :data-testid="testId">
      <thead v-if="isHeaded">
        <tr>
          <component
            :is="column.label ? 'th' : 'td'"
            v-for="column in columns"
            :key="column.key"
            :scope="column.label ? 'col' : undefined"
            :class="column.is"
          >
            <slot v-if="$slots[`head-${column.key}`]" :name="`head-${column.key}`" :row="rows[0]!" />
            <span v-else :class="{ 'sr-only': column.isLabelHidden }">{{ column.label }}</span>
          </component>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="keyOf(row)" v-bind="look?.(row)">
          <component
            :is="column.is === 'head' ? 'th' : 'td'"
            v-for="column in cellsOf(row)"
            :key="column.key"
            :scope="column.is === 'head' ? 'row' : undefined"
            :class="column.is"
            :data-label="isCards && !column.isLabelHidden ? column.label : undefined"
          >
            <slot :name="column.key" :row="row">{{ column.text?.(row) }}</slot>
          </component>
          <td v-if="missingOf(row)" :colspan="columns.length - cellsOf(row).length" class="soft">
            {{ texts.waitsFor }} <MissingWords :missing="missingOf(row) ?? []" />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
/* What is hidden from sight in it must not widen the page. */
.fact-table[tabindex] {
  position: relative;
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 4px 14px 4px 0;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  vertical-align: top;
}
th {
  font-weight: 500;
}
.dense :is(th, td) {
  padding: 1.5px 10px 1.5px 0;
  vertical-align: baseline;
}
.number,
.figure {
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
.number {
  text-align: right;
}
thead th {
  font-family: inherit;
  font-weight: 500;
  color: var(--soft);
}
.dense thead th {
  white-space: normal;
}
tbody th {
  white-space: nowrap;
}
@media (max-width: 720px) {
  .cards thead {
    display: none;
  }
  .cards tr {
    position: relative;
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 4px 10px;
    padding: 8px 0 10px;
    border-bottom: 1px solid var(--hair);
  }
  .cards :is(th, td) {
    padding: 0;
    border: 0;
    text-align: left;
  }
  .cards [data-label]::before {
    content: attr(data-label);
    display: block;
    color: var(--soft);
    font-size: 0.88rem;
  }
  .cards :is(.head, .wide) {
    grid-column: 1 / -1;
  }
  .cards .head::before {
    display: none;
  }
}
td :deep(svg) {
  display: inline-block;
  margin-right: 3px;
  vertical-align: -2px;
}
</style>
