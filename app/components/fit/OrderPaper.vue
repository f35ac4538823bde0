<script setup lang="ts">
import { sentenceCase } from '~~/core/show/text/checkText'
import type { OrderSheet } from '~~/core/show/orders/orderSheet'
import type { FactColumn } from '~/composables/factColumn'
import { orders as words } from '~/texts/orders'

/** An order as it goes out: the same on the screen, on paper and in the PDF. */
const { sheet, printedOn } = defineProps<{ sheet: OrderSheet; printedOn: string }>()
type Row = OrderSheet['sections'][number]['rows'][number]
const columns: readonly FactColumn<Row>[] = [
  { key: 'name', text: ({ name }) => name },
  { key: 'value', text: ({ value }) => value, is: 'figure' },
  { key: 'spread', text: ({ plusMinus }) => plusMinus, is: 'figure' },
  { key: 'remark', text: ({ remark }) => remark },
]
const ROOM = [186, 90] as const
</script>

<template>
  <article class="order-paper" data-testid="order-paper">
    <header>
      <h2>{{ sheet.title }}</h2>
      <p>{{ words.sheet.about(sheet, printedOn) }}</p>
    </header>
    <p v-if="sheet.stamp" class="stamp">{{ sheet.stamp }}</p>
    <ul v-if="sheet.warnings.length > 0" class="warnings">
      <li v-for="warning in sheet.warnings" :key="warning.text" :data-warning="warning.kind">
        <VerdictMark :verdict="warning.kind === 'out' ? 'out' : 'tight'" silent /> {{ warning.text }}
      </li>
    </ul>
    <template v-if="sheet.missing.length > 0">
      <p>{{ words.sheet.waits }}</p>
      <ul class="missing">
        <li v-for="one in sheet.missing" :key="one">
          <VerdictMark verdict="unknown" silent /> {{ sentenceCase(one) }}
        </li>
      </ul>
    </template>
    <div v-if="sheet.drawing" class="drawing" tabindex="0" role="group" :aria-label="sheet.title">
      <PaperDrawing :drawing="sheet.drawing" :name="sheet.title" :room="ROOM" />
    </div>
    <section v-for="section in sheet.sections" :key="section.title">
      <h3>{{ section.title }}</h3>
      <FactTable
        is-dense
        :columns="columns"
        :rows="section.rows"
        :key-of="({ name }) => name"
        :look="({ isMain, value }) => ({ class: { main: isMain, open: value === '?' } })"
      />
    </section>
    <footer v-if="sheet.sections.length > 0">
      <h3>{{ words.sheet.measured }}</h3>
      <p v-for="setup in sheet.measured" :key="setup.name">{{ words.sheet.setup(setup) }}</p>
      <p v-if="sheet.measured.length === 0">{{ words.sheet.byHand }}</p>
      <p class="soft">{{ words.sheet.spread }}</p>
      <p v-for="caution in sheet.cautions" :key="caution" class="caution">{{ caution }}</p>
      <div class="signs">
        <span v-for="sign in words.sheet.signs" :key="sign">{{ sign }}</span>
      </div>
    </footer>
  </article>
</template>

<style scoped>
.order-paper {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  padding: 20px 24px;
  border: 1px solid var(--hair);
  background: var(--card);
  font-size: 0.9375rem;
  line-height: 1.3;
}
header {
  padding-bottom: 6px;
  border-bottom: 2px solid var(--ink);
}
header h2 {
  font-size: 1.25rem;
  font-weight: 600;
}
h3 {
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
.stamp {
  justify-self: start;
  padding: 3px 12px;
  border: 2.5px solid var(--out);
  color: var(--out);
  font-weight: 600;
  text-transform: uppercase;
}
.warnings {
  display: grid;
  gap: 4px;
}
.warnings li {
  padding: 4px 10px;
  border: 1.5px solid var(--ink);
  font-weight: 600;
}
.order-paper :deep(table) {
  table-layout: fixed;
}
.order-paper :deep(td:first-child) {
  width: 32%;
}
.order-paper :deep(td:nth-child(2)) {
  width: 30%;
  white-space: normal;
}
.order-paper :deep(td:nth-child(3)) {
  width: 12%;
}
.order-paper :deep(td:last-child) {
  white-space: normal;
  color: var(--soft);
}
.order-paper :deep(tr.main td) {
  font-weight: 600;
}
footer {
  display: grid;
  gap: 3px;
}
.signs {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 18px;
  margin-top: 26px;
}
.signs span {
  border-top: 1px solid var(--ink);
  font-size: 0.8125rem;
}
@media screen and (max-width: 720px) {
  .drawing {
    overflow-x: auto;
  }
  .drawing :deep(svg) {
    width: 640px;
  }
  .order-paper {
    padding: 14px;
    font-size: 0.875rem;
  }
  .order-paper :deep(td) {
    display: block;
    width: auto !important;
    border: 0;
    padding: 0;
    white-space: normal;
  }
  .order-paper :deep(td:first-child) {
    padding-top: 6px;
    color: var(--soft);
  }
}
@media print {
  @page {
    margin: 11mm 12mm;
  }
  .order-paper {
    padding: 0;
    border: 0;
    gap: 2mm;
    font-size: 8pt;
    line-height: 1.18;
    --ink: black;
    --soft: #333;
    --hair: #999;
    --wash: #eee;
    --out: black;
    --tight: black;
    color: black;
    background: white;
  }
  .order-paper :deep(td) {
    padding-block: 0.4px;
  }
}
</style>
